# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # The answers behind a proposal, child by child, and what a teacher knows better.
      class Behind < Handler
        # Answers of each child that are shown, the last ones.
        SHOWN = 4

        def read_behind
          row(params.step, params.child_ids.to_a.map(&:to_i))
        end

        def judge_step
          step = Core::Curriculum::Step.find(body.step).id.to_s
          store.teacher_judgements.say(children(body.child_ids).map(&:id), step, body.known, now)
          row(step, body.child_ids)
        end

        private

        def school_class = @school_class ||= store.classes.find(params.class_id)

        # @param wanted [Array<Integer>] none for all of the class
        def children(wanted)
          found = wanted.empty? ? school_class.children : school_class.children.select { |child| wanted.include?(child.id) }
          unfit("One of these children isn't in the class. Reload the page.", :child_ids) if found.length < wanted.uniq.length
          found
        end

        def row(step_id, wanted)
          step = Core::Curriculum::Step.find(step_id)
          mine = children(wanted)
          answers = store.answers.of_class(school_class.id).group_by(&:child_id)
          judgements = store.teacher_judgements.of(mine.map(&:id))
          { step: step.id, children: mine.map { |child| child(child, step, answers.fetch(child.id, []), judgements.fetch(child.id, [])) } }
        end

        def child(child, step, answers, judgements)
          word = judgements.find { |judgement| judgement[:step] == step.id.to_s }
          about = answers.select { |answer| about?(Core::Curriculum::Step.find(answer.step), step) }
          { child_id: child.id, name: child.name, answers: about.last(SHOWN).map { |answer| answer(answer) },
            said: word&.slice(:known, :said_at) }
        end

        # Of the step itself, and of harder ones that cannot be read without it.
        def about?(asked, step) = asked == step || asked.covers?(step)

        def answer(answer)
          { **answer.to_h.slice(:time, :verdict), said: answer.read_as.empty? ? answer.answer : answer.read_as,
            right: Core::Marking::MarkedAnswer.right?(answer.verdict, school_class.wording), at: answer.answered_at }
        end
      end
    end
  end
end
