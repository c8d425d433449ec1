# frozen_string_literal: true

module Vantick
  module Core
    module Marking
      # Judges an answer: first read, then compared with the right answer, then with every misreading.
      module Marker
        # @param task [Tasks::Task]
        # @param time [DialTime, DayTime] what was shown
        # @param text [String] the answer exactly as given
        # @param conventions [Conventions]
        # @param said [String, nil] what someone said the dial shows, where a mistake is to be spotted
        # @param home [Wording::HomeLanguage, nil] what the child speaks at home: half past with the hour that comes is no mistake, where it
        #   has that
        # @param own [Proc, nil] gives the {Wording::OwnWords} of the child, where the answer cannot be read without them
        # @return [MarkedAnswer]
        # @raise [AnswerTooLong, InvalidSaid]
        def self.mark(task:, time:, text:, conventions: Wording::Conventions.default, said: nil, home: nil, own: nil)
          marked = judged(task:, time:, text:, conventions:, said:, home:)
          known = own.call.read(text) if own && marked.verdict == :unreadable && task.notation == :words
          known ? judged(task:, time:, text: known, conventions:, said:, home:).misspelt : marked
        end

        def self.judged(task:, time:, text:, conventions:, said:, home:)
          return MarkedAnswer.unread(task, time, text) if task.tolerance_minutes.zero? && Wording::AnswerReader.not_yet?(text)

          case task.notation
          when :mistake then MistakeMarker.mark(task:, time:, text:, conventions:, said:)
          when :hands then HandsMarker.mark(task:, time:, text:)
          when :digits, :words then TimeMarker.mark(task:, time:, text:, conventions:, home:)
          else PartMarker.mark(task:, time:, text:, conventions:)
          end
        end
        private_class_method :judged
      end
    end
  end
end
