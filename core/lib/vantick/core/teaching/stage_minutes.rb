# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # How many minutes each stage of a lesson has.
      module StageMinutes
        # By id, in the order of the lesson.
        STAGES = Facts::DataFile.entries("stages", required: %i[id name aim share then]).to_h { |stage| [stage[:id].to_sym, stage] }.freeze
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

          # @return [Array<Symbol>] stages whose times children can have at their desks; the others are in front of the class
          def at_desks = STAGES.select { |_, stage| stage[:desks] }.keys

          private

          # Whole minutes nearest to the shares: what is left over goes to the stages that lost most by rounding.
          def usual(minutes)
            exact = STAGES.transform_values { |stage| stage[:share] * minutes/100r }
            given = exact.transform_values(&:floor)
            short = exact.keys.sort_by.with_index { |id, place| [given[id] - exact[id], place] }.first(minutes - given.values.sum)
            given.to_h { |id, least| [id, least + (short.include?(id) ? 1 : 0)] }
          end

          def checked(minutes, wanted)
            unknown = wanted.keys - STAGES.keys
            raise UnknownName.new("stage", unknown.first, STAGES.keys) if unknown.any?

            given = STAGES.to_h { |id, _| [id, wanted.fetch(id, 0)] }
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
