# frozen_string_literal: true

module Vantick
  module Core
    module Marking
      # Judges an answer: first read, then compared with the right answer, then with every misreading.
      module Marker
        # @param task [Tasks::Task]
        # @param time [DialTime, DayTime] what was shown
        # @param text [String] the answer exactly as given
        # @param conventions [Conventions] the class's, or those of one child of it, see {Wording::Conventions#of_child}
        # @param said [String, nil] what someone said the dial shows, where a mistake is to be spotted
        # @return [MarkedAnswer]
        # @raise [AnswerTooLong, InvalidSaid]
        def self.mark(task:, time:, text:, conventions: Wording::Conventions.default, said: nil)
          marked = judged(task:, time:, text:, conventions:, said:)
          known = conventions.own&.call&.read(text) if marked.verdict == :unreadable && task.notation == :words
          known ? judged(task:, time:, text: known, conventions:, said:).misspelt : marked
        end

        def self.judged(task:, time:, text:, conventions:, said:)
          return MarkedAnswer.unread(task, time, text) if task.tolerance_minutes.zero? && Wording::AnswerReader.not_yet?(text)

          case task.notation
          # What someone said is a mistake, whatever the child speaks at home.
          when :mistake then MistakeMarker.mark(task:, time:, text:, conventions: conventions.of_child, said:)
          when :hands then HandsMarker.mark(task:, time:, text:)
          when :digits, :words then TimeMarker.mark(task:, time:, text:, conventions:)
          else PartMarker.mark(task:, time:, text:, conventions:)
          end
        end
        private_class_method :judged
      end
    end
  end
end
