# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # How long a lesson is, and what of its stages a teacher has settled already.
      #
      # @!attribute minutes [Integer] one of {Lesson::LENGTHS}
      # @!attribute stage_minutes [Hash{Symbol => Integer}] minutes of each stage where they are not the usual ones
      # @!attribute activities [Hash{Symbol => Symbol}] by stage, ways to work that a teacher chose
      # @!attribute kept [Hash{Symbol => Array<DialTime, DayTime, nil>}] by stage, times that stand where they stand; nil is a place
      #   to choose for
      # @!attribute pinned [Hash{Symbol => Array<DialTime, DayTime>}] by stage, those of the kept ones that have to stay
      LessonFrame = Struct.new(:minutes, :stage_minutes, :activities, :kept, :pinned, keyword_init: true) do
        def initialize(minutes:, stage_minutes: {}, activities: {}, kept: {}, pinned: {})
          super
          freeze
        end
      end
    end
  end
end
