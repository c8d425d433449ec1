# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # A child followed day by day: lessons, answers and what a teacher says of it, in their order; on one day the answers come after the
      # lesson, and a teacher says what is true after both.
      class Followed
        # @return [Belief] after the last day
        attr_reader :belief
        # @return [Seen]
        attr_reader :seen
        # @return [States]
        attr_reader :states
        # @return [Hash{Integer => Array<Step>}] by day with answers, the steps that were secure after it
        attr_reader :secure_by_day

        # @return [Hash{Integer => Hash}] by day with answers, what fades from then on (see {Places#fading})
        attr_reader :fading_by_day

        # @return [Hash{Array(Step, Integer) => Array(Float, Float)}] by step and day of a lesson on one kind of times, how likely it was
        #   known before it, and how far it could be learned
        attr_reader :before

        BAD_DAY = TABLE[:bad_day].freeze

        # @param answers [Array<ItemResponse>] at first try, oldest first
        # @param lessons [Array<#day, #step>] that the child was there for
        # @param judgements [Array<TeacherJudgement>]
        # @param wanted [Array<Symbol>] ways that a step wants in this class
        def initialize(answers, lessons: [], judgements: [], wanted: States::WANTED)
          @belief = Belief.new
          @seen = Seen.new(wanted)
          @states = States.new(wanted)
          @secure_by_day = {}
          @fading_by_day = {}
          @before = {}
          days = { lessons:, answers:, judgements: }.transform_values { |some| some.group_by(&:day) }
          days.values.flat_map(&:keys).uniq.sort.each { |day| follow(day, days) }
        end

        private

        def follow(day, days)
          days[:lessons].fetch(day, []).each { |lesson| taught(lesson) }
          answered_on(day, days[:answers].fetch(day, []))
          days[:judgements].fetch(day, []).each { |judgement| apply_judgement(judgement) }
          states.look(belief, seen)
          @secure_by_day[day] = states.secure
          @fading_by_day[day] = belief.fading
        end

        def apply_judgement(judgement)
          belief.judged(judgement.step, judgement.known, judgement.day)
          seen.judged(judgement.step) if judgement.known
        end

        def taught(lesson)
          kinds = Curriculum::KnowledgeComponents.of_step(lesson.step)
          @before[[lesson.step, lesson.day]] = expected_of(kinds.first, lesson.day) if kinds.one?
          belief.taught(lesson.step, lesson.day)
          seen.taught(lesson.step)
        end

        def expected_of(kind, day) = Expected.new(belief, seen, day).then { |expected| [expected.known(kind), expected.ready(kind)].freeze }

        # A day on which a child is not itself says nothing of what it knows; two running are no longer such days, nor is one on which it
        # was to be found out where the child is.
        def answered_on(day, all)
          before = belief.dup
          odds = @bad ? BAD_DAY[:again] : BAD_DAY[:chance]
          all.each do |asked|
            marked = asked.marked
            seen.answered(marked, day, helped: asked.helped)
            likely = belief.answered(marked, day, helped: asked.helped)
            odds *= Item.of(marked.task, marked.time).on_a_bad_day(marked) / likely if marked.telling?
          end
          @bad = all.any? && all.none?(&:baseline) && odds > 1
          @belief = before if @bad
        end
      end
    end
  end
end
