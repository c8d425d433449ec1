# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Times chosen for a step and a task, and what their answers can tell.
      class Choice
        # @return [Array<DialTime>] easiest first
        attr_reader :times
        # @return [Integer] pairs of {right, misreadings} that the times keep apart
        attr_reader :pairs_told_apart
        # @return [Integer] pairs that any times of the step could keep apart
        attr_reader :pairs_possible
        # @return [Hash{Symbol => Integer}] by misreading, the times at which it would show
        attr_reader :chances

        # @param telling [Discrimination]
        # @param times [Array<DialTime>] of the step's pool
        def initialize(telling, times)
          @times = times.sort_by { |time| [Curriculum::Difficulty.of(time), time] }.freeze
          @pairs_told_apart = telling.pairs_told_apart(times)
          @pairs_possible = telling.pairs_possible
          @chances = telling.chances(times).freeze
          freeze
        end

        # @return [Array<Symbol>] misreadings of the step that these times cannot show
        def untold = chances.select { |_, count| count.zero? }.keys
      end
    end
  end
end
