# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Minutes as the long hand alone tells them: a count and a side, with no hour.
      class Counted
        # @return [Integer] minutes counted, 0..59; 0 only with `:oclock`
        attr_reader :count
        # @return [Symbol] one of {SpokenTime::SIDES}
        attr_reader :side

        # @param time [DialTime]
        # @return [Counted] what is usually said: past up to half past, then to
        def self.usual(time) = SpokenTime.usual(time).then { |spoken| new(spoken.count, spoken.side) }

        # @param count [Integer] 0..59; a count of 0 is "o'clock" whatever the side
        # @param side [Symbol] one of {SpokenTime::SIDES}
        # @raise [InvalidTime]
        def initialize(count, side)
          raise InvalidTime, "#{count} #{side}" unless (0..59).cover?(count) && SpokenTime::SIDES.include?(side)

          @count = count
          @side = count.zero? ? :oclock : side
          freeze
        end

        # @return [Integer] the minute past the hour it means, 0..59
        def minute = side == :to ? 60 - count : count

        # @param conventions [Conventions]
        # @return [String] such as "quarter to"
        def words(conventions = Conventions.default) = Phrase.counted(self, conventions)
        alias to_s words

        def ==(other) = other.is_a?(Counted) && count == other.count && side == other.side
        alias eql? ==

        def hash = [Counted, count, side].hash
      end
    end
  end
end
