# frozen_string_literal: true

module Vantick
  # What can go wrong, each named after its situation.
  module Core
    # The root of what a caller can get wrong. The message says what to do; `field` names the input.
    class Error < StandardError
      # @return [Symbol] the name of the input at fault, such as `:time`
      attr_reader :field

      # @param message [String] what to do
      # @param field [Symbol] the name of the input
      def initialize(message, field:)
        super(message)
        @field = field
      end
    end

    # Not a time that a dial can show.
    class InvalidTime < Error
      # @param text [Object] what was given
      # @param field [Symbol]
      def initialize(text, field: :time)
        super("#{Core.excerpt(text)} isn't a time. Type it like 7:45.", field:)
      end
    end

    # Not a time of the day, or one of which nobody can say in which half of the day it is.
    class InvalidDayTime < Error
      # @param text [Object] what was given
      # @param field [Symbol]
      def initialize(text, field: :day)
        super("#{Core.excerpt(text)} isn't a time of day. Type it like 8:45, 15:30 or 3:30 p.m.", field:)
      end
    end

    # A time that is there already, where each may be once.
    class TimeTwice < Error
      # @param time [Object] that is there already
      # @param field [Symbol]
      def initialize(time, field: :time)
        super("#{time} is already in this lesson. Choose another time.", field:)
      end
    end

    # A name that is in none of the tables: a task, a step, a misreading.
    class UnknownName < Error
      # @param kind [String] what it should be, such as "task"
      # @param name [Object] what was given
      # @param known [Array] those that there are
      # @param field [Symbol]
      def initialize(kind, name, known, field: kind.to_sym)
        super("#{Core.excerpt(name)} is not a #{kind}: use one of #{known.join(', ')}.", field:)
      end
    end

    # More or fewer times asked for than there are.
    class InvalidCount < Error
      # @return [Integer, nil] the nearest number that there is
      attr_reader :nearest

      # @param message [String] what to do
      # @param field [Symbol]
      # @param nearest [Integer, nil] the nearest number that there is
      def initialize(message, field: :count, nearest: nil)
        super(message, field:)
        @nearest = nearest
      end
    end

    # An answer too long to be an answer.
    class AnswerTooLong < Error
      # @param length [Integer] letters
      # @param limit [Integer] the most
      def initialize(length, limit)
        super("The answer is too long: #{length} characters, where #{limit} is the most.", field: :answer)
      end
    end

    # What someone is said to have said is no wrong reading of the dial.
    class InvalidSaid < Error
      # @param text [Object] what was given
      # @param time [DialTime] that it was said of
      def initialize(text, time)
        super("#{Core.excerpt(text)} is not a mistake at #{time}. Say what someone said it shows, such as \"quarter to seven\" at 7:45.",
              field: :said)
      end
    end

    # A data file that ships with core does not hold what it should: our mistake, not a caller's.
    class InvalidData < StandardError; end

    # Quotes what was given, shortened so that a message stays a line.
    # @param text [Object]
    # @return [String]
    def self.excerpt(text) = text.to_s.scrub("?").then { |given| given.length > 40 ? "#{given[0, 40]}…" : given }.inspect
  end
end
