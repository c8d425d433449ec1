# frozen_string_literal: true

module Vantick
  module Core
    module Marking
      # What a child may have drawn: right, or as each misreading would have it. A teacher picks the one that looks like
      # the paper.
      module DrawnAnswers
        # @param task [Tasks::Task] one whose answer is drawn
        # @param time [DialTime]
        # @param conventions [Conventions]
        # @return [Array<Hash>] the right one first; none that looks like another
        def self.of(task, time, conventions)
          table = Reading::Predictions.of(task)
          wrong = Reading::Misreading.for(task).flat_map do |misreading|
            table.wrong_answers(misreading, time).map do |hands|
              [misreading.texts_in(conventions)[:name], hands]
            end
          end
          shown = [["right", task.right_answer(time)], *wrong].uniq { |_, hands| [hands.hour_degrees.to_f, hands.minute_degrees.to_f] }
          shown.map { |name, hands| drawing(name, hands) }
        end

        def self.drawing(name, hands)
          { name:, hour_hand_degrees: hands.hour_degrees.to_f, minute_hand_degrees: hands.minute_degrees.to_f, answer: hands.to_s }
        end
        private_class_method :drawing
      end
    end
  end
end
