# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What is worked on beside requests: one queue for all who work with the school's file, in the order in which it came. A job that a
      # fall has stopped is begun again.
      class Jobs
        # Tries after which a job counts as failed (judgement: what fails three times fails always). An erasure never gives up.
        TRIES = 3
        NEVER_GIVEN_UP = %w[erasure].freeze
        # Days for which what came of a job is kept.
        DAYS = 7
        # Seconds until the next try of one that stopped (judgement: a full disk is seldom emptied sooner).
        PAUSE = 60
        STATES = %w[waiting running done failed].freeze

        def initialize(database)
          @db = database
        end

        # @param kind [String]
        # @param about [Hash] what it needs; ids, and no names
        # @param key [String, nil] what its result depends on: the same is worked out once
        # @return [Rows::Job] the new one, or the one there is of this key
        def add(kind, about, key: nil, class_id: nil, state: "waiting")
          @db.transaction do
            known = key && @db[:jobs].first(key:)
            next again(known) if known

            at = Clock.iso8601
            find(@db[:jobs].insert(kind:, key:, class_id:, about: JSON.generate(about), state:, made_at: at, changed_at: at))
          end
        end

        # @return [Rows::Job]
        # @raise [Missing]
        def find(id) = Rows::Job.of(@db[:jobs].first(id:) || raise(Missing.new("job", id, field: "job_id")))

        # @param kinds [Array<String>]
        # @return [Array<Rows::Job>] those that are not done, the first one first
        def open(kinds, class_id:)
          rows = @db[:jobs].where(kind: kinds, state: %w[waiting running]).order(:id)
          rows = rows.where(class_id:)
          rows.map { |row| Rows::Job.of(row) }
        end

        # @return [Rows::Job, nil] the last one that was done or failed
        def last_done(kinds, class_id:)
          row = @db[:jobs].where(kind: kinds, class_id:, state: %w[done failed]).reverse(:id).first
          row && Rows::Job.of(row)
        end

        # What was worked out before of the same, by what it depends on.
        # @param key [String]
        # @return [Object, nil] plain data
        def result(key) = @db[:jobs].where(key:, state: "done").get(:result)&.then { |text| JSON.parse(text, symbolize_names: true) }

        # Keeps what was worked out, in the place of the last of its kind.
        # @param result [Object] plain data
        def keep(kind, key, result, class_id:)
          @db.transaction do
            @db[:jobs].where(kind:, class_id:).delete
            finish(add(kind, {}, key:, class_id:).id, result)
          end
        end

        # @param job [Rows::Job]
        # @return [Integer] how many are before it
        def ahead_of(job)
          @db[:jobs].where(state: %w[waiting running]).where { id < job.id }.count
        end

        # Takes the next one that waits.
        # @param kinds [Array<String>]
        # @return [Rows::Job, nil]
        def take(kinds)
          return if ready(kinds).empty?

          @db.transaction do
            row = ready(kinds).order(:tries, :id).first or next
            change(row[:id], state: "running", tries: row[:tries] + 1, trouble: nil)
          end
        end

        # @return [Rows::Job]
        def change(id, **changes)
          @db[:jobs].where(id:).update(**changes, changed_at: Clock.iso8601)
          find(id)
        end

        # @param result [Object] plain data
        def finish(id, result) = change(id, state: "done", result: JSON.generate(result), trouble: nil)

        # It waits for another try, or has failed.
        # @param trouble [String] in words
        def stumble(job, trouble)
          failed = job.tries >= TRIES && !NEVER_GIVEN_UP.include?(job.kind)
          change(job.id, state: failed ? "failed" : "waiting", trouble:)
        end

        # What was running when whoever ran it fell, and what waited for another try.
        def resume = @db[:jobs].where(state: %w[waiting running]).update(state: "waiting", tries: 0)

        # @param now [Time]
        def forget_old(now)
          oldest = (now - (DAYS * 86_400)).utc.iso8601
          @db[:jobs].where(state: %w[done failed]).where { changed_at < oldest }.delete
        end

        private

        def ready(kinds)
          paused = (Clock.now - PAUSE).iso8601
          @db[:jobs].where(kind: kinds, state: "waiting").where(Sequel.|({ tries: 0 }, Sequel[:changed_at] < paused))
        end

        # One that failed may be asked for again after a while.
        def again(row)
          rested = row[:state] == "failed" && row[:changed_at] < (Clock.now - PAUSE).iso8601
          rested ? change(row[:id], state: "waiting", tries: 0, trouble: nil) : Rows::Job.of(row)
        end
      end
    end
  end
end
