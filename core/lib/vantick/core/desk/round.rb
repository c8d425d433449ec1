# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # One sitting of a child: it ends after so many tasks or minutes, with what went well and one thing to watch for.
      module Round
        # Judgement: as long as a child of seven stays with it gladly.
        TASKS = 10
        MINUTES = 5
        # From so many on it is said that every one was right (judgement): one alone is named.
        EVERY = 3
        # Times named at the end.
        NAMED = 4

        # @!attribute well [String] what went well, for the child
        # @!attribute watch [String, nil] one thing to watch for
        End = Struct.new(:well, :watch, keyword_init: true)

        class << self
          # @param done [Integer] tasks done
          # @param seconds [Numeric] since it began
          # @param adjustments [Teaching::Adjustments] of the child
          # @return [Boolean]
          def over?(done:, seconds:, adjustments: Teaching::Adjustments.none)
            done >= adjustments.tasks(TASKS) || (!adjustments.on?(:unhurried) && seconds >= MINUTES * 60)
          end

          # @param answers [Array<MarkedAnswer>] at first try
          # @param conventions [Conventions]
          # @return [End]
          def end_of(answers, conventions = Wording::Conventions.default)
            End.new(well: well(answers, conventions), watch: watch(answers.select(&:telling?), conventions)).freeze
          end

          private

          def well(answers, conventions)
            words = DeskTask::WORDS[:well]
            return words[:none] if answers.empty?

            right = answers.select(&:right?)
            return words[:tried] if right.empty?
            return words[:all] if right.length == answers.length && right.length >= EVERY

            dials = right.select { |marked| Readable::DIALS.include?(marked.task.sees) }
            dials.empty? ? words[:parts] : format(words[:some], times: named(dials, conventions))
          end

          # The hardest ones that were right say most.
          def named(right, conventions)
            times = right.map { |marked| marked.time.dial_time }.uniq.max_by(NAMED) { |time| Curriculum::Difficulty.of(time) }
            times.sort.map { |time| Wording::Phrase.usual(time, conventions) }.join(", ")
          end

          # Of the misreading that explains most, in the child's own sentence.
          def watch(answers, conventions)
            found = Judging::Evidence.from(answers).first
            return unless found

            shown = answers.find { |marked| marked.misreadings.include?(found.misreading.id) }
            format(DeskTask::WORDS[:watch], child: found.misreading.child(shown.task, conventions))
          end
        end
      end
    end
  end
end
