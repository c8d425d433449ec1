# frozen_string_literal: true

module Vantick
  class CLI
    # `misreadings --task dial_to_words 7:45`: the wrong answers that each misreading leads to.
    class Misreadings < Command
      def run(arguments)
        all = false
        task = nil
        words = parse(arguments) do |parser|
          parser.on("--all") { all = true }
          conventions_option(parser)
          parser.on("--task TASK") { |id| task = Core::Tasks::Task.find(id) }
        end
        raise UsageError, "name the task, such as --task dial_to_words" unless task

        times(words, all, task).each { |time| line(time: time.digital, task: task.id, answers: answers(time, task)) }
      end

      private

      def answers(time, task)
        found = Core::Reading::Misreading.for(task).to_h { |misreading| [misreading.id, misreading.wrong_answers(time, task)] }
        found = found.transform_values { |wrong| wrong.map { |answer| task.write(answer, conventions) } }
        found.reject { |_, wrong| wrong.empty? }
      end
    end
  end
end
