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

        # @param answers [Array<Standing::Asked>] at first try, oldest first
        # @param lessons [Array<Course::Given>] that the child was there for
        # @param said [Array<Said>]
        def initialize(answers, lessons: [], said: [])
          @belief = Belief.new
          @seen = Seen.new
          @states = States.new
          @secure_by_day = {}
          days = { lessons:, answers:, said: }.transform_values { |some| some.group_by(&:day) }
          days.values.flat_map(&:keys).uniq.sort.each { |day| follow(day, days) }
          freeze
        end

        private

        def follow(day, days)
          days[:lessons].fetch(day, []).each { |lesson| taught(lesson) }
          days[:answers].fetch(day, []).each { |asked| answered(asked) }
          days[:said].fetch(day, []).each { |said| told(said) }
          states.look(belief, seen)
          @secure_by_day[day] = states.secure
        end

        def told(said)
          belief.told(said.step, said.known, said.day)
          seen.told(said.step) if said.known
        end

        def taught(lesson)
          belief.taught(lesson.step, lesson.day)
          seen.taught(lesson.step)
        end

        def answered(asked)
          belief.answered(asked.marked, asked.day)
          seen.answered(asked.marked, asked.day)
        end
      end
    end
  end
end
