# frozen_string_literal: true

module Vantick
  module Core
    module Marking
      # Judges hands that a child set.
      module HandsMarker
        class << self
          # @param task [Tasks::Task]
          # @param time [DialTime] what was to be set
          # @param text [String] the angles, as {HandsReader} reads them
          # @return [MarkedAnswer]
          # @raise [AnswerTooLong]
          def mark(task:, time:, text:)
            hands = Wording::HandsReader.read(text)
            return MarkedAnswer.unread(task, time, text) unless hands

            judged(task, time, hands)
          end

          private

          def judged(task, time, hands)
            placing = Tasks::Placing.new(time)
            found = placing.right?(hands) ? [] : misreadings(task, time, hands, placing)
            MarkedAnswer.new(task:, time:, verdict: verdict(hands, placing, found), misreadings: found, read_as: hands.to_s,
                             read_short: hands.to_s, offset_degrees: (placing.hour_offset(hands) if placing.right_gap?(hands)))
          end

          def verdict(hands, placing, found)
            return :right if placing.right?(hands)
            return :misread if found.any?

            placing.right_gap?(hands) ? :right_gap : :unexplained
          end

          def misreadings(task, time, hands, placing)
            found = Reading::Misreading.for(task).select do |misreading|
              misreading.wrong_answers(time, task).any? { |wrong| placing.near?(hands, wrong) && placing.nearer?(hands, wrong) }
            end
            found.map(&:id)
          end
        end
      end
    end
  end
end
