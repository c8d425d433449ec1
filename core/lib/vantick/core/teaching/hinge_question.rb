# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # One question for the whole class where a lesson turns: whether to go on is seen from the wrong answers that come, each with what
      # helps at once. (Hinge questions: Wiliam, "Embedded Formative Assessment", 2011; from memory.)
      class HingeQuestion
        MOST = LessonFilling::VOLUME[:waited]
        # The stages before which it is asked: what was shown is to be understood, and what was tried.
        BEFORE = %i[together alone].freeze

        # An answer to wait for.
        # @!attribute answer [DialTime, SpokenTime]
        # @!attribute misreading [Misreading] that it comes from
        Wrong = Struct.new(:answer, :misreading)

        # @return [Symbol] the stage before which it is asked
        attr_reader :before
        # @return [DialTime, DayTime]
        attr_reader :time
        # @return [Task]
        attr_reader :task
        # @return [Array<Wrong>] what most children say who are wrong comes first
        attr_reader :wrong

        # @param lesson [Lesson]
        # @param step [Curriculum::Step] that it is about
        # @return [Array<HingeQuestion>] one before each of {BEFORE}, of what is new, where its clocks can show a misreading
        # @example
        #   HingeQuestion.of(lesson, step).first.wrong.map(&:answer)
        def self.of(lesson, step)
          pool = step.tasks.flat_map { |task| step.pool_for(task) }.uniq
          own = ContrastingPair.newest(step, pool).then { |newest| newest.empty? ? pool : newest }
          stages = lesson.stages.select { |stage| BEFORE.include?(stage.id) }
          stages.each_with_object([]) do |stage, found|
            found.concat([for_stage(stage, own, step, found.flat_map { |question| question.wrong.map(&:misreading) })].compact)
          end
        end

        # The clock of the stage at which the most misreadings part company that were not waited for before.
        def self.for_stage(stage, own, step, waited)
          items = stage.items.select { |item| item.time && own.include?(item.time) }
          found = items.map { |item| new(stage.id, item.time, item.task, step, waited) }.reject { |question| question.wrong.empty? }
          found.max_by.with_index { |question, at| [question.wrong.count { |wrong| !waited.include?(wrong.misreading) }, -at] }
        end
        private_class_method :for_stage

        # @param before [Symbol]
        # @param time [DialTime, DayTime]
        # @param task [Task]
        # @param step [Curriculum::Step] what can go wrong at it for the first time comes first
        # @param waited [Array<Misreading>] that another question is for: they come last
        def initialize(before, time, task, step, waited = [])
          @before = before
          @time = time
          @task = task
          @earlier = step.foundations.flat_map { |below| below.tasks.flat_map { |lower_task| below.misreadings(lower_task) } }.uniq
          @wrong = expected(waited).freeze
          freeze
        end

        private

        # Each misreading with an answer that no other gives; seldom ones last. What is new goes wrong first (judgement).
        def expected(waited)
          answers = Reading::Predictions.of(task).at(time).transform_keys { |id| Reading::Misreading.find(id) }.transform_values(&:first)
          order = answers.keys.sort_by.with_index do |misreading, at|
            [*[waited.include?(misreading), misreading.seldom?, @earlier.include?(misreading)].map { |last| last ? 1 : 0 }, at]
          end
          order.uniq { |misreading| answers[misreading] }.first(MOST).map { |misreading| Wrong.new(answers[misreading], misreading).freeze }
        end
      end
    end
  end
end
