# frozen_string_literal: true

module Vantick
  module Core
    module Curriculum
      # What is known or not, one by one: the kinds of times of whole dials, and what is learned of one hand, of numerals and of
      # the day. Steps are made of them.
      module KnowledgeComponents
        class << self
          # @param step [Step]
          # @return [Array<Symbol>] of its times; one for a step at which no whole times are read
          def of_step(step)
            (@of_step ||= {})[step.id] ||= (step.whole? ? minute_classes(step) : [step.id]).freeze
          end

          # @param task [Task]
          # @param time [DialTime, DayTime]
          # @return [Symbol]
          def of(task, time) = Step.home(task)&.id || Curriculum::Difficulty.minute_class(time)

          # @return [Array<Symbol>] all there are, in the order of the ladder
          def all = @all ||= Step.with_times.flat_map { |step| of_step(step) }.uniq.freeze

          # @param kind [Symbol]
          # @return [Array<Symbol>] those of the steps that the kind's own step rests on
          def below(kind) = belows.fetch(kind)

          # @param kind [Symbol]
          # @return [Array<Symbol>] all that it rests on, and that these rest on
          def beneath(kind)
            (@beneath ||= {})[kind] ||= below(kind).flat_map { |other| [other, *beneath(other)] }.uniq.freeze
          end

          # @param kind [Symbol] of whole dials
          # @return [Array<Symbol>] what reading them exercises besides: the hour hand, and from five minutes on the numerals
          def exercised(kind)
            (@exercised ||= {})[kind] ||= parts_below(step_of(kind)).freeze
          end

          private

          def parts_below(step)
            return [] unless step.whole?

            step.foundations.reject { |foundation| foundation.whole? || foundation.pool.empty? }.map(&:id)
          end

          def minute_classes(step) = step.pool.map { |time| Curriculum::Difficulty.minute_class(time) }.uniq

          def step_of(kind)
            holding = Step.with_times.select { |step| of_step(step).include?(kind) }
            holding.find { |step| of_step(step).one? } || holding.first
          end

          def belows
            @belows ||= all.to_h do |kind|
              [kind, (step_of(kind).builds_on.flat_map { |lower| lower.pool.empty? ? [] : of_step(lower) } - [kind]).uniq.freeze]
            end.freeze
          end
        end
      end
    end
  end
end
