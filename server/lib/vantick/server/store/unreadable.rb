# frozen_string_literal: true

require "set"

module Vantick
  module Server
    module Store
      # Rows of answers that no page could be made of: with a day that is none, a clock that is none, a step or a task that is not known.
      # None should be there; an older Vantick took some in with a child's file.
      module Unreadable
        MOMENT = /\A[12]\d{3}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])T([01]\d|2[0-3]):[0-5]\d:[0-5]\dZ\z/

        class << self
          # @param row [Hash] of an answer, with what was asked as far as it is there
          # @return [String, nil] why it cannot be read, in words
          def why(row)
            return "Its day is none: #{row[:answered_at]}." unless day?(row[:answered_at])
            return "Its verdict is none: #{row[:verdict]}." unless Core::Marking::MarkedAnswer::VERDICTS.include?(row[:verdict].to_sym)

            question_of(row) if row.key?(:task)
          end

          # @return [Boolean] whether it cannot be read; said in the log once
          def reported?(row)
            why = why(row) or return false
            @reported ||= Set.new
            warn "Vantick: answer #{row[:id]} cannot be read and is left out. #{why}" if @reported.add?([row[:id], why])
            true
          end

          private

          # Worked out once for each day, and for each thing that was asked: a class has thousands of answers.
          def day?(text)
            @days ||= {}
            MOMENT.match?(text) && @days.fetch(day = text[0, 10]) { @days[day] = Date.valid_date?(*day.split("-").map(&:to_i)) }
          end

          def question_of(row)
            @asked ||= {}
            key = row.values_at(:step, :task, :time)
            @asked.fetch(key) { @asked[key] = trouble(*key) }
          end

          # @return [String, nil]
          def trouble(step, task, time)
            Core::Curriculum::Step.find(step)
            Core::Tasks::Task.find(task).parse_time(time)
            nil
          rescue Core::Error => e
            e.message
          end
        end
      end
    end
  end
end
