# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Where a child stands on the ladder. An answer at a whole dial counts on the step it was asked for, and on those below it
      # whose times hold the time asked: 3:30 among quarters also tells of half past. What is asked of one hand counts where that
      # is learned, and for no whole time.
      class Standing
        # Whole dials that tell of the hour hand, and how many of them have to have the hour right.
        HOURS = { last: 5, right: 4 }.freeze
        # Whole dials off the quarters that tell of the numerals, likewise: quarters are known by their look.
        NUMERALS = { last: 5, right: 4 }.freeze
        # Misreadings at which the hour itself was read wrongly.
        OF_THE_HOUR = %i[hands_swapped next_hour_early next_hour_always smaller_of_two hour_from_minute_hand dial_mirrored].freeze

        # From which chance on a kind of times counts as known, so that nothing waits for it (judgement).
        EXPECTED = 0.55
        # Below this chance a step is not shown by what was right before.
        DOUBTED = 0.25

        # An answer at first try.
        # @!attribute step [Step] for which it was asked
        # @!attribute marked [Marked]
        # @!attribute day [Integer] any count of days
        Asked = Struct.new(:step, :marked, :day, keyword_init: true)

        # @return [Hash{Step => Symbol}] one of {Secure::STATES} for each step that has times
        attr_reader :states
        # @return [Array<Step>] steps at which the child reads more than one in five wrong, and no single slip
        attr_reader :stumbles
        # @return [Term::Keeping] how long it keeps each step
        attr_reader :keeping
        # @return [Array<Step>] steps that need no more before it goes on
        attr_reader :shown
        # @return [Tracing] what is expected to be known
        attr_reader :tracing
        # @return [Diagnosis] of all answers
        attr_reader :diagnosis

        # @param answers [Array<Asked>] oldest first
        # @param today [Integer] in the same count of days
        # @param lessons [Array<Course::Given>] that the class had, oldest first
        def initialize(answers, today:, lessons: [])
          @today = today
          @last_day = answers.last&.day
          @tracing = Tracing.new(answers, lessons:, today:)
          @diagnosis = Judging::Diagnosis.new(answers.map(&:marked), days: answers.map(&:day), today:)
          by_step = Standing.by_step(answers)
          @keeping = Vantick::Core::Term::Keeping.new(by_step, today)
          @judged = by_step.to_h { |step, given| [step, judge(step, given)] }
          @parts_shown = parts_shown(answers)
          settle
          freeze
        end

        # @param step [Step] one of those {#shown}
        # @return [Integer] the last day of what shows it: of answers on it, or on harder steps that rest on it
        def shown_on(step)
          own = @own_shown.select { |one| one == step || one.covers?(step) }
          own.filter_map { |one| judged(one).last_day }.max || @last_day
        end

        # @param step [Step]
        # @return [Secure::Judged]
        def judged(step) = @judged.fetch(step)

        # @param limit [Step, nil] the highest that is proposed: one above the class
        # @param tracing [Tracing] by which a step is passed over all of whose parts were shown
        # @param said [Array<Said>] what a teacher says, for as long as no answers speak against it
        # @return [Step, nil] the lowest that was not shown yet; nothing at the top of the ladder
        def next_step(limit: nil, tracing: self.tracing, said: [])
          ladder = Step.with_times
          left = (ladder - shown - Said.passed(said, tracing)).reject { |step| known_by_parts?(step, tracing) }
          left |= Said.doubted(said, tracing)
          [left.min_by { |step| ladder.index(step) }, limit].compact.min_by { |step| ladder.index(step) } if left.any?
        end

        # @return [Array<Step>] secure, and by now perhaps lost
        def fading = states.select { |step, state| state == :secure && keeping.fading?(step) }.keys

        # @param step [Step, nil] that is next
        # @return [Boolean] whether it is simply the next, and nothing stands in the way
        def going_on?(step)
          diagnosis.likely.empty? && stumbles.empty? && shown.any? && (step.nil? || judged(step).answers.zero?)
        end

        # @param answers [Array<Asked>]
        # @return [Hash{Step => Array<Secure::Given>}] for every step that has times
        def self.by_step(answers)
          found = Step.with_times.to_h { |step| [step, []] }
          answers.each do |asked|
            given = Judging::Secure::Given.new(marked: asked.marked, day: asked.day)
            steps_of(asked).each { |step| found[step] << given }
          end
          found
        end

        # Looked up by the thousand, so kept: there are no more than steps, tasks and times.
        def self.steps_of(asked)
          @steps_of ||= {}
          @steps_of[[asked.step.id, asked.marked.task.id, asked.marked.time]] ||= counting(asked).freeze
        end

        def self.counting(asked)
          task, time = asked.marked.then { |marked| [marked.task, marked.time] }
          home = Step.home(task)
          return [home].select { |step| step.holds?(time.dial_time) } if home

          [asked.step, *asked.step.foundations.select { |step| step.whole? && step.tasks.include?(task) && step.holds?(time) }]
        end
        private_class_method :steps_of, :counting

        # @param marked [Marked] of a whole dial
        # @return [Boolean] whether at least the hour was read rightly
        def self.hour_right?(marked)
          marked.read_right? || (marked.misreadings.any? && !marked.causes.intersect?(OF_THE_HOUR))
        end

        private

        def known_by_parts?(step, tracing)
          step.parts.any? && (step.parts - shown).empty? && tracing.of_step(step) >= Course::ROW[:known]
        end

        def settle
          @states = states_of.freeze
          @stumbles = @judged.select { |step, one| one.stumbles && states[step] != :secure && !overtaken?(step) }.keys.freeze
          @shown = shown_of.freeze
        end

        def judge(step, given)
          misread = diagnosis.likely.any? { |one| step.shows?(one) }
          Judging::Secure.judge(given, today: @today, misread:)
        end

        # Parts and wholes agree: a whole is secure where every part it holds is, by itself or through it.
        def states_of
          wholes = secure_wholes
          through = wholes.flat_map(&:parts)
          @judged.to_h do |step, one|
            in_part = one.state == :secure && !wholes.include?(step)
            next [step, :secure] if through.include?(step)

            [step, in_part ? in_part(one) : one.state]
          end
        end

        # Those, and all that have no parts, that are secure themselves.
        def secure_wholes
          secure = @judged.select { |_, one| one.state == :secure }.keys
          secure.select { |step| step.parts.all? { |part| secure.include?(part) || @judged[part].through } }
        end

        # A whole of which some part is not known well enough yet.
        def in_part(judged) = judged.right == [judged.answers, Judging::Secure::LAST].min ? :right_so_far : :nearly

        # Shown by itself, or by what rests on it: nobody reads fives who does not know the numerals.
        def shown_of
          @own_shown = (Step.with_times.select { |step| shown_itself?(step) } | @parts_shown).freeze
          own = @own_shown
          Step.with_times.select { |step| own.include?(step) || (carries?(step) && own.any? { |above| above.covers?(step) }) }
        end

        def shown_itself?(step)
          states[step] == :secure || (judged(step).shown && least(step) >= DOUBTED) || expected?(step)
        end

        # What was not asked again since it went wrong may have been learned: in the lessons there were, and from what was answered
        # of the same kinds of times elsewhere.
        def expected?(step) = judged(step).last_day && least(step) >= EXPECTED

        # Of a step's kinds of times, that which is least likely to be known. What nobody asked, and harder ones that were asked rest on,
        # does not speak against it: who reads seven minutes to reads o'clock.
        def least(step)
          kinds = KindsOfTime.of_step(step)
          asked = kinds.select { |kind| tracing.asked?(kind) }
          beneath = asked.flat_map { |kind| KindsOfTime.beneath(kind) }
          (asked | (kinds - beneath)).map { |kind| tracing.known(kind) }.min
        end

        # A step below one that was shown is shown with it, unless its own last answers speak against it.
        def carries?(step)
          one = @judged[step]
          overtaken?(step) || (!one.stumbles && (one.answers.zero? || one.through || one.right == one.answers))
        end

        # What went wrong once, and was not asked again since a step that rests on it became secure.
        def overtaken?(step)
          last = judged(step).last_day or return false
          @judged.any? { |above, one| one.state == :secure && one.since > last && above.covers?(step) }
        end

        # The two parts of a dial that the last whole dials tell of.
        def parts_shown(answers)
          recent = answers.last(Judging::Secure::LAST * 2).select { |asked| @today - asked.day <= Judging::Secure::JUDGING_DAYS }
          whole = recent.select { |asked| Step.home(asked.marked.task).nil? }.map(&:marked).select(&:telling?)
          counted = whole.reject { |marked| (marked.time.minute % Wording::Saying::QUARTER).zero? }
          [(Step.find(:hour_hand) if enough?(whole, HOURS) { |marked| Standing.hour_right?(marked) }),
           (Step.find(:fives_facts) if enough?(counted, NUMERALS, &:read_right?))].compact
        end

        def enough?(answers, row, &) = answers.last(row[:last]).count(&) >= row[:right]
      end
    end
  end
end
