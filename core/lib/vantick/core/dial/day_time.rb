# frozen_string_literal: true

require "forwardable"

module Vantick
  module Core
    module Dial
      # A whole minute of the day: 1,440 of them, midnight first. Each dial time comes twice.
      class DayTime
        include Comparable
        extend Forwardable

        # Minutes in a day.
        ROUND = 1440
        HALVES = %i[midnight am noon pm].freeze

        # @return [Integer] minutes since midnight, 0..1439
        attr_reader :index
        # @return [DialTime] what a dial shows at it
        attr_reader :dial_time

        def_delegators :dial_time, :minute, :side, :hidden_hand?, :twelve_hour?, :ticks, :hands, :minutes_past, :minutes_to

        class << self
          # @return [Array<DayTime>] all 1,440, in order
          def all = @all || Facts::Once.make { @all ||= Array.new(ROUND) { |index| new(index) }.freeze }

          # @param time [DialTime]
          # @return [Array<DayTime>] the two times of the day at which a dial shows it
          def of(time) = [all[time.index], all[time.index + DialTime::ROUND]]

          # @param text [String] ISO 8601 hours and minutes, such as "19:45"
          # @return [DayTime]
          # @raise [InvalidTime]
          def parse(text)
            dial = DialTime.parse(text)
            of(dial)[text.to_s[/\d+/].to_i / 12]
          end

          private :new
        end

        # @param index [Integer] minutes after midnight, 0..1439
        def initialize(index)
          @index = index
          @dial_time = DialTime.from_index(index)
          freeze
        end

        # @return [Integer] 0..23
        def hour = index / 60

        # Noon and midnight are neither a.m. nor p.m. (NIST, "Times of Day FAQs", from memory).
        # @return [Symbol] one of {HALVES}
        def half
          return hour.zero? ? :midnight : :noon if (index % DialTime::ROUND).zero?

          shown_half
        end

        # @return [Symbol] `:am` or `:pm`, what a digital clock shows, also at noon and midnight
        def shown_half = hour < 12 ? :am : :pm

        # @return [String] ISO 8601, such as "19:45"
        def to_s = format("%<hour>02d:%<minute>02d", hour:, minute:)
        alias digital to_s

        def <=>(other) = other.is_a?(DayTime) ? index <=> other.index : nil

        def ==(other) = other.is_a?(DayTime) && index == other.index
        alias eql? ==

        def hash = index.hash
      end
    end
  end
end
