# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Records, groups and weeks as the contract describes them.
      module RecordView
        # The task and the step on which the time that would settle a diagnosis is looked for, where there are no answers yet.
        FIRST = :quarters

        GIVEN = %i[id check_id answer verdict read_as misreadings answered_at step task].freeze

        class << self
          # @param child [Hash]
          # @param answers [Array<Hash>] that stand, oldest first
          # @param conventions [Core::Wording::Conventions]
          # @param today [Integer] a Julian day
          # @return [Hash]
          def record(child, answers, conventions, progress)
            marked = answers.map { |answer| Store::MarkedAnswers.from_row(answer, conventions) }
            own = progress.by_child.fetch(child.id)
            { child: child.slice(:id, :name), **progress_json(own),
              next_step: progress.next_for(child.id)&.id, stumbles: own.stumbles.map(&:id),
              **beside(progress.asked.fetch(child.id)), **behind(own.diagnosis, answers), steps: steps(own),
              checks: checks(answers, marked), answers: answers.reverse.map { |answer| answer_json_of(answer, conventions) } }
          end

          # @param group [Core::Teaching::Groups::Group]
          def group(group)
            times = group.times.map { |time| time.dial_time.to_s }
            { child_ids: group.children, misreadings: group.misreadings.map(&:id), step: group.step&.id, beside: group.beside, times: }
          end

          # @param week [Core::Teaching::ClassHistory::Week]
          def week(week)
            { day: Date.jd(week.day).iso8601, answers: week.answers, secure: week.secure.transform_keys(&:id),
              review_due: week.review_due.transform_keys(&:id),
              misreadings: week.misreadings.transform_keys(&:id) }
          end

          private

          # Asked with what the child was asked last.
          def next_best(diagnosis, answers)
            step = Core::Curriculum::Step.find(answers.last&.step || FIRST)
            found = Core::Judging::ItemSelection.advice(diagnosis, step)
            found && { time: found.time.dial_time.to_s, task: found.task.id, step: step.id }
          end

          def piece(evidence, diagnosis, answers)
            id = evidence.misreading.id
            behind = answers.each_index.select { |at| answers[at].misreadings.include?(id.to_s) }
            { misreading: id, chances: evidence.chances, hits: evidence.hits, own_hits: evidence.own_hits, shown: evidence.shown?,
              likely: diagnosis.likely.include?(evidence.misreading), probability: diagnosis.probability(evidence.misreading).round(3),
              behind: behind.map { |at| answers[at].id }, times: helping(evidence.misreading, answers.values_at(*behind)) }
          end

          # At the hardest step of the answers behind it.
          def helping(misreading, behind)
            steps = behind.map { |answer| Core::Curriculum::Step.find(answer.step) }
            step = steps.max_by { |lower| Core::Curriculum::Step.all.index(lower) } || Core::Curriculum::Step.with_times.first
            Core::Teaching::HelpingClocks.of(misreading, step).map(&:to_s)
          end

          def checks(answers, marked)
            given = answers.zip(marked).reject { |_, mark| mark.verdict == :blank }
            given.group_by { |answer, _| answer.check_id }.values.map do |pairs|
              { day: Store::SchoolDay.date(pairs.first.first.answered_at), answered: pairs.length, right: pairs.count do |_, answer|
                answer.right?
              end }
            end
          end

          def steps(progress)
            progress.states.map do |step, state|
              { id: step.id, state:, review_due: progress.review_due.include?(step), ways: progress.ways(step) }
            end
          end

          def behind(diagnosis, answers)
            { next_best: next_best(diagnosis, answers), evidence: diagnosis.evidence.map { |piece| piece(piece, diagnosis, answers) } }
          end

          # What is left blank, and whether paper and devices differ.
          def beside(asked)
            { blank: Core::Knowing::Beside.blank(asked)&.to_h, places: Core::Knowing::Beside.places(asked)&.transform_values(&:to_h) }
          end

          # What lies behind the mistakes.
          def progress_json(progress)
            diagnosis = progress.diagnosis
            { headline: headline(progress), verdict: diagnosis.verdict, leans: diagnosis.leans, likely: diagnosis.likely.map(&:id),
              possible: (diagnosis.possible - diagnosis.likely).map(&:id) }
          end

          def headline(progress)
            found = progress.headline
            { kind: found.kind, misreading: found.misreading&.id, step: found.step&.id, hits: found.hits, chances: found.chances }
          end

          def answer_json_of(answer, conventions)
            task = Core::Tasks::Task.find(answer.task)
            time = task.parse_time(answer.time)
            right = task.notation == :hands ? time.dial_time.to_s : task.write(task.right_answer(time), conventions)
            { **answer.slice(*GIVEN), misreadings: Store::MarkedAnswers.causes(answer.misreadings), time: time.dial_time.to_s, right: }
          end
        end
      end
    end
  end
end
