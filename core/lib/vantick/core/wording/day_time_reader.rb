# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Reads a time of the day as a teacher types it: "15:30", "3.30 p.m.", "noon", "half past three in the afternoon".
      module DayTimeReader
        CLOCK = /\A(\d{1,2})\s*[:.]\s*(\d{2})\z/
        NAMED = { noon: "12:00", midnight: "00:00" }.freeze
        # Words for a half of the day as they end a time, the longest first; "night" is before midnight or after it.
        ENDINGS = PartReader::HALVES.slice(:am, :pm, :night).flat_map { |half, forms| forms.map { |form| [form.delete("."), half] } }
                                    .sort_by { |form, _| -form.length }.freeze
        # Up to this hour it is the night after midnight (common practice, no source).
        NIGHT_ENDS = 6

        class << self
          # @param text [String] 24-hour digits, or a time with a half of the day
          # @param conventions [Conventions]
          # @return [DayTime]
          # @raise [InvalidDayTime] where it is none, or where nobody can say which half of the day is meant
          # @example
          #   DayTimeReader.read("3:30 pm").to_s #=> "15:30"
          def read(text, conventions = Conventions.default)
            plain = AnswerReader.tidy(text[0, AnswerReader::LONGEST].to_s)
            named(plain) || clock(plain) || with_half(plain.delete(".").squeeze(" "), plain, conventions) || raise(InvalidDayTime, text)
          rescue InvalidTime
            raise InvalidDayTime, text
          end

          private

          def named(plain) = NAMED[PartReader::DAY_HALVES[plain.delete(".")]]&.then { |time| Dial::DayTime.parse(time) }

          def clock(plain) = CLOCK.match(plain)&.then { |digits| Dial::DayTime.parse("#{digits[1]}:#{digits[2]}") }

          def with_half(bare, plain, conventions)
            form, half = ENDINGS.find { |ending, _| bare.match?(/[\s\d]#{Regexp.escape(ending)}\z/) }
            return unless form

            time_words = plain.sub(/\s*#{form.chars.map { |letter| Regexp.escape(letter) }.join('\.?')}\.?\z/, "").strip
            time = time_of(time_words, conventions)
            time && Dial::DayTime.of(time)[later?(half, time) ? 1 : 0]
          end

          def time_of(text, conventions)
            hour = text[/\A\d{1,2}\z/]
            hour ? Dial::DialTime.parse("#{hour}:00") : AnswerReader.read(text, conventions).first&.saying&.time
          end

          def later?(half, time) = half == :pm || (half == :night && (NIGHT_ENDS...12).cover?(time.hour_passed % 12))
        end
      end
    end
  end
end
