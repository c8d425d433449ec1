# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What fits in each stage of a lesson, in seconds, and no more clocks than children can think about.
      class LessonFilling
        VOLUME = Facts::DataFile.load("volume")
        CLOCKS = VOLUME[:clocks].transform_keys { |from| from.to_s.to_i }.freeze
        # Clocks that are shown stay, as those of an exit do: their number is what they are for.
        KEPT = %i[show exit].freeze
        LEAST = VOLUME[:least]

        # @param minutes [Integer] of the lesson
        # @return [Integer] clocks in it at most
        def self.most(minutes) = CLOCKS.select { |from, _| from <= minutes }.values.last

        # @param lengths [Hash{Symbol => Integer}] minutes by stage
        # @param task [Task]
        # @param activities [Activities]
        # @param pacing [Pacing]
        # @param standing [Hash{Symbol => Integer}] by stage, clocks that a teacher keeps: they go for want of time alone
        def initialize(lengths, task:, activities:, pacing:, standing: {})
          @lengths = lengths
          @minutes = lengths.values.sum
          @plain = StageMinutes.plain?(@minutes)
          @task = task
          @activities = activities
          @pacing = pacing
          @standing = standing
        end

        # @return [Hash{Symbol => Array<Symbol>}] by stage, the kinds of its items in order
        def kinds = trimmed(@lengths.to_h { |id, minutes| [id, filled(id, minutes * 60)] }).transform_values(&:freeze)

        private

        def filled(id, seconds)
          row = StageMinutes::STAGES.fetch(id)
          doing = Activities.kind(@activities.by_stage.fetch(id), @task)
          first, left = opening(row, seconds)
          return first if first.length < choose_for(row, :first).length

          last = closing(row, left, doing)
          first + Array.new(fitting(left - seconds_of(last), doing), doing) + last
        end

        def opening(row, seconds)
          left = seconds
          first = choose_for(row, :first).take_while { |kind| (left -= @pacing.seconds(kind)) >= 0 }
          [first, seconds - seconds_of(first)]
        end

        def closing(row, left, doing)
          last = choose_for(row, :last)
          fitting(left - seconds_of(last), doing) >= LEAST ? last : []
        end

        # What takes no time in this class is left out.
        def choose_for(row, part)
          row.fetch(part, []).map(&:to_sym).select { |kind| @pacing.seconds(kind).positive? && !(@plain && Pacing.timeless?(kind)) }
        end

        def fitting(seconds, kind) = [(seconds / @pacing.seconds(kind)).floor, 0].max

        def seconds_of(kinds) = kinds.sum { |kind| @pacing.seconds(kind) }

        # The stage with the most clocks for its minutes gives one up, until there are no more than a lesson of this length has.
        def trimmed(found)
          while clocks(found).values.sum > LessonFilling.most(@minutes)
            stage = densest(found)
            break if stage.nil?

            found[stage].delete_at(found[stage].rindex { |kind| !Pacing.timeless?(kind) })
          end
          found
        end

        def densest(found)
          left = clocks(found).except(*KEPT).select { |id, count| count > [LEAST, @standing.fetch(id, 0)].max }
          left.keys.max_by { |id| left[id] / @lengths[id].to_f }
        end

        def clocks(found) = found.transform_values { |kinds| kinds.count { |kind| !Pacing.timeless?(kind) } }
      end
    end
  end
end
