# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Where a child stands on the ladder: what is told of it, read from the one model ({Knowing}). An answer at a whole dial counts on
      # the step it was asked for, and on those below it whose times hold the time asked.
      class ChildProgress
        ROW = Knowing::TABLE[:states].freeze
        # States of which something can be lost.
        KNOWN = %i[secure nearly].freeze
        STUMBLES = Knowing::TABLE[:stumbles].freeze
        NEXT = Knowing::TABLE[:next].freeze

        # @return [Hash{Curriculum::Step => Symbol}] one of {Knowing::States::ALL} for each step that has times
        attr_reader :states
        # @return [Array<Curriculum::Step>] known, and by now perhaps lost: their review is due
        attr_reader :review_due
        # @return [Array<Curriculum::Step>] steps at which the child reads more than one in five wrong, and no single slip
        attr_reader :stumbles
        # @return [Knowing::Expected] what is expected to be known today
        attr_reader :expected
        # @return [Knowing::Diagnosis] of all answers
        attr_reader :diagnosis

        # @param answers [Array<Curriculum::ItemResponse>] oldest first
        # @param today [Integer] in the same count of days
        # @param lessons [Array<SchemeOfWork::GivenLesson>] that the child was there for, oldest first
        # @param judgements [Array<TeacherJudgement>] what a teacher says of the child
        # @param wanted [Array<Symbol>] ways that a step wants in this class
        def initialize(answers, today:, lessons: [], judgements: [], wanted: Knowing::States::WANTED)
          @today = today
          @followed = Knowing::Followed.new(answers, lessons:, judgements:, wanted:)
          @expected = Knowing::Expected.new(belief, @followed.seen, today)
          @diagnosis = Knowing::Diagnosis.new(answers.map(&:marked), days: answers.map(&:day), today:, belief:)
          @by_step = ChildProgress.by_step(answers)
          settle
          freeze
        end

        # @param step [Curriculum::Step]
        # @return [Hash{Symbol => Symbol}] by way of asking, its state, or `:not_asked`
        def ways(step)
          kinds = Curriculum::KnowledgeComponents.of_step(step)
          Knowing::Asking.of_kind(kinds.first).to_h do |asking|
            way = asking.way
            asked = kinds.any? { |kind| seen.asked?(Knowing::Asking.of(kind, way)) }
            [way, asked ? @followed.states.of_way(step, way) : :not_asked]
          end
        end

        # @return [Knowing::Belief] what is believed of the child after its last day
        def belief = @followed.belief

        # @return [Hash] see {Knowing::Followed#before}
        def before = @followed.before

        # @param step [Curriculum::Step]
        # @return [Integer, nil] the day of the last answer on it
        def last_day(step) = @by_step.fetch(step).last&.day

        # @param step [Curriculum::Step]
        # @return [Integer] answers on it that could be read
        def answers(step) = @by_step.fetch(step).count { |asked| asked.marked.telling? }

        # @param step [Curriculum::Step]
        # @return [Float] 0..1, how much of it the child showed to know when it was last met
        def known(step)
          Curriculum::KnowledgeComponents.of_step(step).flat_map { |kind| seen.ways(kind).map { |asking| belief.shown(asking) } }.min
        end

        # @return [Knowing::Headline]
        def headline = Knowing::Headline.of(diagnosis, states)

        # @param limit [Curriculum::Step, nil] the highest that is proposed: one above the class
        # @return [Curriculum::Step, nil] of what was not shown yet, what is most likely not known while all that it rests on is, the lowest
        #   of those that are nearly as likely; what nothing rests on comes last; nothing at the top of the ladder
        def next_step(limit: nil)
          left = Curriculum::Step.with_times.reject { |step| shown?(step) }
          within = limit ? left & Curriculum::Step.up_to(limit) : left
          return (limit if left.any?) if within.empty?

          likely_next(within.any?(&:leads_on?) ? within.select(&:leads_on?) : within)
        end

        # @param step [Curriculum::Step]
        # @return [Boolean] whether it needs no more before the child goes on
        def shown?(step) = states.fetch(step) == :secure || (states.fetch(step) != :not_yet && known(step) >= ROW[:passed])

        # @param step [Curriculum::Step, nil] that is next
        # @return [Boolean] whether it is simply the next, and nothing stands in the way
        def going_on?(step)
          diagnosis.likely.empty? && stumbles.empty? && @by_step.values.any?(&:any?) && (step.nil? || answers(step).zero?)
        end

        # @param day [Integer]
        # @return [Array<Curriculum::Step>] that were secure at the end of that day
        def secure_on(day)
          last = last_before(day)
          last ? @followed.secure_by_day.fetch(last) : []
        end

        # @param day [Integer]
        # @return [Array<Curriculum::Step>] those of {#secure_on} whose review was due by then
        def review_due_on(day)
          secure_on(day).select do |step|
            fading = @followed.fading_by_day.fetch(last_before(day))
            lost?(step) { |asking| Knowing::Places.fresh(day, *fading.fetch(asking.part, [nil, 1.0])) }
          end
        end

        # @param answers [Array<Curriculum::ItemResponse>]
        # @return [Hash{Curriculum::Step => Array<Curriculum::ItemResponse>}] for every step that has times
        def self.by_step(answers)
          found = Curriculum::Step.with_times.to_h { |step| [step, []] }
          answers.each { |asked| steps_of(asked).each { |step| found[step] << asked } }
          found
        end

        # Looked up by the thousand, so kept: there are no more than steps, tasks and times.
        def self.steps_of(asked)
          kept = ((@steps_of ||= {})[asked.step.id] ||= {})[asked.marked.task.id] ||= {}
          kept[asked.marked.time] ||= counting(asked).freeze
        end

        def self.counting(asked)
          task, time = asked.marked.then { |marked| [marked.task, marked.time] }
          home = Curriculum::Step.home(task)
          return [home].select { |step| step.holds?(time.dial_time) } if home

          [asked.step, *asked.step.foundations.select { |step| step.whole? && step.tasks.include?(task) && step.holds?(time) }]
        end
        private_class_method :steps_of, :counting

        private

        def likely_next(steps)
          best = steps.map { |step| expected.next_up(step) }.max
          steps.find { |step| expected.next_up(step) >= NEXT[:nearly] * best }
        end

        def seen = @followed.seen

        def settle
          @states = Curriculum::Step.with_times.to_h { |step| [step, @followed.states.of(step)] }.freeze
          @review_due = states.keys.select do |step|
            KNOWN.include?(states[step]) && lost?(step) do |asking|
              belief.fresh(asking, @today)
            end
          end.freeze
          @stumbles = Curriculum::Step.with_times.select { |step| states[step] != :secure && stumbles?(step) }.freeze
        end

        # Days on which something was followed, up to that one.
        def last_before(day) = @followed.secure_by_day.keys.select { |earlier| earlier <= day }.max

        # @yieldparam asking [Knowing::Asking]
        # @yieldreturn [Float] 0..1, how fresh it is
        def lost?(step)
          Curriculum::KnowledgeComponents.of_step(step).any? { |kind| seen.ways(kind).any? { |asking| yield(asking) < ROW[:review] } }
        end

        def stumbles?(step)
          last = @by_step.fetch(step).select { |asked| asked.marked.telling? }.last(STUMBLES[:last])
          wrong = last.count { |asked| !asked.marked.right? }
          last.length >= STUMBLES[:least] && wrong >= STUMBLES[:wrong] && wrong > STUMBLES[:share] * last.length
        end
      end
    end
  end
end
