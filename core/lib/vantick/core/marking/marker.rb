# frozen_string_literal: true

module Vantick
  module Core
    # Judges an answer: first read, then compared with the right answer, then with every misreading.
    module Marker
      class << self
        # @param task [Task]
        # @param time [DialTime] what the dial showed
        # @param text [String] the answer exactly as given
        # @return [Marked]
        # @raise [AnswerTooLong]
        def mark(task:, time:, text:)
          givens = AnswerReader.read(text)
          return Marked.new(task:, time:, verdict: AnswerReader.blank?(text) ? :blank : :unreadable) if givens.empty?

          right = givens.find { |given| given.time == time }
          return right(task, time, right) if right

          # Where an answer can be taken without a slip, it is.
          clean = givens.select { |given| given.slips.empty? }
          wrong(task, time, clean.empty? ? givens : clean)
        end

        private

        def right(task, time, given)
          verdict = right_verdict(task, time, given)
          Marked.new(task:, time:, verdict:, read_as: given.read_as, read_short: given.read_short, slips: given.slips)
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

        def wrong(task, time, givens)
          answers = givens.map { |given| task.answer(given.saying) }
          found = Misreading.for(task).select { |misreading| misreading.wrong_answers(time, task).intersect?(answers) }.map(&:id)
          Marked.new(task:, time:, verdict: found.any? ? :misread : :unexplained, misreadings: found, slips: givens.flat_map(&:slips).uniq,
                     read_as: either(givens.map(&:read_as)), read_short: either(givens.map(&:read_short)))
        end

        def either(readings) = readings.uniq.join(" or ")
      end
    end
  end
end
