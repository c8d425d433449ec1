# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Reads an answer as people write it: digits, words, spoken digits, or a teacher's quick code.
      # What could mean two things comes back as two; what means nothing comes back as none.
      class AnswerReader
        # Characters of an answer (judgement: the longest way of saying a time has 45).
        LONGEST = 200
        # Readings that are kept (judgement: more than a class writes in a year takes a few megabytes).
        KEPT = 5_000
        # Typed for a child's words by a teacher with many slips to enter: `qt8`, `20t8`, `8o`.
        # The sides are the first letters of the words for them: past or after, to, till, before or of.
        CODE = /\A(?:(?<count>[qh]|\d{1,2})\s*(?<side>[patb]|o(?=\s*\d))\s*(?<hour>\d{1,2})|(?<whole>\d{1,2})\s*o)\z/
        PAST = %w[p a].freeze
        NOT_YET = /\A\W*(?:(?:it's|its|it is|now|maybe|i think)\s+)*(?:#{Regexp.union(AnswerNormalizer::TABLE[:not_yet]).source})\b/
        BLANK = /\A[[:space:]\-–—]*\z/
        # An hour alone, where a half of the day was said with it, or "o'clock" after digits.
        BARE_HOUR = /\A(\d{1,2})\z/
        # "ten o two" is 10:02 said aloud, or "ten to two" without its t; "three o five" is 3:05, as nobody counts three.
        TO_OR_OH = /\A(?<count>[a-z]+) o (?<hour>[a-z]+)\z/
        DIGITS_OCLOCK = /\A(\d{1,2}\s*[:.]\s*\d{2})\s*(?:o'clock|oclock|0clock)\z/

        class << self
          # @param text [String] the answer exactly as given
          # @param conventions [Conventions] settle what is a slip and what is the class's own way
          # @return [Array<ParsedAnswer>] every way to take it; empty where it cannot be read
          # @raise [AnswerTooLong]
          def read(text, conventions = Conventions.default)
            raise AnswerTooLong.new(text.length, LONGEST) if text.length > LONGEST

            key = [text, conventions.sign, conventions.half_three]
            cache[key] || keep(key, taken(text, conventions).freeze)
          end

          # @param text [String] an answer that cannot be read
          # @return [Array<ParsedAnswer>] what may have been meant, at most two, the likelier first
          # @raise [AnswerTooLong]
          # @example
          #   AnswerReader.near("ten past fine").map(&:read_as) # ["ten past five", "ten past nine"]
          def near(text)
            raise AnswerTooLong.new(text.length, LONGEST) if text.length > LONGEST

            plain = AnswerNormalizer.of(text).plain
            both = to_or_oh(plain)
            both.empty? ? LikelyReader.near(plain) : both
          end

          # An hour and nothing more, "3" or "its three": what it says can be known only where the time is an o'clock.
          # @param text [String] the answer exactly as given
          # @param form [Symbol] `:clock` or `:words`, in which it was to be written
          # @return [Array<ParsedAnswer>] as o'clock, with the slip that the rest was left out; empty where it is no hour
          # @raise [AnswerTooLong]
          def hour_alone(text, form)
            PartReader.read(text, :hour).select { |part| (1..12).cover?(part.value) }.map do |part|
              ParsedAnswer.new(SpokenTime.new(0, :oclock, part.value), form, [*part.slips, :hour_alone])
            end
          end

          # @param text [String]
          # @return [Boolean] whether nothing was answered, or a dash for nothing
          def blank?(text) = text.scrub("?").match?(BLANK)

          # @param text [String] the answer exactly as given
          # @return [Boolean] whether it says that the time is not there yet, as "nearly eleven" does
          def not_yet?(text) = text.scrub("?").downcase.match?(NOT_YET)

          # @param text [String]
          # @return [String] lower case, with nothing that nobody sees or means
          def tidy(text) = AnswerNormalizer.bare(text)

          private

          def cache = @cache ||= {}

          # What a class writes is written again and again; when so much is kept, it begins anew.
          def keep(key, givens)
            cache.clear if cache.length >= KEPT
            cache[key.map(&:dup).freeze] = givens
          end

          def taken(text, conventions)
            cleaned = AnswerNormalizer.of(text)
            givens = cleaned.half ? whole_day(cleaned.plain, conventions) : read_plain(cleaned.plain, conventions)
            return givens if cleaned.slips.empty?

            givens.map { |given| ParsedAnswer.new(given.saying, given.form, given.slips + cleaned.slips) }
          end

          def read_plain(plain, conventions)
            digits = DigitReader.read(plain, conventions.sign)
            return digits if digits.any?

            whole = DIGITS_OCLOCK.match(plain)
            return DigitReader.read(whole[1], conventions.sign) if whole

            code(plain) || half_three(plain, conventions) || in_words(plain)
          end

          # What is spelled as nobody can be strict about is read by what its place in the sentence can hold.
          def in_words(plain)
            return [] if to_or_oh(plain).any?

            strict = WordReader.read(plain)
            strict.empty? ? LikelyReader.read(plain) : strict
          end

          # Both readings, where both are a time.
          def to_or_oh(plain)
            found = TO_OR_OH.match(plain) or return []
            both = %w[to oh].map { |between| WordReader.read("#{found[:count]} #{between} #{found[:hour]}").first }
            both.all? && (both.first.saying.count % 5).zero? ? both : []
          end

          # Heard at home in some places, and meant as half past.
          def half_three(plain, conventions)
            return unless conventions.half_three == :half_three_accepted

            givens = WordReader.read(plain)
            return unless givens.one? && givens.first.slips == [:no_side] && givens.first.saying.count == SpokenTime::HALF

            [ParsedAnswer.new(givens.first.saying, :words)]
          end

          # With a half of the day said.
          def whole_day(plain, conventions)
            hour = BARE_HOUR.match(plain)
            return words(0, :oclock, hour[1].to_i, form: :day) if hour

            givens = read_plain(plain, conventions)
            givens.map { |given| ParsedAnswer.new(given.saying, given.digits? ? :day : :name, given.slips) }
          end

          def code(plain)
            found = CODE.match(plain) or return
            return words(0, :oclock, found[:whole].to_i) if found[:whole]

            count = { "q" => SpokenTime::QUARTER, "h" => SpokenTime::HALF }.fetch(found[:count], &:to_i)
            words(count, PAST.include?(found[:side]) ? :past : :to, found[:hour].to_i)
          end

          def words(count, side, hour, form: :words)
            [ParsedAnswer.new(SpokenTime.new(count, side, hour), form)]
          rescue InvalidTime
            []
          end
        end
      end
    end
  end
end
