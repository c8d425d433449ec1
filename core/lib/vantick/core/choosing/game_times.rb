# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # The clocks of a game: no two alike, and where it can be, each beside one that a child takes for it who makes a mistake. So a game
      # is not won by a glance at one hand.
      module GameTimes
        NUMBERS = Facts::DataFile.load("games").freeze
        # The ways of reading whose wrong answers count.
        TASKS = %i[dial_to_words dial_to_digital].freeze

        class << self
          # @param step [Step] with whole dials
          # @param count [Integer] clocks, 1 or more
          # @param seed [Integer]
          # @param misreading [Misreading, nil] whose near misses come first; of all that the step can show where it is left out
          # @return [Array<DialTime>] in an order by lot
          # @raise [InvalidCount] where the step has fewer
          # @example
          #   GameTimes.choose(step: Step.find(:quarters), count: 16, seed: 1).length # 16
          def choose(step:, count:, seed: 0, misreading: nil)
            pool = pool(step)
            enough(step, count, pool)
            random = Random.new(seed)
            order = pool.shuffle(random:)
            found = order.each_with_object([]) do |time, so_far|
              break so_far if so_far.length >= count

              so_far.concat([time, *near(time, misreading, pool, random)] - so_far)
            end
            found.first(count).shuffle(random:)
          end

          # @param step [Step]
          # @return [Array<DialTime>] what a game on the step can have: hands that hide each other are no fair game
          def pool(step) = step.pool.reject(&:hidden_hand?)

          # @param time [DialTime]
          # @param misreading [Misreading, nil] one alone, or any
          # @return [Array<DialTime>] what a child would read who makes the mistake
          # @example
          #   GameTimes.taken_for(Dial::DialTime.parse("8:45"), Reading::Misreading.find(:next_hour_always)) # [9:45]
          def taken_for(time, misreading = nil)
            TASKS.flat_map do |id|
              wrong = Reading::Predictions.of(Tasks::Task.find(id)).at(time)
              answers = misreading ? wrong.fetch(misreading.id, []) : wrong.values.flatten(1)
              answers.map { |answer| answer.is_a?(Wording::SpokenTime) ? answer.time : answer }
            end.uniq - [time]
          end

          private

          def near(time, misreading, pool, random)
            own = misreading ? taken_for(time, misreading) & pool : []
            others = (taken_for(time) & pool) - own
            (own + others.shuffle(random:)).first(NUMBERS[:near])
          end

          def enough(step, count, pool)
            return if count.is_a?(Integer) && (1..pool.length).cover?(count)

            raise InvalidCount.new("#{step.name} has #{pool.length} clocks. Choose fewer.", nearest: count.to_i.clamp(1, pool.length))
          end
        end
      end
    end
  end
end
