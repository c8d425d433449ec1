# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What a class brings to a lesson: what it had before, and how long it takes.
      #
      # @!attribute earlier [Array<Curriculum::Step>] steps that are fading or not secure, for warm-up and recap; none for what the
      #   step builds on
      # @!attribute avoid [Array<DialTime, DayTime>] times not to choose
      # @!attribute exit_avoid [Array<DialTime, DayTime>] times of the last exits on the step
      # @!attribute day_times [Array<DayTime>] of the class's own day, which come before others
      # @!attribute pacing [Pacing]
      LessonContext = Struct.new(:earlier, :avoid, :exit_avoid, :day_times, :pacing, keyword_init: true) do
        def initialize(earlier: [], avoid: [], exit_avoid: [], day_times: [], pacing: Pacing.new)
          super
          freeze
        end
      end
    end
  end
end
