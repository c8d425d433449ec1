# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # In how many of the times of a kind a mistake shows: where it does in many, whoever has it does not read them.
      module Hindrance
        # Tasks that stand for a way of asking.
        TASKS = { say: :dial_to_words, write: :dial_to_digital, set: :words_to_dial, change: :words_to_digital, day: :day_half }.freeze
        # Times of a kind that are looked at (judgement: enough to tell many from few).
        TIMES = 8

        class << self
          # @param place [Integer] of the mistake in the catalogue
          # @param asking [Asking]
          # @return [Float] 0..1
          def share(place, asking) = ((@shares ||= {})[asking] ||= {})[place] ||= worked_out(place, asking.kind, asking.way)

          # @param place [Integer] of the mistake in the catalogue
          # @param asking [Asking]
          # @return [Boolean] whether whoever has it does not read that
          def in_the_way?(place, asking) = share(place, asking) >= TABLE[:in_the_way][:share]

          private

          def worked_out(place, kind, way)
            task = task(kind, way)
            times = times(kind, task)
            times.count { |time| Item.of(task, time).mistakes.include?(place) } / times.length.to_f
          end

          def task(kind, way) = TASKS.key?(way) ? Tasks::Task.find(TASKS[way]) : Curriculum::Step.find(kind).tasks.first

          def times(kind, task)
            step = Curriculum::Step.find(kind)
            pool = step.pool_for(task).select { |time| Curriculum::KnowledgeComponents.of(task, time) == kind }
            pool.each_slice([pool.length / TIMES, 1].max).map(&:first)
          end
        end
      end
    end
  end
end
