# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # The days of a term on which there is a lesson.
      module Days
        # Of a term, in days (judgement: a school year and some weeks).
        LONGEST = 420
        # Days of the week, Sunday first, as Julian days count them.
        WEEK = %i[sunday monday tuesday wednesday thursday friday saturday].freeze

        # @!attribute day [Integer]
        # @!attribute minutes [Integer]
        Slot = Struct.new(:day, :minutes, keyword_init: true)

        # Days that most schools have off, each by month and day of the month, with its name.
        OFTEN_OFF = NUMBERS[:often_off].freeze

        class << self
          # @param first [Integer]
          # @param last [Integer]
          # @param weekdays [Hash{Symbol => Integer}] minutes of the lesson on each day of {WEEK} that has one
          # @param off [Array<Range>] days without school
          # @return [Array<Slot>] oldest first
          # @raise [Error] where the term ends before it begins or is too long
          def lessons(first:, last:, weekdays:, off: [])
            raise Error.new("The last day is before the first.", field: :last_day) if last < first
            raise Error.new("A term can have at most #{LONGEST} days.", field: :last_day) if last - first >= LONGEST

            given = (first..last).select { |day| weekdays.key?(weekday(day)) && off.none? { |range| range.cover?(day) } }
            given.map { |day| Slot.new(day:, minutes: weekdays.fetch(weekday(day))).freeze }
          end

          # @param day [Integer]
          # @return [Symbol] one of {WEEK}
          def weekday(day) = WEEK.fetch((day + 1) % 7)
        end
      end
    end
  end
end
