# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Three clocks that help with a misreading in a class: such as show it, and no harder than what the class is at.
      module HelpingClocks
        COUNT = 3

        class << self
          # @param misreading [Misreading]
          # @param step [Curriculum::Step] that the class is at
          # @return [Array<DialTime>] those first that show it best; from the lowest step that shows it where the
          #   class's own does not; fewer where a step has no more
          # @example
          #   HelpingClocks.of(Reading::Misreading.find(:to_with_passed_hour), Step.find(:quarters)) #=> [7:45, 12:45, 2:45]
          def of(misreading, step)
            (@of ||= {})[[misreading.id, step.id]] ||= chosen(misreading, at(misreading, step)).freeze
          end

          private

          def at(misreading, step)
            step.shows?(misreading) ? step : Curriculum::Step.with_times.find { |candidate| candidate.shows?(misreading) }
          end

          def chosen(misreading, step)
            task = step.tasks.find { |candidate| step.misreadings(candidate).include?(misreading) }
            shown = step.pool_for(task).select { |time| misreading.chance?(time, task) }.map(&:dial_time).uniq
            best = misreading.best_times.map(&:dial_time) & shown
            (best + spread(shown - best)).first(COUNT)
          end

          # From all round the clock.
          def spread(times) = times.each_slice([times.length / COUNT, 1].max).map { |slice| slice[slice.length / 2] }
        end
      end
    end
  end
end
