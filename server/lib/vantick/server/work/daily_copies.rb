# frozen_string_literal: true

module Vantick
  module Server
    module Work
      # A copy of the school's file for each day on which Vantick runs, made beside the requests; the last few are kept, in each folder of
      # copies. Days are the school's own.
      class DailyCopies
        # Copies kept: of the last days, and of the weeks before them the last one each (judgement: what is missed is missed soon).
        DAYS = 7
        WEEKS = 4
        NAME = "day-%<day>s.sqlite3"

        class << self
          # @param store [Store::Database]
          # @return [Array<String>] the names of the copies there are, the last one first
          def all(store) = days(Copies.folders(store).first).reverse

          def days(folder) = Dir.children(folder).grep(/\Aday-\d{4}-\d\d-\d\d\.sqlite3\z/).sort
        end

        # @param store [Store::Database]
        # @param log [#puts]
        def initialize(store, log: $stderr)
          @store = store
          @log = log
        end

        # What is kept for a while alone goes, here and in the copies; a copy of the day is made where there is none yet.
        # @param day [Date]
        # @return [String, nil] where the first copy lies, where one was made
        def make(day)
          forget_old(Clock.now)
          @store.fold_in
          Copies.folders(@store).filter_map { |folder| copied(folder, day) }.first
        rescue StandardError => e
          failed(e)
        end

        private

        def forget_old(now)
          @store.removed.forget_old(now)
          @store.lists_taken.forget_old(now)
          @store.school_rosters.forget_old(now)
          @store.answer_imports.forget_old(now)
          @store.jobs.forget_old(now)
          @store.journal.forget_old(now)
          @store.scans.forget_old(now)
        end

        # A second disk that is not there keeps nothing from the first.
        def copied(folder, day)
          copy(folder, day)
        rescue Store::Unusable, SystemCallError => e
          failed(e)
        end

        # @return [nil]
        def failed(error)
          @log.puts "Vantick: no daily copy was made (#{error.class}). #{error.message if error.is_a?(Store::Unusable)}"
        end

        def copy(folder, day)
          to = File.join(folder, format(NAME, day: day.iso8601))
          return if File.exist?(to)

          Store::SafeCopy.write(@store.db, to)
          prove(to)
          forget(folder)
          forget_pictures
          to
        end

        # A copy that nobody has opened is none: what is in it is counted, and said on the account's page.
        def prove(copy)
          children = Store::SafeCopy.look(copy) { |database| database[:children].where(left_at: nil).count }
          @store.school.copy_proved(Clock.iso8601, children)
        end

        def forget(folder)
          days = DailyCopies.days(folder).reverse
          weeks = days.drop(DAYS).group_by { |name| Date.iso8601(name[4, 10]).strftime("%G-%V") }.values.map(&:first)
          (days - days.first(DAYS) - weeks.first(WEEKS)).each { |name| File.delete(File.join(folder, name)) }
        end

        # Pictures of paper that were kept long enough leave the copies as well.
        def forget_pictures
          before = (Clock.now - (Store::Scans::DAYS * 86_400)).iso8601
          old = ->(database) { database[:scans].where { made_at < before } }
          Copies.all(@store).each do |file|
            next unless Store::SafeCopy.look(file) { |database| database.table_exists?(:scans) && !old[database].empty? }

            Store::SafeCopy.change(file) { |database| Store::Scans.rows(database, old[database]).each(&:delete) }
          end
        end
      end
    end
  end
end
