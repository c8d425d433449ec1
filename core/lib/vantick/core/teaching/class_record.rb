# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What the record of a class says beside its answers.
      #
      # @!attribute lessons [Array<SchemeOfWork::GivenLesson>] that are known to have been given
      # @!attribute judgements [Hash{Object => Array<TeacherJudgement>}] by child, what a teacher says it knows, or does not yet
      # @!attribute away [Hash{Object => Array<Integer>}] by child, days on which a teacher says it was away
      # @!attribute since [Hash{Object => Integer}] by child, the day on which it came into the class, where that was later
      ClassRecord = Struct.new(:lessons, :judgements, :away, :since, keyword_init: true) do
        def initialize(lessons: [], judgements: {}, away: {}, since: {})
          super
          freeze
        end

        # @param day [Integer] in the same count of days
        # @return [ClassRecord] the same, of the lessons until then
        # @example
        #   ClassRecord.new(lessons: [lesson]).until(lesson.day - 1).lessons # []
        def until(day) = ClassRecord.new(**to_h, lessons: lessons.select { |lesson| lesson.day <= day })
      end
    end
  end
end
