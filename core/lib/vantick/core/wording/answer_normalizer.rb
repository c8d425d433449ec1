# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # An answer as people hand it in, made plain before it is read: signs that nobody sees or means are taken away, and so is
      # what only leads up to the time or goes on after it. What words and signs these are stands in `clean.yml`. Nothing is
      # guessed here: what is left is read by the readers, or is not.
      module AnswerNormalizer
        # What was cleaned.
        # @!attribute plain [String] lower case, single spaces
        # @!attribute half [Boolean] whether a half of the day was said with the time
        # @!attribute slips [Array<Symbol>] some of {ParsedAnswer::SLIPS}
        Cleaned = Struct.new(:plain, :half, :slips, keyword_init: true)

        TABLE = Facts::DataFile.load("clean")
        # Signs that nobody sees: of no width, turning the direction of writing, marking the order of bytes.
        HIDDEN = /[\p{Cf}\u00AD\u180E\uFE0E\uFE0F\u20E3]/
        # Little pictures, and signs put round an answer.
        PICTURES = /[\p{Emoji_Presentation}\p{Extended_Pictographic}\u{1F3FB}-\u{1F3FF}]/
        AROUND = /["“”„«»()\[\]{}<>*#=|\\]/
        APOSTROPHES = /[’‘`´]/
        DASHES = /[‐‑‒–—−]/
        FRACTIONS = TABLE[:fractions].to_h { |sign, word| [sign.to_s, " #{word} "] }.freeze
        FRACTION = Regexp.union(FRACTIONS.keys)
        LEADS = Regexp.union(TABLE[:leads].sort_by { |lead| -lead.length })
        LEAD = /\A(?:#{LEADS.source})(?=[\s\d:]|\z)\s*:?\s*/
        ABOUT = /\A[~≈]\s*/
        TRAILS = /(?<=[\d\s:.a-z])\s*\b(?:#{Regexp.union(TABLE[:trails].sort_by { |trail| -trail.length }).source})\z/
        HALF = /(?<=[\d\s])[ap]\.?\s?m\.?\z/
        IN_WORDS = TABLE[:in_words].map { |pattern, plain, slip| [Regexp.new(pattern), plain, slip] }.freeze
        # Whether any of them is there at all: most answers have none.
        ANY_IN_WORDS = Regexp.union(IN_WORDS.map(&:first))
        # Letters written for noughts and ones, where digits stand on the other side of the sign or beside it.
        NOUGHTS = /(?<=[\d:.])o(?=\d)|(?<=\d:)o(?=\s?\d)|(?<=\d)o(?=\d)|(?<=\d[:.]\d)o\b|(?<=\d[:.])o(?=o\b)|(?<=\d[:.]o)o\b/
        # Faces made of signs, and digits of other scripts.
        FACES = /(?<=\s|\A)[:;]-?[()dp](?=\s|\z)/
        OTHER_DIGITS = /(?![0-9])\p{Nd}/
        SPLIT_OCLOCK = /\b(?:o|0)\s*[',.]?\s*clock\b/

        class << self
          # @param text [String] exactly as it was given
          # @return [Cleaned]
          def of(text)
            visible = visible(text)
            plain = without_turns(visible)
            slip = visible.match?(NOUGHTS) || (plain != visible && IN_WORDS.any? { |pattern, _, wrong| wrong && visible.match?(pattern) })
            slips = slip ? [:spelling] : []
            plain = without_leads(squeezed(plain)).gsub(NOUGHTS, "0")
            whole, half = without_half(plain)
            Cleaned.new(plain: whole, half:, slips:)
          end

          # @param text [String]
          # @return [String] lower case, without what nobody sees or means
          def bare(text) = without_leads(squeezed(without_turns(visible(text))))

          private

          # What an answer says, in the signs that are read.
          def visible(text)
            plain = text.ascii_only? ? text.downcase : in_plain_signs(text.scrub(" "))
            squeezed(plain.gsub(APOSTROPHES, "'").gsub(FACES, " ").gsub(AROUND, " "))
          end

          def in_plain_signs(text)
            plain = text.gsub(FRACTION, FRACTIONS).unicode_normalize(:nfkc).downcase
            plain = plain.gsub(OTHER_DIGITS) { |digit| digit_of(digit) }
            plain.gsub(HIDDEN, "").gsub(PICTURES, " ").gsub(DASHES, "-").gsub(/(?<=\d)\s?[·∶]\s?(?=\d)/, ":")
          end

          # The digits of a script stand together, nought first.
          def digit_of(digit)
            nought = digit.ord
            nought -= 1 while [nought - 1].pack("U").match?(/\p{Nd}/) && nought > digit.ord - 9
            (digit.ord - nought).to_s
          end

          # Ways of saying one thing, each for the usual one.
          def without_turns(plain)
            return plain unless plain.match?(SPLIT_OCLOCK) || plain.match?(ANY_IN_WORDS)

            plain = IN_WORDS.reduce(plain) { |so_far, (pattern, instead)| so_far.gsub(pattern, instead) }
            plain.gsub(SPLIT_OCLOCK) { |found| found.start_with?("o'") ? "o'clock" : "oclock" }
          end

          def squeezed(plain) = plain.gsub(/[[:space:]]+/, " ").strip.sub(/\A'+\s*(?=[\da-z])/, "").sub(/\s*[.,!?;:']+\z/, "")

          # "I think it is about ...": one after the other, as long as something is left.
          def without_leads(plain)
            loop do
              left = plain.sub(ABOUT, "").sub(LEAD, "")
              return plain if left == plain || left.empty?

              plain = left
            end
          end

          # "quarter to eight in the evening": a half of the day goes with the time and changes nothing of it.
          def without_half(plain)
            left = plain.sub(HALF, "").strip
            left = plain.sub(TRAILS, "").strip if left == plain
            left == plain || left.empty? ? [plain, false] : [left, true]
          end
        end
      end
    end
  end
end
