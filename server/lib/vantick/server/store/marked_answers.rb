# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Answers as kept, as core takes them.
      module MarkedAnswers
        # Typed for what is there and cannot be read.
        UNCLEAR = "?"
        DRAWN = "Type the number of the matching picture, - for blank, or ? if you can't read it."

        # @param answer [Rows::Answer, Rows::AnswerWithItem]
        # @param conventions [Core::Wording::Conventions]
        # @param item [Rows::Item, Rows::AnswerWithItem] with the `task` and `time` of what was answered
        # @return [Core::Marking::MarkedAnswer]
        def self.from_row(answer, conventions, item = answer)
          task = Core::Tasks::Task.find(item.task)
          of(answer, task, task.parse_time(item.time), conventions)
        end

        # @param item [Rows::Item]
        # @param text [String] as it was typed
        # @param conventions [Core::Wording::Conventions] of the class or of one child
        # @return [Core::Marking::MarkedAnswer]
        # @raise [Core::AnswerTooLong]
        def self.judged(item, text, conventions)
          task = Core::Tasks::Task.find(item.task)
          Core::Marking::Marker.mark(task:, time: task.parse_time(item.time), text:, said: item.said, conventions:)
        end

        # What a teacher types: of a drawing it is a picture's number, which the page sends as angles, or a sign for none or unclear.
        # @return [Core::Marking::MarkedAnswer] as {judged}
        # @raise [Core::Error] for letters in the place of a drawing, which nobody could have drawn
        def self.typed(item, text, conventions)
          marked = judged(item, text, conventions)
          return marked unless marked.verdict == :unreadable && marked.task.notation == :hands && text.strip != UNCLEAR

          raise Core::Error.new(DRAWN, field: :answer)
        end

        # @param text [String]
        # @return [String] as the store can hold it
        def self.plain(text) = text.scrub("\uFFFD").tr("\u0000", "\uFFFD")

        # @param ids [Array<String>] all misreadings that an answer may show
        # @return [Array<Symbol>] those that are told of it
        def self.causes(ids) = Core::Reading::Misreading.likeliest(ids.map(&:to_sym))

        # @param answer [Hash] with `verdict` and `misreadings`
        # @param task [Core::Tasks::Task]
        # @param time [Core::Dial::DialTime]
        # @param conventions [Core::Wording::Conventions]
        # @return [Core::Marking::MarkedAnswer]
        def self.of(answer, task, time, conventions)
          verdict = answer.verdict.to_sym
          Core::Marking::MarkedAnswer.new(task:, time:, verdict:, misreadings: answer.misreadings.map(&:to_sym),
                                          read_as: answer.read_as.to_s, accepted: conventions.accepts?(verdict))
        end
      end
    end
  end
end
