# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Reads a time written in digits, with the slips that leave no doubt about it.
      module DigitReader
        SEPARATED = %r{\A(\d{1,2})\s?([:.,;\-/_ ]|[:;.,]{2,3}|h)\s?(\d{1,2})\z}
        RUN_TOGETHER = /\A(\d{1,2})(\d{2})\z/

        class << self
          # @param plain [String] tidied text
          # @param sign [String] the class's own sign between hours and minutes
          # @return [Array<ParsedAnswer>] one, or none where this is no time in digits
          def read(plain, sign = ":")
            hour, minute, slips = parts(plain, sign)
            return [] unless hour && (0..23).cover?(hour) && (0..59).cover?(minute)

            form = (1..12).cover?(hour) ? :clock : :day
            [ParsedAnswer.new(SpokenTime.past(Dial::DialTime.at(hour, minute)), form, slips)]
          end

          private

          def parts(plain, usual)
            if (found = SEPARATED.match(plain))
              separated(*found.captures, usual)
            elsif (found = RUN_TOGETHER.match(plain))
              [found[1].to_i, found[2].to_i, [:run_together]]
            end
          end

          # A single digit after the sign is a missing nought, `3:5` for 3:05; after a space alone it
          # could as well be a count and an hour, so that is left to the words.
          def separated(hour, sign, minute, usual)
            return if sign == " " && minute.length == 1

            slips = []
            slips << :separator unless sign == usual
            slips << :one_digit if minute.length == 1
            [hour.to_i, minute.to_i, slips]
          end
        end
      end
    end
  end
end
