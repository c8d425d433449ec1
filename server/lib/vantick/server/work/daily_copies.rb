# frozen_string_literal: true

module Vantick
  module Server
    module Work
      # A copy of the school's file for each day on which Vantick runs, made beside the requests; the last few are kept. Days
      # are the machine's own.
      class DailyCopies
        # Copies kept: of the last days, and of the weeks before them the last one each (judgement: what is missed is missed soon);
        # and seconds between two looks at the day.
        DAYS = 7
        WEEKS = 4
        PAUSE = 600
        NAME = "day-%<day>s.sqlite3"

        # Copies of before still hold what was erased: they make room for one of now.
        # @param store [Store::Database]
        def self.after_erasure(store)
          folder = File.dirname(Store::SafeCopy.in_folder(store.path, "x"))
          Dir[File.join(folder, "day-*.sqlite3")].each { |copy| File.delete(copy) }
          new(store).make(Date.jd(Store::SchoolDay.today))
        end

        # @param store [Store::Database]
        # @return [Array<String>] the names of the copies there are, the last one first
        def self.all(store) = days(File.dirname(Store::SafeCopy.in_folder(store.path, "x"))).reverse

        def self.days(folder) = Dir.children(folder).grep(/\Aday-\d{4}-\d\d-\d\d\.sqlite3\z/).sort

        # @param store [Store::Database]
        # @param log [#puts]
        def initialize(store, log: $stderr)
          @store = store
          @log = log
        end

        # Goes on until the process ends.
        # @return [Thread]
        def start
          Thread.new do
            loop do
              make(Date.jd(Store::SchoolDay.today))
              sleep PAUSE
            end
          end
        end

        # @param day [Date]
        # @return [String, nil] where the copy lies, where one was made
        def make(day)
          @store.removed.forget_old(Clock.now)
          @store.scans.forget_old(Clock.now)
          @store.fold_in
          to = Store::SafeCopy.in_folder(@store.path, format(NAME, day: day.iso8601))
          return if File.exist?(to)

          Store::SafeCopy.write(@store.db, to)
          forget(File.dirname(to))
          to
        rescue StandardError => e
          @log.puts "Vantick: no daily copy was made (#{e.class}). #{e.message if e.is_a?(Store::Unusable)}"
        end

        private

        def forget(folder)
          days = DailyCopies.days(folder).reverse
          weeks = days.drop(DAYS).group_by { |name| Date.iso8601(name[4, 10]).strftime("%G-%V") }.values.map(&:first)
          (days - days.first(DAYS) - weeks.first(WEEKS)).each { |name| File.delete(File.join(folder, name)) }
        end
      end
    end
  end
end
