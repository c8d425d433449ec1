# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What a teacher says of a child without an answer: it knows a step, or does not yet.
      # @!attribute step [Curriculum::Step]
      # @!attribute known [Boolean] whether the child knows it
      # @!attribute day [Integer] in any count of days
      TeacherJudgement = Struct.new(:step, :known, :day, keyword_init: true)
    end
  end
end
