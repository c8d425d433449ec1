# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # Two clocks of the same half of a day: which is earlier, and how long it is from one to the other, counted on by full hours.
      class Between
        TEXTS = Facts::DataFile.load("between").freeze
        HOUR = 60

        # A part of the way.
        # @!attribute from [DialTime]
        # @!attribute to [DialTime]
        # @!attribute minutes [Integer]
        Hop = Struct.new(:from, :to, :minutes, keyword_init: true)

        # @param minutes [Integer] 0 or more
        # @return [String]
        # @example
        #   Between.length(65) # "1 hour 5 minutes"
        def self.length(minutes)
          hours, rest = minutes.divmod(HOUR)
          parts = [[hours, TEXTS[hours == 1 ? :hour : :hours]], [rest, TEXTS[rest == 1 ? :minute : :minutes]]]
          counted = parts.reject { |number, _| number.zero? }.map { |number, name| "#{number} #{name}" }
          counted.empty? ? "0 #{TEXTS[:minutes]}" : counted.join(" ")
        end

        # @return [Symbol] `:one`, `:other`, or `:same`
        attr_reader :earlier
        # @return [Integer] minutes between them, 0..719
        attr_reader :minutes

        # @param one [DialTime] twelve o'clock begins the half of the day
        # @param other [DialTime]
        # @example
        #   Between.new(Dial::DialTime.parse("7:45"), Dial::DialTime.parse("8:20")).minutes # 35
        def initialize(one, other)
          @from, @to = [one, other].sort_by(&:index)
          @minutes = @to.index - @from.index
          @earlier = @minutes.zero? ? :same : { one => :one, other => :other }.fetch(@from)
          freeze
        end

        # @return [Array<Hop>] up to the next full hour, whole hours, and what is left; one where no full hour lies between
        def hops
          stops = [@from.index, (@from.index / HOUR.to_f).ceil * HOUR, @to.index / HOUR * HOUR, @to.index]
          stops = [@from.index, @to.index] if stops[1] > stops[2]
          stops.each_cons(2).filter_map { |from, to| hop(from, to) if to > from }
        end

        # @param conventions [Conventions]
        # @return [Array<String>] which is earlier, each part of the way, and all of it where it has several
        def sentences(conventions = Wording::Conventions.default)
          return [format(TEXTS[:same], time: words(@from, conventions))] if minutes.zero?

          steps = hops.map do |hop|
            from, to = [hop.from, hop.to].map { |time| words(time, conventions) }
            format(TEXTS[:step], from:, to:, length: Between.length(hop.minutes))
          end
          [format(TEXTS[:earlier], time: capital(words(@from, conventions))), *steps, *(together if steps.length > 1)]
        end

        private

        def together = format(TEXTS[:together], length: Between.length(minutes))

        def hop(from, to)
          times = [from, to].map { |index| Dial::DialTime.from_index(index % Dial::DialTime::ROUND) }
          Hop.new(from: times[0], to: times[1], minutes: to - from).freeze
        end

        def words(time, conventions) = Wording::Phrase.usual(time, conventions)

        def capital(text) = text[0].upcase + text[1..]
      end
    end
  end
end
