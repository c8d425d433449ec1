# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Store
      # Short codes for sheets, without letters that are taken for digits or for each other.
      module Codes
        LETTERS = %w[A C D E F H J K L M N P R T U V W X Y 3 4 7 9].freeze
        LENGTH = 4

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

          # @param typed [String]
          # @return [String] as codes are written
          def tidy(typed) = typed.upcase.delete("^A-Z0-9")
        end
      end
    end
  end
end
