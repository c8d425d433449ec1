# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # One clock for all: answers to wait for, what the class showed, and what to do then.
      class Boards < Handler
        # What was on a board and not waited for.
        ELSE = "something else"

        def wait_for_boards
          wording = store.classes.conventions(params.class_id)
          about, task, time = day_from(params)
          wrong = about.wrong.map { |foreseen| { misreading: foreseen.misreading.id, answer: task.write(foreseen.answer, wording) } }
          { answer: task.write(task.right_answer(time), wording), wrong: }
        end

        def keep_boards
          about, task, time = day_from(body)
          amounts = body.amounts.to_h { |amount| [amount.answer.to_sym, amount.amount.to_sym] }
          advice = about.advice(amounts, store.classes.conventions(params.class_id))
          keep(task, time, amounts)
          { say: advice.say, misreading: advice.misreading&.id, time: advice.time&.to_s, dial: advice.time&.dial_time&.to_s }
        end

        def read_boards
          lesson = store.lessons.find(params.lesson_id)
          wording = store.classes.conventions(lesson.class_id)
          { boards: store.boards.of_lesson(lesson.class_id, lesson.id).map { |row| shown(row, wording) } }
        end

        private

        # @return [Array(Core::Teaching::Boards, Core::Tasks::Task, Core::Dial::DialTime)]
        def day_from(from)
          task = Core::Tasks::Task.find(from.task)
          time = task.parse_time(from.time)
          step = step_of(from.step, task, time)
          unfit("This clock isn't one of #{step.name.downcase}.", :time) unless step.pool_for(task).include?(time)

          [Core::Teaching::Boards.new(step, task, time), task, time]
        end

        # As it was said, or the earliest that has the clock.
        def step_of(id, task, time)
          return Core::Curriculum::Step.find(id) if id

          Core::Curriculum::Step.holding([time], task) || unfit("This clock can't be asked in this way.", :time)
        end

        def keep(task, time, amounts)
          day = Date.jd(Store::SchoolDay.today).iso8601
          about = { step: step_of(body.step, task, time).id.to_s, task: task.id.to_s, time: time.to_s }
          store.boards.add(class_id: params.class_id, lesson_id:, day:, **about, amounts:, shown_at: now)
        end

        # The lesson in which it was shown, where it was in one of this class.
        def lesson_id
          lesson = body.lesson_id && store.lessons.find(body.lesson_id)
          unfit("This lesson is another class's.", :lesson_id) if lesson && lesson.class_id != params.class_id

          lesson&.id
        end

        def shown(row, wording)
          task = Core::Tasks::Task.find(row[:task])
          time = task.parse_time(row[:time])
          written = written(row, task, time, wording)
          amounts = row[:amounts].reject { |_, amount| amount == "none" }.map do |id, amount|
            { answer: written.fetch(id, ELSE), right: id == :right, amount: Core::Teaching::Boards::AMOUNTS.fetch(amount.to_sym)[:name] }
          end
          { id: row[:id], time: time.to_s, dial: time.dial_time.to_s, shown_at: row[:shown_at], amounts: }
        end

        # @return [Hash{Symbol => String}] by what is counted, how it is written
        def written(row, task, time, wording)
          wrong = Core::Teaching::Boards.new(Core::Curriculum::Step.find(row[:step]), task, time).wrong
          { right: task.write(task.right_answer(time), wording),
            **wrong.to_h { |foreseen| [foreseen.misreading.id, task.write(foreseen.answer, wording)] } }
        end
      end
    end
  end
end
