# frozen_string_literal: true

module Vantick
  module Core
    # Reads an answer as people write it: digits, words, spoken digits, or a teacher's quick code.
    # What could mean two things comes back as two; what means nothing comes back as none.
    class AnswerReader
      # Characters of an answer (judgement: the longest way of saying a time has 45).
      LONGEST = 200
      # Typed for a child's words by a teacher with many slips to enter: `qt8`, `20t8`, `8o`.
      CODE = /\A(?:(?<count>[qh]|\d{1,2})\s*(?<side>[pt])\s*(?<hour>\d{1,2})|(?<whole>\d{1,2})\s*o)\z/
      BLANK = /\A[[:space:]\-–—]*\z/
      DAY_HALF = /(?<=[\d\s])[ap]\.?\s?m\.?\z/
      APOSTROPHES = /[’‘`´]/
      SPLIT_OCLOCK = /\b[o0]\s*['\s]\s*clock\b/

      class << self
        # @param text [String] the answer exactly as given
        # @param conventions [Conventions] settle what is a slip and what is the class's own way
        # @return [Array<Given>] every way to take it; empty where it cannot be read
        # @raise [AnswerTooLong]
        def read(text, conventions = Conventions.default)
          raise AnswerTooLong.new(text.length, LONGEST) if text.length > LONGEST

          plain = tidy(text)
          bare = plain.sub(DAY_HALF, "").strip
          return whole_day(read_plain(bare, conventions)) if bare != plain

          read_plain(plain, conventions)
        end

        # @param text [String]
        # @return [Boolean] whether nothing was answered, or a dash for nothing
        def blank?(text) = text.scrub("?").match?(BLANK)

        # @param text [String]
        # @return [String] lower case, with plain spaces and apostrophes and no full stop
        def tidy(text)
          text.scrub(" ").unicode_normalize(:nfkc).downcase.gsub(APOSTROPHES, "'").gsub(/[[:space:]]+/, " ").strip
              .sub(/\s*[.,!?;]+\z/, "").gsub(SPLIT_OCLOCK) { |found| found.match?(/\s/) ? "oclock" : "o'clock" }
        end

        private

        def read_plain(plain, conventions)
          digits = DigitReader.read(plain, conventions.sign)
          return digits if digits.any?

          code(plain) || half_three(plain, conventions) || WordReader.read(plain)
        end

        # Heard at home in some places, and meant as half past.
        def half_three(plain, conventions)
          return unless conventions.half_three == :half_three_accepted

          givens = WordReader.read(plain)
          return unless givens.one? && givens.first.slips == [:no_side] && givens.first.saying.count == Saying::HALF

          [Given.new(givens.first.saying, :words)]
        end

        def whole_day(givens)
          givens.map { |given| Given.new(given.saying, given.digits? ? :day : :name, given.slips) }
        end

        def code(plain)
          found = CODE.match(plain) or return
          return words(0, :oclock, found[:whole].to_i) if found[:whole]

          count = { "q" => Saying::QUARTER, "h" => Saying::HALF }.fetch(found[:count], &:to_i)
          words(count, found[:side] == "p" ? :past : :to, found[:hour].to_i)
        end

        def words(count, side, hour)
          [Given.new(Saying.new(count, side, hour), :words)]
        rescue InvalidTime
          []
        end
      end
    end
  end
end
