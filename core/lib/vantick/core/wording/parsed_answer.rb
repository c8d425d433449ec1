# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # One way to take a written answer: what was said, in which form, with which writing slips.
      class ParsedAnswer
        # How an answer can be written. `:clock` is digits on a twelve-hour clock, `:day` digits that name
        # a half of the day, `:spoken` digits spoken ("seven forty-five"), `:name` noon or midnight.
        FORMS = %i[clock day words spoken name].freeze
        # Writing that is off while the reading may be right.
        SLIPS = %i[separator run_together one_digit no_side hour_alone spelling].freeze
        # Written off from what was asked, in the form in which it was asked: no reading at all.
        COPIED = :copied

        # @return [SpokenTime]
        attr_reader :saying
        # @return [Symbol] one of {FORMS}
        attr_reader :form
        # @return [Array<Symbol>] some of {SLIPS}
        attr_reader :slips

        # @param saying [SpokenTime]
        # @param form [Symbol] one of {FORMS}
        # @param slips [Array<Symbol>] some of {SLIPS}
        def initialize(saying, form, slips = [])
          @saying = saying
          @form = form
          @slips = slips.uniq.freeze
          freeze
        end

        # @return [DialTime] the time it means
        def time = saying.time

        # @return [Boolean] whether it was written in digits
        def digits? = %i[clock day].include?(form)

        # @param conventions [Conventions]
        # @return [String] what it was taken for: digits for digits written or spoken, else words
        def read_as(conventions = Conventions.default)
          as_digits? ? time.digital(conventions.sign) : saying.words(conventions)
        end

        # @param conventions [Conventions]
        # @return [String] the same for narrow places
        def read_short(conventions = Conventions.default)
          as_digits? ? time.digital(conventions.sign) : Phrase.short(saying, conventions)
        end

        def ==(other)
          other.is_a?(ParsedAnswer) && saying == other.saying && form == other.form && slips == other.slips
        end
        alias eql? ==

        def hash = [ParsedAnswer, saying, form, slips].hash

        private

        def as_digits? = digits? || form == :spoken
      end
    end
  end
end
