# frozen_string_literal: true

module Vantick
  module Server
    module Desk
      # What is kept at hand while children sit at their desks: when each was heard of last, what is known of each, and wrong
      # keys. All of it can be lost: it is worked out again from what is stored.
      class Room
        KEY = "vantick.room"
        # Learners kept at hand (judgement: a school's worth).
        KEPT = 600
        # Wrong pictures in a row until a card rests, and for how many seconds (judgement).
        MOST_WRONG = 5
        REST = 120

        def initialize
          @lock = Mutex.new
          @learners = {}
          @seen = {}
          @wrong = Access::Throttle::Counts.new
        end

        # @param seat [Hash]
        # @yield where nothing is at hand
        # @return [Core::Learner]
        def learner(seat)
          key = key(seat)
          @lock.synchronize { @learners[key] } || yield.tap { |learner| keep(seat, learner) }
        end

        # @param seat [Hash]
        # @param learner [Core::Learner]
        def keep(seat, learner)
          @lock.synchronize do
            @learners.delete(key(seat))
            @learners.shift if @learners.length >= KEPT
            @learners[key(seat)] = learner
          end
        end

        def forget(seat) = @lock.synchronize { @learners.delete(key(seat)) }

        # @param seat [Hash]
        # @param now [Time]
        # @param doing [Boolean] whether the child did something, or only the device did
        def saw(seat, now, doing: false)
          @lock.synchronize do
            here, last = @seen.fetch(place(seat), [nil, now])
            @seen[place(seat)] = [now, doing || here.nil? ? now : last]
          end
        end

        # @return [Array(Time, Time), nil] when the device was heard of, and when the child did something
        def seen(seat) = @lock.synchronize { @seen[place(seat)] }

        # @return [Boolean] whether the card of a child rests
        def resting?(child_id) = @wrong.read("card-#{child_id}").to_i >= MOST_WRONG

        def wrong_key(child_id) = @wrong.increment("card-#{child_id}", 1, expires_in: REST)

        def right_key(child_id) = @wrong.delete("card-#{child_id}")

        private

        def place(seat) = seat.values_at(:desk_id, :child_id)

        def key(seat) = seat.values_at(:desk_id, :child_id, :round)
      end
    end
  end
end
