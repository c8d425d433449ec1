# frozen_string_literal: true

module Vantick
  module Server
    module Work
      # A child or a class is erased. Its rows go at once; everything else is a job, which is begun again at each start until nothing is
      # left in any place: the file is written anew, and the child is taken out of each copy.
      class Erasure
        KIND = "erasure"
        # Of what is looked through beside the places in the file: its log, files on their way, and temporary folders.
        BESIDE = 3
        WORDS = { full: "The disk is full. Make room; then erasing goes on by itself.",
                  busy: "The school's file is in use. Erasing goes on by itself.",
                  copy: "The copy %<name>s can't be opened. Repair it or move it away; then erasing goes on by itself.",
                  folder: "The second folder of copies is missing: %<name>s. Erasing goes on when it is back.",
                  other: "Erasing was stopped and goes on by itself." }.freeze

        class << self
          # @param store [Store::Database]
          # @param kind [String] `child` or `class`; `children`, or their `names` alone
          # @param id [Integer, Array<Integer>] several of children
          # @param class_id [Integer, nil] of a child: where the job is shown
          # @return [Hash] the job, as it is told
          def begin(store, kind, id, class_id: nil)
            job = store.db.transaction do
              made = store.jobs.add(KIND, { kind:, id: }, class_id:)
              cut = taken_out(store.db, kind, id)
              store.jobs.change(made.id, about: JSON.generate({ kind:, id:, cut: }))
            end
            Runner.wake(store)
            job.slice(:id, :state)
          end

          # @return [Array<Integer>] pages of others that are to be cut
          def taken_out(database, kind, id)
            erasing = Store::Erasing.new(database)
            case kind
            when "class" then erasing.erase_class(id)
            when "names" then erasing.take_names(id)
            else erasing.erase_children(Array(id))
            end
          end
        end

        # @param store [Store::Database]
        # @param job [Store::Rows::Job]
        def initialize(store, job)
          @store = store
          @job = job
          @kind, @id = job.about.values_at(:kind, :id)
        end

        # @return [Hash] how many places were looked through
        # @raise [Stopped] in words
        def run
          check_folders
          copies = Copies.all(@store)
          @store.jobs.change(@job.id, of: copies.length + 2, done: 0)
          own_file
          step
          files_beside
          copies.each { |copy| clean(copy) && step }
          { places: looked(copies) }
        end

        # What keeps it from its end for now.
        class Stopped < StandardError; end

        private

        def step = @store.jobs.change(@job.id, done: @store.jobs.find(@job.id).done + 1)

        # A disk that was taken out holds copies of the child: it is waited for. Where no copy was ever made there is none to look for.
        def check_folders
          gone = Copies.folders(@store).find { |folder| !File.directory?(folder) }
          raise Stopped, format(WORDS[:folder], name: gone) if gone && @store.school.proved_copy
        end

        def own_file
          Pages::Cut.pages(@store.db, @job.about.fetch(:cut, []))
          Store::Erasing.new(@store.db).rewrite || raise(Stopped, WORDS[:busy])
          Copies.folders(@store).each do |folder|
            Store::ErasedList.new(folder, @store.school.sign).add(Store::Erasing.new(@store.db).erased)
          end
        end

        def files_beside
          @store.uploads.sweep
          Copies.sweep(@store)
          Outside::LockedRoom.sweep
        end

        # Copied to a part of its own, cleaned there, and given its name again: at every moment there is a whole copy.
        def clean(copy)
          return true if Store::SafeCopy.look(copy) { |database| left(database) }.zero?

          Store::SafeCopy.change(copy) { |database| Pages::Cut.pages(database, Erasure.taken_out(database, @kind, @id)) }
          true
        rescue Store::Unusable => e
          raise Stopped, e.why == :full ? WORDS[:full] : format(WORDS[:copy], name: File.basename(copy))
        end

        def left(database)
          return Store::Erasing.new(database).named(@id) if @kind == "names"
          return Store::ChildPlaces.left(database, Array(@id)) unless @kind == "class"

          database[:classes].where(id: @id).exclude(name: Store::ClassRows::UNNAMED[:name]).count +
            database[:children].where(class_id: @id).count
        end

        # Where it is looked through once more nothing is to be found.
        def looked(copies)
          there = left(@store.db) + copies.sum { |copy| Store::SafeCopy.look(copy) { |database| left(database) } }
          raise Stopped, WORDS[:other] if there.positive?

          Store::ChildPlaces.of(@store.db).length + BESIDE + copies.length
        end
      end
    end
  end
end
