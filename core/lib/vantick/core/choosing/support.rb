# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # What stands on a clock on paper to help, and on how many of a child's exercises. It fades: from all of them, to the first half,
      # to none.
      module Support
        TABLE = Facts::DataFile.load("supports")
        STEPS = TABLE[:steps].transform_values { |ids| ids.map(&:to_sym).freeze }.freeze
        TASKS = TABLE[:tasks].transform_values { |ids| ids.map(&:to_sym).freeze }.freeze

        class << self
          # @param step [Curriculum::Step]
          # @param task [Tasks::Task]
          # @return [Array<Symbol>] some of `:hour_gap`, `:sides` and `:minutes`; none where help would be the answer
          # @example
          #   Support.of(Curriculum::Step.find(:fives_past), Tasks::Task.find(:dial_to_digital)) # [:hour_gap, :minutes]
          def of(step, task) = STEPS.fetch(step.id, []) & TASKS.fetch(task.id, [])

          # @param step [Curriculum::Step]
          # @param task [Tasks::Task]
          # @param time [Dial::DialTime, nil]
          # @return [Hash] what the clock has on it: `hour_gap` (the hour, where there is a time), `minute_numbers` (`:round` or
          #   `:both_sides`, as "to" is counted back) and `sides`
          def look(step, task, time = nil)
            help = of(step, task)
            numbers = [task.sees, task.notation].include?(:digits) ? :round : :both_sides
            { hour_gap: (time.hour_passed if time && help.include?(:hour_gap)), minute_numbers: (numbers if help.include?(:minutes)),
              sides: help.include?(:sides) || nil }.compact
          end

          # @param level [Integer] 1..{Levels::COUNT}
          # @param running [Integer] tasks on the step right one after the other
          # @return [Boolean] whether the next one at a device has help
          def at_desk?(level, running) = running < number(:desk, level)

          # @param level [Integer] 1..{Levels::COUNT}
          # @return [Float] 0..1, the part of the exercises that have it
          def share(level) = number(:shares, level)

          # @param items [Array<SheetChoice::Item>] as a rule
          # @param level [Integer] 1..{Levels::COUNT}
          # @return [Array<SheetChoice::Item>] those that a child on this level has, with its help on them
          def fewer(items, level) = over(items.first((items.length * number(:clocks, level)).ceil), level)

          # @param items [Array<SheetChoice::Item>] in the order in which they are printed
          # @param level [Integer] 1..{Levels::COUNT}
          # @return [Array<SheetChoice::Item>] the same, with help on the first of them
          def over(items, level)
            helped = (items.length * share(level)).ceil
            items.map.with_index { |item, at| at < helped ? changed(item, { helped: true }) : item }
          end

          # @param items [Array<SheetChoice::Item>] of one child's own sheet
          # @param adjustments [Teaching::Adjustments] of this child
          # @param helps [Boolean] whether its clocks can have help on them
          # @return [Array<SheetChoice::Item>] as a teacher set it for this child: fewer, with help on each, larger
          def adjusted(items, adjustments, helps: false)
            look = { larger: adjustments.on?(:larger), helped: helps && adjustments.on?(:help) }.select { |_, on| on }
            items.first(adjustments.exercises(items.length)).map { |item| look.empty? ? item : changed(item, look) }
          end

          private

          def changed(item, look) = item.dup.tap { |copy| look.each { |name, on| copy[name] = on } }.freeze

          def number(what, level)
            TABLE.fetch(what)[level] || raise(InvalidCount.new("A level is 1 to #{Levels::COUNT}.", nearest: level.to_i.clamp(1, 3)))
          end
        end
      end
    end
  end
end
