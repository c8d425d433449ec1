# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The ladder of a class, which every teacher's day begins with: worked out once for all that it depends on, and kept in the file, so
      # that it is there at once after a start. The worker makes those of a new day before anybody asks.
      module Ladders
        KIND = "ladder"
        # Another number where a ladder has more or other parts than before: those that are kept are made again.
        SHAPE = 2

        class << self
          # @param store [Store::Database]
          # @param school_class [Store::Rows::SchoolClass]
          # @return [Hash] as {LadderView.ladder} has it
          def of(store, school_class, today: Store::SchoolDay.today)
            key = Store::ProgressCache.key([KIND, SHAPE], school_class, store, today:)
            store.jobs.result(key) || build(store, school_class, key, today)
          end

          # Those of all classes that are taught.
          def make_all(store) = store.classes.all.reject(&:archived).each { |school_class| of(store, school_class) }

          private

          def build(store, school_class, key, today)
            LadderView.ladder(Store::ProgressCache.of(school_class, store, today:)).tap do |ladder|
              store.jobs.keep(KIND, key, ladder, class_id: school_class.id)
            end
          end
        end
      end
    end
  end
end
