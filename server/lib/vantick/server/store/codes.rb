# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Store
      # Short codes for sheets and desks, without vowels, so that they are no words, and without letters that are taken for digits or
      # for each other. Those of sheets end in a check letter: one letter mistyped or two changed over are noticed.
      module Codes
        # As many as a prime number, so that the check letter finds every single slip (common practice for check digits, no source).
        LETTERS = %w[C D F H J K M N P R T V X 3 4 7 9].freeze
        LENGTH = 4
        # What codes were made of earlier, without a check letter.
        EARLIER = /\A[0-9A-Z]{4}\z/

        class << self
          # @param length [Integer] in letters
          # @yield [String] whether a code is taken
          # @return [String] one that is not
          def fresh(length = LENGTH)
            loop do
              code = Array.new(length) { LETTERS[SecureRandom.random_number(LETTERS.length)] }.join
              return code unless yield(code)
            end
          end

          # @yield [String] whether a code is taken
          # @return [String] one for a sheet, with its check letter
          def of_sheet = checked(fresh { |code| yield(checked(code)) })

          # @param code [String]
          # @return [String] the code and its check letter
          # @example
          #   Codes.checked("K7RD") # "K7RDX"
          def checked(code)
            sum = code.each_char.with_index(1).sum { |letter, place| place * LETTERS.index(letter) }
            # The check letter's own place counts like the others'.
            code + LETTERS[(0...LETTERS.length).find { |check| ((sum + ((code.length + 1) * check)) % LETTERS.length).zero? }]
          end

          # @param typed [String]
          # @return [Boolean] whether it can be no sheet's code, as a letter is wrong
          def mistyped?(typed)
            code = tidy(typed)
            return false if EARLIER.match?(code)

            code.length != LENGTH + 1 || (code.chars - LETTERS).any? || checked(code[0...-1]) != code
          end

          # @param typed [String]
          # @return [String] as codes are written
          def tidy(typed) = typed.upcase.delete("^A-Z0-9")
        end
      end
    end
  end
end
