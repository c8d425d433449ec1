# frozen_string_literal: true

module Vantick
  module Server
    module Show
      # Everything that has a name in core, with its wording; it changes only with a release.
      module Catalogue
        class << self
          # @param conventions [Core::Wording::Conventions]
          # @return [Hash]
          def all(conventions = Core::Wording::Conventions.default)
            { most_items: Core::Choosing::Chooser::IN_A_CHECK, steps: steps(conventions),
              ladder: Core::Curriculum::Step.all.map { |step| rung(step, conventions) },
              tasks: Core::Tasks::Task.with_dial.map { |task| { id: task.id, name: task.name, notation: task.notation } },
              misreadings: Core::Reading::Misreading.all.map { |misreading| { id: misreading.id, **misreading.texts_in(conventions) } },
              lenses: lenses(conventions),
              conventions: Core::Wording::Conventions::ENTRIES, english: english(conventions),
              sheets: Core::Choosing::SheetKind.all.map { |kind| sheet(kind) }, adjustments:, **lessons }
          end

          private

          def english(conventions)
            english = Core::Wording::English
            { locale: english.locale(conventions), paper: english.paper(conventions),
              words: english::WORDS.to_h { |name, _| [name, english.word(name, conventions)] } }
          end

          def lenses(conventions)
            Core::Wording::ClassWords.fill(Core::Facts::DataFile.entries("lenses", required: %i[id group name shows]), conventions)
          end

          # What a teacher can set for one child.
          def adjustments
            table = Core::Teaching::Adjustments
            { kinds: table::KINDS.values, notations: table::NOTATIONS.values,
              languages: Core::Wording::HomeLanguage.all.map { |home_language| language(home_language) } }
          end

          def language(one)
            { id: one.id, name: one.name, own: one.own, title: one.title, intro: one.intro, half: one.half, ask: one.ask,
              times: one.times.map { |time, words| { time: time.to_s, words: } } }
          end

          # What lessons are made of.
          def lessons
            { amounts: Core::Teaching::Boards::AMOUNTS.values.map { |amount| amount.slice(:id, :name) },
              kinds: Core::Teaching::Pacing::KINDS.values.map { |kind| lesson_kind(kind) },
              lengths: { least: Core::Teaching::Lesson::LENGTHS.min, most: Core::Teaching::Lesson::LENGTHS.max,
                         usual: Core::Teaching::Lesson::USUAL },
              limits: limits,
              counting: counting_round, often_off: Core::Term::Days::OFTEN_OFF,
              desk_stages: Core::Teaching::StageMinutes.at_desks.map do |id|
                Core::Teaching::StageMinutes::STAGES.fetch(id).slice(:id, :name)
              end }
          end

          def limits
            { least_stage_minutes: Core::Teaching::StageMinutes::LEAST, groups: Core::Teaching::Groups::MOST_GROUPS,
              group_minutes: Core::Teaching::TeachingNumbers.of(:group_minutes) }
          end

          def counting_round
            Core::Teaching::CountingRound.all.map { |round| { **round, hops: round[:hops].map(&:to_h) } }
          end

          # What is done in a lesson; a way to work has its words.
          def lesson_kind(kind)
            { **kind.slice(:id, :name, :seconds), moves: kind.fetch(:moves, false), needs: kind.fetch(:needs, []),
              say: kind.fetch(:say, ""), look_for: kind.fetch(:look_for, "") }
          end

          def sheet(kind)
            { id: kind.id, name: kind.name, count: kind.count, least: kind.least, most: kind.most,
              answered: kind.answered?, game: kind.game?, keyed: kind.keyed?,
              tasks: kind.tasks.map { |task| { id: task.id, name: task.name, steps: steps_of(task) } },
              steps: Core::Curriculum::Step.with_times.select { |step| kind.tasks.empty? || kind.tasks_for(step).any? }.map(&:id) }
          end

          # Steps that a check can be made for.
          def steps_of(task) = Core::Curriculum::Step.with_times.select { |step| step.tasks.include?(task) }.map(&:id)

          def steps(conventions)
            Core::Curriculum::Step.reading.map { |step| { id: step.id, name: step.texts_in(conventions)[:name], times: step.pool.length } }
          end

          def rung(step, conventions)
            tasks = Core::Teaching::LessonPlan.tasks(step)
            named = tasks.map { |task| { id: task.id, name: task.name, title: Core::Teaching::LessonPlan.title(step, task, conventions) } }
            { id: step.id, **step.texts_in(conventions), builds_on: step.builds_on.map(&:id), standards: step.standards,
              example: step.example&.to_s, hands: step.hands, marks: step.whole? || step.hands == :minute ? step.minute_degrees : [],
              tasks: named,
              misreadings: tasks.flat_map { |task| step.misreadings(task) }.uniq.reject(&:seldom?).map(&:id) }
          end
        end
      end
    end
  end
end
