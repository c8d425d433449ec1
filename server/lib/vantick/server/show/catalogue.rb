# frozen_string_literal: true

module Vantick
  module Server
    module Show
      # Everything that has a name in core, with its wording; it changes only with a release.
      module Catalogue
        class << self
          # @param conventions [Core::Conventions]
          # @return [Hash]
          def all(conventions = Core::Conventions.default)
            { most_items: Core::Chooser::IN_A_CHECK, steps: steps(conventions), ladder: Core::Step.all.map do |step|
              rung(step, conventions)
            end,
              tasks: Core::Task.with_dial.map { |task| { id: task.id, name: task.name, notation: task.notation } },
              misreadings: Core::Misreading.all.map { |misreading| { id: misreading.id, **misreading.texts_in(conventions) } },
              lenses: Core::ClassWords.fill(Core::DataFile.entries("lenses", required: %i[id group name shows]), conventions),
              conventions: Core::Conventions::ENTRIES, sheets: Core::SheetKind.all.map { |kind| sheet(kind) }, **lessons }
          end

          private

          # What lessons are made of.
          def lessons
            { kinds: Core::Pacing::KINDS.values.map { |kind| { id: kind[:id], name: kind[:name], seconds: kind[:seconds] } },
              lengths: { least: Core::Lesson::LENGTHS.min, most: Core::Lesson::LENGTHS.max },
              limits: { least_stage_minutes: Core::StageMinutes::LEAST, groups: Core::Groups::MOST_GROUPS },
              counting: Core::CountingRound.hops.map(&:to_h),
              desk_stages: Core::StageMinutes.at_desks.map { |id| Core::StageMinutes::STAGES.fetch(id).slice(:id, :name) } }
          end

          def sheet(kind)
            { id: kind.id, name: kind.name, count: kind.count, most: kind.most, answered: kind.answered?,
              tasks: kind.tasks.map { |task| { id: task.id, name: task.name, steps: steps_of(task) } },
              steps: Core::Step.with_times.select { |step| kind.tasks.empty? || kind.tasks_for(step).any? }.map(&:id) }
          end

          # Steps that a check can be made for.
          def steps_of(task) = Core::Step.with_times.select { |step| step.tasks.include?(task) }.map(&:id)

          def steps(conventions)
            Core::Step.reading.map { |step| { id: step.id, name: step.texts_in(conventions)[:name], times: step.pool.length } }
          end

          def rung(step, conventions)
            tasks = Core::LessonPlan.tasks(step)
            { id: step.id, **step.texts_in(conventions), builds_on: step.builds_on.map(&:id), standards: step.standards,
              example: step.pool[step.pool.length * 5 / 8]&.to_s,
              tasks: tasks.map { |task| { id: task.id, name: task.name } },
              misreadings: tasks.flat_map { |task| step.misreadings(task) }.uniq.reject(&:seldom?).map(&:id) }
          end
        end
      end
    end
  end
end
