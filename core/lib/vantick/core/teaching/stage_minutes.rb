# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # How many minutes each stage of a lesson has.
      module StageMinutes
        # By id, in the order of the lesson.
        STAGES = Facts::DataFile.entries("stages", required: %i[id name aim doing]).to_h { |stage| [stage[:id].to_sym, stage] }.freeze
        SHAPES = Facts::DataFile.load("shapes")
        LEAST = 1

        class << self
          # @param minutes [Integer] of the lesson, one of {Lesson::LENGTHS}
          # @param wanted [Hash{Symbol => Integer}] minutes of each stage; the usual shares where empty
          # @return [Hash{Symbol => Integer}] by stage, in order; they sum to the minutes of the lesson
          # @raise [InvalidCount]
          def of(minutes, wanted = {})
            unless minutes.is_a?(Integer) && Lesson::LENGTHS.cover?(minutes)
              raise InvalidCount.new("A lesson can have #{Lesson::LENGTHS.min} to #{Lesson::LENGTHS.max} minutes.", field: :minutes)
            end

            wanted.empty? ? usual(minutes) : checked(minutes, wanted)
          end

          # @param minutes [Integer]
          # @return [Hash{Symbol => Integer}] the stages of a lesson of that length, each with its share in per cent
          def shares(minutes) = shape(minutes)[:shares]

          # @param minutes [Integer]
          # @return [Boolean] whether it has clocks and nothing else
          def plain?(minutes) = shape(minutes).fetch(:plain, false)

          # @return [Array<Symbol>] stages whose times children can have at their desks; the others are in front of the class
          def at_desks = STAGES.select { |_, stage| stage[:desks] }.keys

          private

          def shape(minutes) = SHAPES.reverse.find { |shape| shape[:from] <= minutes }

          # Whole minutes nearest to the shares: what is left over goes to the stages that lost most by rounding.
          def usual(minutes)
            exact = shares(minutes).transform_values { |share| share * minutes/100r }
            given = exact.transform_values(&:floor)
            short = exact.keys.sort_by.with_index { |id, place| [given[id] - exact[id], place] }.first(minutes - given.values.sum)
            given.to_h { |id, least| [id, least + (short.include?(id) ? 1 : 0)] }
          end

          def checked(minutes, wanted)
            stages = shares(minutes).keys
            unknown = wanted.keys - stages
            raise UnknownName.new("stage", unknown.first, stages) if unknown.any?

            given = stages.to_h { |id| [id, wanted.fetch(id, 0)] }
            short = given.find { |_, length| length < LEAST }&.first
            raise InvalidCount.new("#{STAGES[short][:name]} needs at least #{LEAST} minute.", field: :stage_minutes) if short
            return given if given.values.sum == minutes

            raise InvalidCount.new("The parts add up to #{given.values.sum} minutes. The lesson has #{minutes}.", field: :stage_minutes)
          end
        end
      end
    end
  end
end
