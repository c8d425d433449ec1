# frozen_string_literal: true

module Vantick
  module Core
    module Curriculum
      # An answer at first try.
      # @!attribute step [Step] for which it was asked
      # @!attribute marked [MarkedAnswer]
      # @!attribute day [Integer] any count of days
      # @!attribute baseline [Boolean, nil] whether it was asked to find where the child is
      # @!attribute device [Boolean, nil] whether it was given on a device and not on paper
      # @!attribute helped [Boolean, nil] whether help was on the clock: a right answer says less then
      ItemResponse = Struct.new(:step, :marked, :day, :baseline, :device, :helped, keyword_init: true)
    end
  end
end
