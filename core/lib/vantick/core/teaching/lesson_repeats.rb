# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Where a step has few times (twelve for a single quarter), they come again: late enough that nobody remembers the answer,
      # and never in the exit.
      class LessonRepeats
        # Items between a time and the same time again where a step has many (judgement).
        APART = 10
        # And where it has few: as far as they go, and never nearer.
        LEAST = 4

        # What is kept, without what comes again too early since the lesson was made shorter.
        # @param kept [Hash{Symbol => Array<DialTime, DayTime, nil>}] by stage, in the order of the lesson, every place there is
        # @param few [Integer] times that the step has for all but the exit
        # @param pinned [Hash{Symbol => Array<DialTime, DayTime>}] by stage, those that have to stay
        # @return [Hash{Symbol => Array<DialTime, DayTime, nil>}]
        # @raise [TimeTwice] where one of the exit comes twice, or one that is pinned too early
        def self.settled(kept, few, pinned)
          places = kept.flat_map { |id, found| found.map { |time| Place.new(id, time) } }
          places.each_with_index.group_by { |place, _| place.time }.except(nil).each_value { |same| spaced(same, few, pinned) }
          stages = places.group_by(&:stage)
          kept.to_h { |id, _| [id, stages.fetch(id, []).map(&:time)] }
        end

        Place = Struct.new(:stage, :time)

        # The later one gives way.
        def self.spaced(same, few, pinned)
          raise TimeTwice, same.first.first.time if same.length > 1 && same.any? { |place, _| place.stage == LessonShares::EXIT }

          same.each_cons(2) do |(before, from), (after, to)|
            next if to - from >= near(few)
            raise TimeTwice, after.time if [before, after].any? { |place| pinned.fetch(place.stage, []).include?(place.time) }

            after.time = nil
          end
        end

        # What is never made nearer than this is not taken for too near either.
        def self.near(few) = few > 2 * APART ? APART : LEAST
        private_class_method :spaced, :near

        # @param stages [Hash{Symbol => Array<DialTime, DayTime, nil>}] by stage, in order, every place there is
        # @param own [Array<DialTime, DayTime>] of the step itself, which alone are for what is new
        # @param unknown [Array<DialTime>] of a kind that is new: not for a warm-up or a review
        # @param barred [Array<DialTime, DayTime>] that were swapped for others
        def initialize(stages, own:, unknown: [], barred: [])
          @stages = stages
          @own = own - barred - stages.fetch(LessonShares::EXIT, [])
          @unknown = unknown
          @times = stages.except(LessonShares::EXIT).values.flatten.compact.uniq - barred
          @at = places.each_with_object(Hash.new { |all, time| all[time] = [] }) { |(_, time, place), all| all[time] << place if time }
        end

        # @return [Hash{Symbol => Array<DialTime, DayTime, nil>}] the same, with what comes again in the open places
        def filled
          found = places.map { |id, time, place| [id, time || (take(id, place) unless id == LessonShares::EXIT)] }.group_by(&:first)
          @stages.to_h { |id, _| [id, found.fetch(id, []).map(&:last)] }
        end

        private

        # Each place with its stage, what stands there, and its number in the whole lesson.
        def places
          placed = @stages.flat_map { |id, times| times.map { |time| [id, time] } }
          placed.map.with_index { |(id, time), place| [id, time, place] }
        end

        # The time that is furthest from where it comes otherwise; first those that come nowhere yet.
        def take(id, place)
          allowed = LessonShares::EARLIER.include?(id) ? @times - @unknown : @own
          time = allowed.max_by { |candidate| distance(candidate, place) }
          return if time.nil? || distance(time, place) < LEAST

          @at[time] << place
          time
        end

        def distance(time, place) = @at[time].map { |at| (at - place).abs }.min || Float::INFINITY
      end
    end
  end
end
