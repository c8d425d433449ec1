# frozen_string_literal: true

module Vantick
  module Server
    module Sheets
      # What children work on alone in a lesson: the lesson's own clocks for each child, with the help that its record says, or cards to
      # match where the lesson has those.
      class LessonSheet
        # Way to work that needs cards.
        CARDS = :matched_pair

        # @param store [Store::Database]
        # @param school_class [Store::Rows::SchoolClass]
        # @param plan [Core::Teaching::LessonPlan]
        # @param now [String]
        def initialize(store, school_class, plan, now:)
          @store = store
          @class = school_class
          @plan = plan
          @now = now
        end

        # @param child_ids [Array<Integer>] who gets one
        # @param seed [Integer]
        # @return [Hash, nil] the part of a stack, as {Store::Stacks} keeps it; nothing where nobody works alone or no sheet can ask it
        def part(child_ids, seed:)
          return if stage.nil?
          return cards(seed) if stage.activity == CARDS

          kind = kind() or return
          check = @store.checks.add(class_id: @class.id, step: step.id.to_s, task: @plan.task.id.to_s, items: items(child_ids),
                                    sheet: { kind: kind.id.to_s, versions: "each", names: true, child_ids: }, made_at: @now)
          { kind: "alone", check_id: check.id }
        end

        private

        def stage = @plan.lesson.stages.find { |stage| stage.id == :alone }

        def step = @plan.step

        def kind
          fitting = Core::Choosing::SheetKind.all.select { |kind| kind.answered? && kind.practice? }
          fitting.find { |kind| kind.tasks_for(step).include?(@plan.task) }
        end

        def cards(seed)
          kind = Core::Choosing::SheetKind.find(:cards)
          return if kind.tasks_for(step).empty?

          count = kind.usual_count(step, kind.tasks_for(step).first)
          cards = @plan.task.notation == :words ? "words" : "digits"
          { kind: "cards", material: { kind: "cards", step: step.id.to_s, seed:, count:, cards: } }
        end

        def items(child_ids)
          all = stage.items.filter_map { |item| Core::Choosing::SheetChoice::Item.new(time: item.time).freeze if item.time }
          levels = Store::ProgressCache.of(@class, @store, today: Store::SchoolDay.today).levels(step)
          set = @store.register.adjustments(@class.id)
          child_ids.flat_map { |id| own(all, levels.fetch(id, 1), set[id]).map { |item| row(item, id) } }
        end

        def own(all, level, adjustments)
          helps = Core::Choosing::Support.of(step, @plan.task).any?
          items = helps ? Core::Choosing::Support.fewer(all, level) : all
          adjustments ? Core::Choosing::Support.adjusted(items, adjustments, helps:) : items
        end

        def row(item, child_id)
          { time: item.time.to_s, child_id:, helped: item.helped ? 1 : nil, larger: item.larger ? 1 : nil,
            step: Store::ExitCheck.step_of(item.time, @plan) }
        end
      end
    end
  end
end
