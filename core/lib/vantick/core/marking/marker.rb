# frozen_string_literal: true

module Vantick
  module Core
    # Judges an answer: first read, then compared with the right answer, then with every misreading.
    module Marker
      class << self
        # @param task [Task]
        # @param time [DialTime] what the dial showed
        # @param text [String] the answer exactly as given
        # @param conventions [Conventions]
        # @return [Marked]
        # @raise [AnswerTooLong]
        def mark(task:, time:, text:, conventions: Conventions.default)
          return HandsMarker.mark(task:, time:, text:) if task.notation == :hands

          givens = AnswerReader.read(text, conventions)
          return Marked.new(task:, time:, verdict: AnswerReader.blank?(text) ? :blank : :unreadable) if givens.empty?

          right = givens.find { |given| given.time == time }
          return right(task, time, right, conventions) if right

          # Where an answer can be taken without a slip, it is.
          clean = givens.select { |given| given.slips.empty? }
          wrong(task, time, clean.empty? ? givens : clean, conventions)
        end

        private

        def right(task, time, given, conventions)
          verdict = right_verdict(task, time, given)
          Marked.new(task:, time:, verdict:, **readings([given], conventions), slips: given.slips,
                     accepted: verdict != :right_other_words || conventions.other_words == :other_words_accepted)
        end

        # Right is the notation and the count that the task asks for: "fifteen to eight" is right for
        # quarter to eight, "forty-five past seven" is right in other words.
        def right_verdict(task, time, given)
          return :right_other_words unless form_asked?(task, time, given)

          given.slips.empty? ? :right : :right_writing_slip
        end

        def form_asked?(task, time, given)
          return given.form == :clock if task.notation == :digits

          given.form == :words && given.saying == Saying.usual(time)
        end

        def wrong(task, time, givens, conventions)
          answers = givens.map { |given| task.answer(given.saying) }
          found = Misreading.for(task).select { |misreading| misreading.wrong_answers(time, task).intersect?(answers) }.map(&:id)
          Marked.new(task:, time:, verdict: found.any? ? :misread : :unexplained, misreadings: found, slips: givens.flat_map(&:slips).uniq,
                     **readings(givens, conventions))
        end

        def readings(givens, conventions)
          %i[read_as read_short].to_h { |name| [name, givens.map { |given| given.public_send(name, conventions) }.uniq.join(" or ")] }
        end
      end
    end
  end
end
