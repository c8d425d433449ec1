# frozen_string_literal: true

module Vantick
  module Core
    module Marking
      # Judges an answer that is a part of a time: an hour, minutes with past or to, a length, a half of the day.
      module PartMarker
        class << self
          # @param task [Tasks::Task]
          # @param time [DialTime, DayTime] what was shown
          # @param text [String] the answer exactly as given
          # @param conventions [Conventions]
          # @return [MarkedAnswer]
          # @raise [AnswerTooLong]
          def mark(task:, time:, text:, conventions: Wording::Conventions.default)
            parts = Wording::PartReader.read(text, task.notation)
            return MarkedAnswer.unread(task, time, text) if parts.empty?

            right = parts.find { |part| task.right?(part.value, time) }
            right ? right(task, time, right, conventions) : wrong(task, time, parts, conventions)
          end

          private

          def right(task, time, part, conventions)
            verdict = right_verdict(part, task.right_answer(time))
            MarkedAnswer.new(task:, time:, verdict:, **readings(task, [part], conventions), slips: part.slips,
                             accepted: verdict != :right_other_words || conventions.other_words == :other_words_accepted)
          end

          # Forty-five past for quarter to, sixty minutes for none, p.m. at noon as a digital clock shows it.
          def right_verdict(part, usual)
            return :right_other_words unless part.value == usual

            part.slips.empty? ? :right : :right_writing_slip
          end

          def wrong(task, time, parts, conventions)
            values = parts.map(&:value)
            found = Reading::Misreading.for(task).select { |misreading| misreading.wrong_answers(time, task).intersect?(values) }
            MarkedAnswer.new(task:, time:, verdict: found.any? ? :misread : :unexplained, misreadings: found.map(&:id),
                             slips: parts.flat_map(&:slips).uniq, **readings(task, parts, conventions))
          end

          def readings(task, parts, conventions)
            read_as = parts.map { |part| task.write(part.value, conventions) }.uniq.join(" or ")
            { read_as:, read_short: read_as }
          end
        end
      end
    end
  end
end
