# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Teachers' names as they are told apart: without regard to case, to how a letter is put together, and to letters of
      # other scripts that look the same (Unicode TR 36 and 39; the letters below from memory).
      module AccountNames
        LENGTHS = (2..40)
        HIDDEN = "The name has hidden characters. Type it again."
        MIXED = "The name mixes letters of different alphabets. Use one alphabet."
        SIGNS = "A name can have letters, digits, spaces and . ' - _ only."
        TOO_LIKE = "There is already an account with a very similar name. Choose another."
        LENGTH = "A name needs 2 to 40 characters."
        SCRIPTS = { latin: /\p{Latin}/, greek: /\p{Greek}/, cyrillic: /\p{Cyrillic}/, armenian: /\p{Armenian}/, other: /\p{L}/ }.freeze
        # Together in a name they are one script: Japanese is written in three.
        ALLOWED = /\A[\p{L}\p{M}\p{Nd} .'’_-]+\z/
        UNSEEN = /[\p{Cf}\p{Cc}\p{Co}\p{Cn}\u115F\u1160\u3164\uFFA0\u2800]/
        LOOKS_LIKE = {
          "а" => "a", "е" => "e", "о" => "o", "р" => "p", "с" => "c", "у" => "y", "х" => "x", "і" => "i", "ј" => "j", "ѕ" => "s",
          "к" => "k", "м" => "m", "т" => "t", "в" => "b", "н" => "h", "ԁ" => "d", "һ" => "h", "ԛ" => "q", "ԝ" => "w", "ӏ" => "l",
          "α" => "a", "β" => "b", "ε" => "e", "ι" => "i", "κ" => "k", "ν" => "v", "ο" => "o", "ρ" => "p", "τ" => "t", "υ" => "u",
          "χ" => "x", "η" => "n", "μ" => "u", "ı" => "i", "ɩ" => "i", "0" => "o", "1" => "l"
        }.freeze

        class << self
          # @param text [String] as it was typed
          # @return [String] as it is kept
          def tidy(text) = text.unicode_normalize(:nfkc).gsub(/[[:blank:]]+/, " ").strip

          # @param text [String]
          # @return [String] the same for all ways of typing one name
          def folded(text) = tidy(text).downcase(:fold).unicode_normalize(:nfkc)

          # @param text [String]
          # @return [String] the same for all names that look alike
          def looks(text) = folded(text).gsub(/./) { |letter| LOOKS_LIKE.fetch(letter, letter) }.tr("i", "l")

          # @param text [String] a new name, tidied
          # @return [String, nil] what is wrong with it
          def wrong(text)
            return LENGTH unless LENGTHS.cover?(text.length)
            return HIDDEN if text.match?(UNSEEN)
            return SIGNS unless text.match?(ALLOWED)

            MIXED if scripts(text).length > 1
          end

          private

          def scripts(text)
            text.scan(/\p{L}/).map { |letter| SCRIPTS.find { |_, pattern| letter.match?(pattern) }.first }.uniq
          end
        end
      end
    end
  end
end
