# frozen_string_literal: true

module Vantick
  module Server
    module Views
      # What is kept and what core found, as the contract describes it.
      module CheckView
        SUMMARY = %i[id class_id step task made_at code desk].freeze

        class << self
          # @param choice [Core::Choosing::Choice]
          def choice(choice)
            { times: choice.times.map(&:to_s), pairs_told_apart: choice.pairs_told_apart, pairs_possible: choice.pairs_possible,
              chances: choice.chances }
          end

          # Those for whom it was made, and whoever answered it all the same: a sheet for a group is nobody else's to hand in.
          # @param check [Hash] as kept, with its items
          # @param children [Array<Hash>] of the class
          # @param answers [Array<Hash>] those that stand
          # @return [Array<Hash>]
          def questions(check, children, answers)
            own = check.items.map(&:child_id)
            ids = check.sheet[:child_ids] || (own if own.any? && own.all?) or return children
            ids |= answers.map(&:child_id)
            children.select { |child| ids.include?(child.id) }
          end

          # @param check [Hash] as kept, with its items
          # @param children [Array<Hash>] of the class, without those who were not here then
          # @param answers [Array<Hash>] those that stand
          def summary(check, children, answers)
            given = answers.reject { |answer| answer.verdict == "blank" }
            { **about(check), items: items_of_one(check), children: questions(check, children, answers).length, answers: given.length,
              answered: given.map(&:child_id).uniq.length,
              unreadable: given.count { |answer| answer.verdict == "unreadable" } }
          end

          def check(check, school_class, answers)
            task = Core::Tasks::Task.find(check.task)
            step = Core::Curriculum::Step.find(check.step)
            conventions = school_class.wording
            { **about(check), children: questions(check, school_class.children, answers), letters: letters(check),
              answers: check_json(check, answers, conventions), choice: check_choice(check, step, task),
              items: numbered(check.items).map { |item, at| { **item(item, conventions), options: options(item, conventions, at) } } }
          end

          # @return [Array<Hash>]
          def check_json(check, answers, conventions)
            items = check.items.to_h { |item| [item.id, item] }
            answers.map { |given| answer(given, conventions, items.fetch(given.item_id)) }
          end

          # @return [Array<Hash>] what can be named as the cause of a mistake, in a child's words; none where there is no mistake
          def options(item, conventions, at)
            return [] unless item.misreading

            mistake = Core::Reading::Misreading.find(item.misreading)
            step = Core::Curriculum::Step.find(item.step)
            offered = Core::Choosing::Mistakes.options(step, mistake, Core::Dial::DialTime.parse(item.time), at)
            offered.map { |misreading| { id: misreading.id, name: misreading.texts_in(conventions)[:they] } }
          end

          # @param item [Hash] that was answered, with `task` and `time`
          # @return [Hash] an answer, whether it counts as right in the class, and which half of it is where it does not
          def answer(answer, conventions, item)
            marked = Store::MarkedAnswers.from_row(answer, conventions, item)
            { **answer, right: marked.right?, half: Core::Desk::HalfRight.of(marked, conventions), near: near(answer, item, conventions),
              misreadings: Store::MarkedAnswers.causes(answer.misreadings) }
          end

          # What an unreadable answer in words may mean: for a teacher to choose, as nobody else can say.
          def near(answer, item, conventions)
            return [] unless answer.verdict == "unreadable" && Core::Tasks::Task.find(item.task).notation == :words

            Core::Wording::AnswerReader.near(answer.answer).map { |given| given.saying.words(conventions) }
          end

          # @param why [Hash{Integer => String}] of children without answers who were away, or not here then
          def findings(check, school_class, answers, why)
            children = questions(check, school_class.children, answers)
            by_child = marked_by_child(check, school_class, answers)
            evidence = Core::Judging::ClassEvidence.new(by_child)
            { check_id: check.id, alike: alike(check, by_child),
              shared: evidence.shared.map { |shown| shared(shown, check, school_class.wording) },
              children: children.map do |child|
                { **child_findings(child, by_child.fetch(child.id), evidence.by_child.fetch(child.id)),
                                        **(why.key?(child.id) ? { slip: why[child.id] } : {}) }
              end }
          end

          # @param check [Hash]
          # @return [Array<Hash>] by which children's sheets are told apart, where each has its own
          def letters(check)
            of = check.items.map(&:child_id).uniq.compact
            of.each_with_index.map { |child_id, place| { child_id:, letter: Core::Choosing::SheetChoice.letter(place) } }
          end

          private

          def about(check)
            { **check.slice(*SUMMARY), own_times: check.items.any?(&:child_id), baseline: baseline?(check) }
          end

          # Whether it is to find where each child is, on paper or at the desks.
          def baseline?(check) = [check.sheet[:kind], check.desk&.fetch(:kind)].include?("baseline")

          def items_of_one(check) = check.items.map(&:child_id).tally.values.max || 0

          # What the sheet of one child can tell; all versions tell about as much.
          def check_choice(check, step, task)
            same = check.items.select { |item| item.task == check.task }
            first = same.group_by(&:child_id).values.first || []
            choice(Core::Choosing::Choice.new(Core::Choosing::Discrimination.for(step, task), first.map do |item|
              task.parse_time(item.time)
            end & step.pool_for(task)))
          end

          # Each with its place on the sheet that it is on.
          def numbered(items)
            seen = Hash.new(-1)
            items.map { |item| [item, seen[item.child_id] += 1] }
          end

          def item(item, conventions)
            task = Core::Tasks::Task.find(item.task)
            time = task.parse_time(item.time)
            right = task.notation == :hands ? time.digital(conventions.sign) : task.write(task.right_answer(time), conventions)
            cause = "#{Core::Reading::Misreading.find(item.misreading).texts_in(conventions)[:name]}; " if item.misreading
            { **item.slice(:id, :child_id, :time), dial: time.dial_time.to_s, said: item.said.to_s, right: "#{cause}#{right}",
              drawings: task.notation == :hands ? Core::Marking::DrawnAnswers.of(task, time, conventions) : [] }
          end

          def marked_by_child(check, school_class, answers)
            conventions = school_class.wording
            asked = check.items.to_h { |item| [item.id, item] }
            given = answers.group_by(&:child_id)
            school_class.children.to_h do |child|
              mine = given.fetch(child.id, [])
              [child.id, mine.map { |answer| Store::MarkedAnswers.from_row(answer, conventions, asked.fetch(answer.item_id)) }]
            end
          end

          # Neighbours have the same clocks on paper alone.
          def alike(check, by_child)
            return [] if check.desk || check.items.any?(&:child_id)

            same = Core::Knowing::Beside.same(by_child.transform_values { |marked| marked.to_h { |answer| [answer.time, answer] } })
            same.map { |child_ids, clocks| { child_ids:, clocks: } }
          end

          def child_findings(child, marked, evidence)
            { child_id: child.id, name: child.name, slip: slip(marked), answered: marked.count { |answer| answer.verdict != :blank },
              right: marked.count(&:right?),
              unreadable: marked.count { |answer| answer.verdict == :unreadable }, evidence: evidence.map { |piece| piece(piece) } }
          end

          # A slip that was handed in empty is not one that nobody handed in.
          def slip(marked)
            return "none" if marked.empty?

            marked.all? { |answer| answer.verdict == :blank } ? "empty" : "answered"
          end

          def piece(evidence)
            { misreading: evidence.misreading.id, chances: evidence.chances, hits: evidence.hits, own_hits: evidence.own_hits,
              shown: evidence.shown? }
          end

          def shared(shared, check, conventions)
            times = Core::Teaching::HelpingClocks.of(shared.misreading, Core::Curriculum::Step.find(check.step))
            tasks = [Core::Tasks::Task.find(check.task), *Core::Tasks::Task.all]
            { misreading: shared.misreading.id, child_ids: shared.children, hits: shared.hits, chances: shared.chances,
              times: times.map(&:to_s), examples: times.map { |time| shared.misreading.example(time, tasks:, conventions:) } }
          end
        end
      end
    end
  end
end
