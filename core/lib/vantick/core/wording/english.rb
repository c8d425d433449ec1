# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # The two kinds of English, from one table: words that differ, how days are written, and the paper schools have.
      module English
        TABLE = Facts::DataFile.load("english")
        # @return [Hash{Symbol => Hash{Symbol => String}}] by word, as British and as American
        WORDS = TABLE[:words]
        KINDS = %i[british american].freeze
        # What a country's schools usually have.
        COUNTRIES = TABLE[:countries].to_h { |country| [country[:id], country] }.freeze

        class << self
          # @param name [Symbol] one of {WORDS}
          # @param conventions [Conventions]
          # @return [String] the word in the class's English
          # @raise [KeyError] where there is no such word
          # @example
          #   English.word(:nought, Conventions.new(english: :american)) #=> "zero"
          def word(name, conventions = Conventions.default) = WORDS.fetch(name).fetch(conventions.english)

          # @param conventions [Conventions]
          # @return [String] BCP 47, such as "en-GB": how days and numbers are written
          def locale(conventions = Conventions.default) = TABLE[:locale].fetch(conventions.english)

          # @param conventions [Conventions]
          # @return [String] "a4" or "letter"
          def paper(conventions = Conventions.default) = TABLE[:paper].fetch(conventions.english)

          # @param conventions [Conventions]
          # @return [Integer] 12 or 24, the hours of a clock on which times of the day are written
          def hours_of_clock(conventions = Conventions.default) = TABLE[:hours].fetch(conventions.english)

          # @param day [Date]
          # @param conventions [Conventions]
          # @param year [Boolean] with the year and without the name of the day
          # @return [String] such as "Wednesday 25 November" or "Wednesday, November 25"
          def day(day, conventions = Conventions.default, year: false)
            day.strftime(TABLE[year ? :day_and_year : :day].fetch(conventions.english))
          end

          # @param id [String] of {COUNTRIES}
          # @return [Conventions] what new classes of such a school begin with
          # @raise [UnknownName]
          def conventions_of(id)
            country = COUNTRIES[id.to_s] || raise(UnknownName.new("country", id, COUNTRIES.keys, field: :country))
            Conventions.new(english: country[:english], past_word: country[:past], to_word: country[:to], separator: country[:separator])
          end
        end
      end
    end
  end
end
