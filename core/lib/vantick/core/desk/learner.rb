# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # What is known of a child while tasks come one after the other: what they were asked at first try, and what their
      # answers make probable.
      #
      # @!attribute step [Curriculum::Step] the one that is practised
      # @!attribute ceiling [Curriculum::Step, nil] the highest that the child may go on to; nothing where the teacher chose the step
      # @!attribute answers [Array<MarkedAnswer>] first tries of earlier days and of today, oldest first
      # @!attribute belief [Knowing::Diagnosis] what the answers say of the child
      # @!attribute turns [Array<Turn>] of this sitting, oldest first
      # @!attribute running [Array<Task>] right one after the other by now
      # @!attribute wrong [Integer] tasks that went wrong one after the other by now
      # @!attribute day_times [Array<DayTime>] of the class's own day
      # @!attribute review_due [Array<Curriculum::Step>] that the child was secure on and may be losing
      # @!attribute states [Hash{Step => Symbol}] of the child, where they are known
      # @!attribute adjustments [Teaching::Adjustments] that a teacher set for the child
      # @!attribute baseline [Knowing::Baseline, nil] where the child's place is looked for, in the place of practice
      Learner = Struct.new(:step, :ceiling, :answers, :belief, :turns, :running, :wrong, :day_times, :review_due, :states, :adjustments,
                           :baseline, keyword_init: true)

      # See above.
      class Learner
        # First tries that are kept at hand (judgement: what is older is chosen again as if it were new).
        KEPT = 60

        CLIMBS = DeskTask::WORDS[:climbs]

        USUAL = { running: [].freeze, day_times: [].freeze, review_due: [].freeze, states: {}.freeze,
                  adjustments: Teaching::Adjustments.none }.freeze
        private_constant :USUAL

        # @param step [Curriculum::Step]
        # @param answers [Array<MarkedAnswer>] oldest first
        # @param turns [Array<Turn>] oldest first
        # @param more [Hash{Symbol => Object}] other parts by name; what is left out follows from answers and turns
        # @raise [ArgumentError] where there is no such part
        def initialize(step:, answers: [], turns: [], **more)
          super(step:, answers: answers.last(KEPT).freeze, turns: turns.last(KEPT).freeze, **USUAL, **more)
          self.belief ||= Knowing::Diagnosis.new(answers)
          self.wrong ||= [self.turns.length, self.answers.reverse.take_while { |marked| !marked.read_right? }.length].min
          freeze
        end

        # @return [Array<DialTime, DayTime>] asked in this sitting, oldest first
        def times = turns.flat_map(&:times)

        # @param turn [Turn]
        # @return [Learner] once it was put to the child
        def with_turn(turn) = with(turns: turns + [turn])

        # @param marked [Array<MarkedAnswer>] the answers of one turn, at first try
        # @return [Learner]
        def after(marked)
          believed = marked.reduce(belief) { |so_far, answer| so_far.with(answer) }
          with(answers: answers + marked, belief: believed, baseline: baseline&.after(turns.last, marked.first),
               wrong: marked.all?(&:read_right?) ? 0 : wrong + 1, **climbed(marked))
        end

        # @return [Learner] once the last task was shown instead of answered
        def shown = with(running: [])

        # @param adjustments [Teaching::Adjustments]
        # @return [Learner] the same, as a teacher has set it by now
        def adjusted(adjustments) = with(adjustments:)

        # @param step [Step]
        # @return [Array<DeskTask>] ways in which this child is asked on it
        def ways(step)
          fitting = adjustments.fitting(DeskTask.of(step).map(&:task))
          DeskTask.of(step).select { |kind| fitting.include?(kind.task) }
        end

        # @param turn [Turn] that comes next
        # @return [Boolean] whether its clock has help on it: on a step that is new to the child, until some were right
        def helped?(turn)
          return false if Choosing::Support.of(turn.step, turn.task).empty?
          return true if adjustments.on?(:help)
          return false if states.empty? || turn.step != step

          Choosing::Support.at_desk?(Choosing::Levels.of_state(states.fetch(step)), running.length)
        end

        # @param turn [Turn] that comes next
        # @return [Boolean] whether the step begins with it: the child was never asked on it, and was asked before at all (what a child
        #   knows who is asked for the first time is to be found out). What only takes steps together is no beginning
        def begins?(turn)
          new = states[step] == :not_yet && answers.any? && turns.none? { |past| past.step == step }
          new && turn.step == step && !step.together? && Beginning.fits?(turn.task)
        end

        # First tries wrong one after the other from which on a child is asked something easier (judgement), and from which on also where a
        # misreading is likely that could be helped against: help needs something that goes well between.
        STUCK = 2
        LOST = 3

        # @return [Boolean] whether the last one was wrong, or could not be read
        def wrong? = wrong.positive?

        # @return [Boolean] whether the last ones were
        def stuck? = wrong >= (belief.likely.empty? ? STUCK : LOST)

        # @param step [Step]
        # @return [Boolean] whether the last whole dial at one of its times was read rightly
        def read_last?(step)
          last = answers.reverse.find { |marked| marked.task.dial? && Curriculum::Step.home(marked.task).nil? && step.holds?(marked.time) }
          !last.nil? && last.read_right?
        end

        # @param step [Step]
        # @return [Step, nil] the highest below it that was read rightly the last time, or else the lowest: of those that it rests on, or of
        #   the ladder, where it rests on none that can be asked
        def easier_than(step)
          sets = [step.foundations, Curriculum::Step.up_to(step) - [step]]
          below = sets.map { |steps| steps.select { |lower| lower.whole? && lower.pool.any? } }.find(&:any?).to_a
          below.reverse.find { |lower| read_last?(lower) } || below.first
        end

        # @return [Array<Array(Task, DialTime)>] read rightly the last time they were asked: those first that are of a step that the child
        #   may be losing, then the longest ago
        def known
          last = answers.reverse.uniq { |marked| [marked.task, marked.time] }.reverse
          right = last.select(&:read_right?).map { |marked| [marked.task, marked.time] }
          right.partition { |task, time| review_due?(task, time) }.flatten(1)
        end

        private

        def with(**changes) = Learner.new(**to_h, **changes)

        # What was asked for a change says nothing of the step.
        def climbed(marked)
          turn = turns.last
          return {} if turn.nil? || turn.step != step

          right = marked.all?(&:read_right?) ? [*running, turn.task] : []
          above = above_this if ceiling && enough?(right)
          above ? { step: above, running: [] } : { running: right }
        end

        # A step that is asked in one way alone needs no second one.
        def enough?(right)
          right.length >= CLIMBS[:right] && right.uniq.length >= [CLIMBS[:kinds], ways(step).length].min
        end

        def above_this = (Curriculum::Step.up_to(ceiling) - Curriculum::Step.up_to(step)).first

        def review_due?(task, time)
          home = Curriculum::Step.home(task)
          review_due.any? { |step| home ? step == home : step.whole? && step.holds?(time.dial_time) }
        end
      end
    end
  end
end
