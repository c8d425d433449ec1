# frozen_string_literal: true

module Vantick
  module Core
    # Judges an answer that is a whole time, in digits or in words.
    module TimeMarker
      class << self
        # @param task [Task]
        # @param time [DialTime] what was shown
        # @param text [String] the answer exactly as given
        # @param conventions [Conventions]
        # @return [Marked]
        # @raise [AnswerTooLong]
        def mark(task:, time:, text:, conventions:)
          givens = AnswerReader.read(text, conventions)
          return Marked.unread(task, time, text) if givens.empty?

          right = givens.find { |given| given.time == time } || givens.find { |given| task.near?(given, time) }
          return right(task, time, right, conventions) if right

          # Where an answer can be taken without a slip, it is.
          clean = givens.select { |given| given.slips.empty? }
          wrong(task, time, clean.empty? ? givens : clean, conventions)
        end

        private

        def right(task, time, given, conventions)
          verdict = right_verdict(task, time, given)
          Marked.new(task:, time:, verdict:, **readings([given], conventions), slips: given.slips, accepted: conventions.accepts?(verdict))
        end

        # Right is the notation and the count that the task asks for: "fifteen to eight" is right for
        # quarter to eight, "forty-five past seven" is right in other words.
        def right_verdict(task, time, given)
          return given.time == time ? :right : :near if task.tolerance_minutes.positive?
          return :right_other_words unless form_asked?(task, time, given)

          given.slips.empty? ? :right : :right_writing_slip
        end

        def form_asked?(task, time, given)
          return given.form == :clock if task.notation == :digits

          given.form == :words && given.saying == Saying.usual(time)
        end

        def wrong(task, time, givens, conventions)
          answers = givens.map { |given| task.answer(given.saying) }
          found = Misreading.for(task).select { |misreading| predicted?(misreading.wrong_answers(time, task), answers, task) }.map(&:id)
          Marked.new(task:, time:, verdict: found.any? ? :misread : :unexplained, misreadings: found, slips: givens.flat_map(&:slips).uniq,
                     **readings(givens, conventions))
        end

        def predicted?(wrong, answers, task)
          return wrong.intersect?(answers) if task.tolerance_minutes.zero?

          wrong.any? { |one| answers.any? { |answer| task.near?(answer, one) } }
        end

        def readings(givens, conventions)
          %i[read_as read_short].to_h { |name| [name, givens.map { |given| given.public_send(name, conventions) }.uniq.join(" or ")] }
        end
      end
    end
  end
end
