# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # Other ways to ask the same: to fix a clock that is wrong, to find the right one, to choose words or digits.
      module Variants
        TABLE = DeskTask::WORDS[:variants]
        ALL = TABLE[:kinds].keys.freeze
        # In the order in which they take turns with setting both hands.
        IN_TURN = [nil, :fix, :find].freeze
        # With a few to choose from: for whoever just had something wrong.
        EASIER = { hands: :find, words: :choose, digits: :choose }.freeze
        APART = TABLE[:apart_degrees]
        OFFERED = TABLE[:offered]
        BESIDE = TABLE[:beside_minutes]

        class << self
          # @param turn [Turn] that comes next
          # @param learner [Learner]
          # @return [Turn] the same, or asked in another way: whoever just had something wrong has a few to choose from, all others set a
          #   clock, fix it and find it in turn
          def varied(turn, learner)
            variant = learner.wrong? ? EASIER[entry(turn)] : in_turn(turn, learner)
            variant && fits?(turn) ? turn.as(variant) : turn
          end

          # @param turn [Turn]
          # @return [Boolean] whether it can be asked otherwise: nothing of it is done already, and enough wrong answers are there
          def fits?(turn)
            return false if turn.half? || !EASIER.key?(entry(turn)) || turn.task.tolerance_minutes.positive?

            wrong(turn.task, turn.times.first, turn.against).length >= OFFERED - 1
          end

          # @param variant [Symbol, String] one of {ALL}
          # @return [Hash{Symbol => String}] what is said of it: `entry`, `ask`, `again`, where it is not as usual
          def words(variant) = TABLE[:kinds].fetch(variant.to_sym)

          # @param task [Task]
          # @param time [DialTime]
          # @param against [Misreading, nil] whose clock is taken, where it has one
          # @param seed [Integer] takes one of the others
          # @return [Hands, SpokenTime, DialTime] another answer, as somebody gives it who misreads
          # @example
          #   Variants.start(Task.find(:words_to_dial), DialTime.parse("6:45")).to_s # such as "hour=232.5 minute=270"
          def start(task, time, against: nil, seed: 0)
            found = wrong(task, time, against)
            own = against ? Reading::Predictions.of(task).wrong_answers(against, time) : []
            (found & own).first || found.first(OFFERED - 1).rotate(seed).first
          end

          # @param task [Task]
          # @param time [DialTime]
          # @param against [Misreading, nil] whose answers come first
          # @param seed [Integer] of the order
          # @return [Array<Hands, SpokenTime, DialTime>] {OFFERED} answers, the right one among them, in an order that says nothing
          def offered(task, time, against: nil, seed: 0)
            [task.right_answer(time), *wrong(task, time, against).first(OFFERED - 1)].shuffle(random: Random.new(seed))
          end

          private

          def entry(turn) = DeskTask.for(turn.task).entry

          def in_turn(turn, learner)
            return if entry(turn) != :hands || turn.helped

            IN_TURN[learner.answers.count { |marked| marked.task.notation == :hands } % IN_TURN.length]
          end

          # First what mistakes lead to, then other hours, and other minutes of the hour.
          def wrong(task, time, against)
            ((@wrong ||= {})[task.id] ||= {})[[time, against&.id]] ||= begin
              foreseen = Reading::Predictions.of(task).at(time).sort_by { |id, _| id == against&.id ? 0 : 1 }
              met = foreseen.flat_map(&:last).reject { |answer| finer?(answer, time) }
              apart(met + beside(task, time), task.right_answer(time)).freeze
            end
          end

          # Single minutes, which a class on fives has no words for.
          def finer?(answer, time) = !answer.is_a?(Dial::Hands) && time.ticks.zero? && !answer.time.ticks.zero?

          def beside(task, time)
            BESIDE.map { |minutes| task.right_answer(Dial::DialTime.from_index(time.index + minutes)) }
          end

          # Those that differ from the right one and from each other; clocks so much that a child can see it at a glance.
          def apart(all, right)
            all.reduce([right]) { |kept, hands| kept.all? { |other| far?(hands, other) } ? kept + [hands] : kept }.drop(1)
          end

          def far?(one, other)
            return one != other unless one.is_a?(Dial::Hands)

            hands = [[one.hour_degrees, other.hour_degrees], [one.minute_degrees, other.minute_degrees]]
            hands.any? { |pair| Dial::Hands.apart(*pair).abs >= APART }
          end
        end
      end
    end
  end
end
