# frozen_string_literal: true

module Vantick
  module Server
    module Access
      # What is kept at hand while children sit at their desks: when each was heard of last, what is known of each, and wrong
      # keys. All of it can be lost: it is worked out again from what is stored.
      class DevicePresence
        KEY = "vantick.presence"
        # Learners kept at hand (judgement: a school's worth).
        KEPT = 600
        # Wrong pictures until a card rests at the device where they were chosen, and until the device rests whatever card it
        # tries; then each round of as many rests twice as long (judgement: a child mistypes, a guesser has 12,144 to try, and
        # nobody at another device can make a child's card rest).
        CARD = { free: 5, rest: 120, most: 1800 }.freeze
        DEVICE = { free: 40, rest: 120, most: 1800 }.freeze

        def initialize
          @lock = Mutex.new
          @learners = {}
          @seen = {}
          @cards = Http::Backoff.new(**CARD)
          @devices = Http::Backoff.new(**DEVICE)
          @wrong = Hash.new(0)
          @lost = Hash.new(0)
        end

        # @param seat [Hash]
        # @yield where nothing is at hand
        # @return [Core::Desk::Learner]
        def learner(seat)
          key = key(seat)
          @lock.synchronize { @learners[key] } || yield.tap { |learner| keep(seat, learner) }
        end

        # @param seat [Hash]
        # @param learner [Core::Desk::Learner]
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

        # The device is not here any more.
        # @param seat [Hash]
        def gone(seat) = @lock.synchronize { @seen.delete(place(seat)) }

        # A try at a child's pictures, counted before it is looked at.
        # @param child_id [Integer]
        # @param device [String]
        # @return [Integer] seconds to wait; 0 where it may be looked at
        def try_key(child_id, device)
          left = @devices.resting(device)
          left = @cards.try([child_id, device]) unless left.positive?
          left
        end

        # @return [Integer] wrong tries at a child's card since the right pictures came, or a teacher looked after it
        def wrong_tries(child_id) = @lock.synchronize { @wrong[child_id] }

        def wrong_key(child_id, device)
          @devices.try(device)
          @lock.synchronize { @wrong[child_id] += 1 }
        end

        # The device may have tried others' cards as well: that stays counted.
        def right_key(child_id, device)
          @cards.forget([child_id, device])
          @lock.synchronize { @wrong.delete(child_id) }
        end

        # A teacher gave or showed the pictures.
        # @param child_ids [Array<Integer>]
        def end_rests(child_ids)
          @cards.forget_if { |child_id, _| child_ids.include?(child_id) }
          @lock.synchronize { child_ids.each { |child_id| @wrong.delete(child_id) } }
        end

        # Answers that a device had to let go.
        # @param seat [Hash]
        # @param count [Integer]
        def lost(seat, count) = @lock.synchronize { @lost[place(seat)] += count }

        # @param seat [Hash]
        # @return [Integer]
        def lost_answers(seat) = @lock.synchronize { @lost[place(seat)] }

        private

        def place(seat) = seat.values_at(:desk_id, :child_id)

        def key(seat) = seat.values_at(:desk_id, :child_id, :round)
      end
    end
  end
end
