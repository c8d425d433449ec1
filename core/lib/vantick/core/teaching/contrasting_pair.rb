# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # The two clocks that a lesson begins to show: both of what is new, and alike but for what matters, so that this is what is talked
      # about (learning by contrast; Marton and Pang 2006, from memory).
      module ContrastingPair
        # What two times of a step should differ in, the first that its times allow. Sides: as far before the half hour as after it.
        # Minutes: the first and the last of one hour. Hours: one after the other.
        WAYS = { sides: ->(one, other) { one.hour == other.hour && one.minute + other.minute == 60 && one.minute < 30 },
                 minutes: ->(one, other) { one.hour == other.hour && one.minute < other.minute },
                 hours: ->(one, other) { one.minute == other.minute && (one.hour % 12) + 1 == other.hour } }.freeze

        class << self
          # @param step [Curriculum::Step]
          # @param times [Array<DialTime>] of it, that are free
          # @param random [Random]
          # @return [Array<DialTime>] two, the earlier first; none where no pair is free
          # @example
          #   ContrastingPair.of(Step.find(:fives), times, random).map(&:to_s) #=> ["8:25", "8:35"]
          def of(step, times, random)
            return [] unless step.whole?

            free = newest(step, times).reject(&:hidden_hand?)
            WAYS.each do |way, differ|
              pairs = free.product(free).select { |pair| differ.call(*pair) }
              return nearest(way, pairs).sample(random:) if pairs.any?
            end
            []
          end

          # @param step [Curriculum::Step]
          # @param times [Array<DialTime>]
          # @return [Array<DialTime>] those of the kind that the step brings; all where it mixes what is there
          def newest(step, times)
            own = times.select { |time| Curriculum::Difficulty.minute_class(time) == step.id }
            own.empty? ? times : own
          end

          private

          # Sides that lie close to each other are taken for each other most; minutes are told apart best at both ends.
          def nearest(way, pairs)
            apart = pairs.group_by { |one, other| other.minute - one.minute }
            { sides: apart.min, minutes: apart.max, hours: apart.first }.fetch(way).last
          end
        end
      end
    end
  end
end
