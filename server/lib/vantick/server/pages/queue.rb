# frozen_string_literal: true

module Vantick
  module Server
    module Pages
      # Files read beside the requests, one at a time. Each page is kept as it is read, so that after a fall reading goes on with the next.
      class Queue
        # What a job of it is called.
        KIND = "paper"

        def initialize(store, log: $stderr)
          @store = store
          @log = log
        end

        # Until nothing waits any more.
        def run
          while (scan = @store.scans.next_waiting)
            read(scan)
          end
        end

        private

        def read(scan)
          finish(scan, "read", "") if whole?(scan)
        rescue Unpacked::Unreadable => e
          finish(scan, "failed", e.message)
        rescue Store::Missing
          nil
        rescue StandardError => e
          @log.puts "Vantick: a file of paper cannot be read (#{e.class} in #{File.basename(e.backtrace.first.to_s)})."
          finish(scan, "failed", Unpacked::WORDS["failed"])
        end

        # @return [Boolean] whether it was read to its end; a person may have stopped it
        def whole?(scan)
          reader = ReadPage.new(@store, scan.class_id)
          file = Unpacked.new(@store.scans.file(scan.id), from: @store.scans.done(scan.id) + 1)
          file.enum_for(:each).all? do |pages, page|
            @store.scans.update(scan.id, pages:) if pages != @store.scans.find(scan.id).pages
            page.nil? || already_stored?(scan, reader.read(page))
          end
        end

        # @return [Boolean] whether it is to go on: a person may have stopped it
        def already_stored?(scan, pages)
          answers = pages.flat_map { |page| page.delete(:answers) || [] }
          @store.scans.add_pages(scan.id, pages) { @store.answers.add_all(answers, answered_at: Clock.iso8601) if answers.any? }.any?
        end

        def finish(scan, state, trouble)
          @store.scans.update(scan.id, state:, trouble:)
          FileUtils.rm_f(@store.scans.file(scan.id))
        rescue Store::Missing
          nil
        rescue Sequel::DatabaseError
          @log.puts "Vantick: the database is gone, so reading paper ends."
        end
      end
    end
  end
end
