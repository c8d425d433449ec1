# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # What of a wrong answer is right: the hour or the minutes, each as the answer names it. "Ten to seven" for quarter to seven has the
      # hour right.
      module HalfRight
        WORDS = DeskTask::WORDS[:half]
        # Mistakes that are about both parts: of their answers no half is told.
        WHOLE = WORDS[:whole].map(&:to_sym).freeze
        NOTATIONS = %i[words digits].freeze

        class << self
          # @param marked [MarkedAnswer]
          # @param conventions [Conventions]
          # @return [Symbol, nil] `:hour` or `:minutes`; nothing where neither is right, or the answer is no whole time
          # @example
          #   HalfRight.of(Marker.mark(task: words, time: quarter_to_seven, text: "ten to seven")) # :hour
          def of(marked, conventions = Wording::Conventions.default)
            return if marked.read_right? || !NOTATIONS.include?(marked.task.notation) || marked.causes.intersect?(WHOLE)

            reading = Wording::AnswerReader.read(marked.read_as, conventions).first&.saying or return
            hour, minutes = parts(reading, marked)
            return if hour == minutes

            hour ? :hour : :minutes
          end

          private

          def parts(reading, marked)
            return [reading.time.hour == marked.time.hour, reading.time.minute == marked.time.minute] if marked.task.notation == :digits

            right = Wording::SpokenTime.usual(marked.time)
            [reading.hour == right.hour, [reading.count, reading.side] == [right.count, right.side]]
          end
        end
      end
    end
  end
end
