# frozen_string_literal: true

module Vantick
  module Server
    module Desks
      # What a teacher opens a desk for: to find where each child is, a stage of a lesson, its exit, a check, or free practice.
      class Opening
        # @param store [Store::Database]
        # @param school_class [Hash]
        # @param now [Time]
        def initialize(store, school_class, now)
          @store = store
          @class = school_class
          @now = now
        end

        # @param wanted [Hash] `kind`, and `lesson_id`, `stage`, `check_id`, `step`, `child_ids` as it needs
        # @return [Hash] the desk
        # @raise [Core::Error, Store::Missing]
        def open(wanted)
          child_ids = children(wanted[:child_ids])
          row = send(wanted[:kind], wanted)
          @store.keys.of_class(@class.id)
          @store.desks.open({ class_id: @class.id, kind: wanted[:kind], child_ids:, **row }, @now)
        end

        private

        def unfit(message, field) = raise(Core::Error.new(message, field:))

        def children(ids)
          known = @class.children.map(&:id)
          unfit("This class has no children yet. Add them first.", :child_ids) if known.empty?
          return if ids.nil? || (known - ids).empty?

          unfit("Choose at least one child.", :child_ids) if ids.empty?
          unfit("One of these children isn't in the class.", :child_ids) if (ids - known).any?
          ids.uniq
        end

        # Each child at their own step, or all at one.
        def practice(wanted)
          step = wanted[:step] && Core::Curriculum::Step.find(wanted[:step])
          about = step || Core::Curriculum::Step.with_times.first
          check = @store.checks.add(class_id: @class.id, step: about.id.to_s,
                                    task: Core::Desk::DeskTask.of(about).first.task.id.to_s, made_at: @now.iso8601)
          { check_id: check.id, step: step&.id&.to_s }
        end

        # All steps are asked of: the hardest holds them all.
        def baseline(_wanted)
          check = @store.checks.add(class_id: @class.id, step: Core::Curriculum::Step.reading.last.id.to_s,
                                    task: Core::Knowing::Baseline.all.first.last.id.to_s, made_at: @now.iso8601)
          { check_id: check.id }
        end

        def stage(wanted)
          lesson, plan = lesson(wanted[:lesson_id])
          times = times(plan, wanted[:stage])
          check = @store.checks.add(class_id: @class.id, step: plan.step.id.to_s, task: plan.task.id.to_s, times:, made_at: @now.iso8601)
          { check_id: check.id, lesson_id: lesson.id, stage: wanted[:stage] }
        end

        def exit(wanted)
          return { check_id: own_check(wanted[:check_id]) } unless wanted[:lesson_id]

          lesson, plan = lesson(wanted[:lesson_id])
          check_id = lesson.check_id || Store::ExitCheck.make(@store, lesson, plan, @now.iso8601, on_paper: false)
          { check_id:, lesson_id: lesson.id }
        end

        # A check that can be answered on a screen: one that is not a desk's own.
        def own_check(id)
          unfit("Choose a lesson or check.", :lesson_id) unless id
          check = @store.checks.find(id)
          raise Store::Missing.new("check", id) unless check.class_id == @class.id

          chosen = Store::Checks::OWN_TASKS.include?(check.desk&.fetch(:kind))
          unfit("This was practice on devices. Start free practice instead.", :check_id) if chosen
          unfit("Pairs are for paper only.", :check_id) if check.task == "match"
          id
        end

        def lesson(id)
          row = @store.lessons.find(id || unfit("Choose a lesson.", :lesson_id))
          raise Store::Missing.new("lesson", id) unless row.class_id == @class.id

          [row, Core::Teaching::LessonPlan.new(row.plan, @class.wording, @class.day)]
        end

        def times(plan, stage)
          stages = Core::Teaching::StageMinutes.at_desks.map(&:to_s)
          unfit("Choose a part: #{stages.join(', ')}.", :stage) unless stages.include?(stage)
          found = plan.lesson.stages.find { |part| part.id.to_s == stage } or unfit("This lesson doesn't have that part.", :stage)
          # Earlier steps are asked with times of the dial alone.
          times = found.items.filter_map(&:time).select { |time| plan.task.times.include?(time) }.uniq
          times.empty? ? unfit("This part has no clocks. Give it more minutes.", :stage) : times.map(&:to_s)
        end
      end
    end
  end
end
