# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # Other ways to ask for hands on a clock: to fix a clock that is wrong, or to find the right one among others.
      module Variants
        TABLE = DeskTask::WORDS[:variants]
        # In the order in which they take turns with setting both hands.
        ALL = TABLE[:kinds].keys.freeze
        APART = TABLE[:apart_degrees]
        CLOCKS = TABLE[:clocks]
        BESIDE = TABLE[:beside_minutes]

        class << self
          # @param turn [Turn] that comes next
          # @param learner [Learner]
          # @return [Turn] the same, or asked in another way: who is stuck finds the clock, all others set, fix and find in turn
          def varied(turn, learner)
            return turn unless fits?(turn)

            asked = learner.answers.count { |marked| marked.task.notation == :hands }
            variant = learner.stuck? ? :find : [nil, *ALL][asked % (ALL.length + 1)]
            variant ? turn.as(variant) : turn
          end

          # @param turn [Turn]
          # @return [Boolean] whether it can be asked otherwise: no help is on its clock, and enough wrong clocks differ from the right one
          def fits?(turn)
            return false unless DeskTask.for(turn.task).entry == :hands && !turn.helped

            wrong(turn.task, turn.times.first, turn.against).length >= CLOCKS - 1
          end

          # @param variant [Symbol, String] one of {ALL}
          # @return [Hash{Symbol => String}] what is said of it: `ask`, `again`
          def words(variant) = TABLE[:kinds].fetch(variant.to_sym)

          # @param task [Task] of which the answer is two hands
          # @param time [DialTime]
          # @param against [Misreading, nil] whose clock is taken, where it has one
          # @param seed [Integer] takes one of the others
          # @return [Hands] a clock that shows something else, as somebody sets it who misreads
          # @example
          #   Variants.start(Task.find(:words_to_dial), DialTime.parse("6:45")).to_s # such as "hour=232.5 minute=270"
          def start(task, time, against: nil, seed: 0)
            found = wrong(task, time, against)
            own = against ? Reading::Predictions.of(task).wrong_answers(against, time) : []
            (found & own).first || found.first(CLOCKS - 1).rotate(seed).first
          end

          # @param (see .start)
          # @return [Array<Hands>] {CLOCKS} clocks, the right one among them, in an order that says nothing
          def clocks(task, time, against: nil, seed: 0)
            [task.right_answer(time), *wrong(task, time, against).first(CLOCKS - 1)].shuffle(random: Random.new(seed))
          end

          private

          # First what mistakes lead to, then other hours, and other minutes of the hour.
          def wrong(task, time, against)
            ((@wrong ||= {})[task.id] ||= {})[[time, against&.id]] ||= begin
              foreseen = Reading::Predictions.of(task).at(time).sort_by { |id, _| id == against&.id ? 0 : 1 }
              apart(foreseen.flat_map(&:last) + beside(task, time), task.right_answer(time)).freeze
            end
          end

          def beside(task, time)
            BESIDE.map { |minutes| task.right_answer(Dial::DialTime.from_index(time.index + minutes)) }
          end

          # Those that a child can tell from the right one and from each other at a glance.
          def apart(all, right)
            all.reduce([right]) { |kept, one| kept.all? { |other| far?(one, other) } ? kept + [one] : kept }.drop(1)
          end

          def far?(one, other)
            hands = [[one.hour_degrees, other.hour_degrees], [one.minute_degrees, other.minute_degrees]]
            hands.any? { |pair| Dial::Hands.apart(*pair).abs >= APART }
          end
        end
      end
    end
  end
end
