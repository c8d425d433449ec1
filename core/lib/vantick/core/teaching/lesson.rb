# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # A lesson in minutes: up to six stages with what fits in each and its times. No time is in a lesson twice, but where a step has
      # few of them.
      class Lesson
        # Minutes (judgement): from five minutes a day to a double lesson.
        LENGTHS = (5..75)
        # Minutes of a lesson of which nobody has said how long it is.
        USUAL = TeachingNumbers.of(:lesson_minutes)
        # In the order in which they choose their times: the exit first, so that it tells most; then what is
        # new, then what is gone over again.
        CHOSEN = %i[exit show together alone recap warm_up].freeze
        # Where what is new is tried before it is mixed with what was had earlier.
        TRIED = %i[together alone].freeze

        # @!attribute id [Symbol] such as `:warm_up`
        # @!attribute name [String]
        # @!attribute aim [String] what it is for, in a few words
        # @!attribute minutes [Integer]
        # @!attribute activity [Symbol] how children work in it
        # @!attribute choices [Array<Symbol>] how else they could
        # @!attribute items [Array<Item>] what fits, in order
        # @!attribute spare_seconds [Float] what is left for going over and handing out
        # @!attribute missing [Integer] items for which there was no time left
        # @!attribute left_out [Array<DialTime, DayTime>] times asked for that do not fit any more
        Stage = Struct.new(:id, :name, :aim, :minutes, :activity, :choices, :items, :spare_seconds, :missing, :left_out, keyword_init: true)
        # @!attribute kind [Symbol] one of {Pacing::SECONDS}' keys
        # @!attribute seconds [Float]
        # @!attribute time [DialTime, DayTime, nil] where the item has one
        # @!attribute task [Task, nil] with which the time is asked
        Item = Struct.new(:kind, :seconds, :time, :task, keyword_init: true)

        # @return [Array<Stage>]
        attr_reader :stages

        # @param step [Curriculum::Step]
        # @param task [Task] one of the step's
        # @param frame [LessonFrame]
        # @param seed [Integer]
        # @param context [LessonContext]
        # @raise [InvalidCount] where the minutes are not a lesson's, or do not fill it
        # @raise [TimeTwice] where a time of the exit is kept twice, or one that is pinned comes again too early
        def initialize(step:, task:, frame:, seed: 0, context: LessonContext.new)
          @context = context
          @round = CountingRound.kind(step)
          lengths = StageMinutes.of(frame.minutes, frame.stage_minutes)
          @kept = frame.kept.slice(*lengths.keys)
          @activities = activities(frame, lengths, task, seed)
          @kinds = LessonFilling.new(lengths, task:, activities: @activities, pacing:, standing: @kept.transform_values(&:length)).kinds
          @slots = slots(step.pool_for(task).length, frame.pinned)
          @supply = LessonTimes.new(step:, task:, seed:, used: avoid | @kept.values.flatten.compact, context:)
          @stages = stages_of(lengths).freeze
          freeze
        end

        # @return [Array<Item>] those of the exit; a short one has none
        def exit = stages.find { |stage| stage.id == LessonShares::EXIT }&.items.to_a

        # @return [Array<DialTime, DayTime>] all its times, in order
        def times = stages.flat_map { |stage| stage.items.filter_map(&:time) }

        private

        def pacing = @context.pacing

        def avoid = @context.avoid

        def activities(frame, lengths, task, seed)
          Activities.new(stages: lengths.keys, task:, seed:, plain: StageMinutes.plain?(frame.minutes), chosen: frame.activities)
        end

        # What is kept, in every place there is.
        def slots(pool, pinned)
          kept = places.to_h { |id, count| [id, Array.new(count) { |at| kept_times(id)[at] }] }
          LessonRepeats.settled(kept, pool - kept.fetch(LessonShares::EXIT, []).compact.length - avoid.length, pinned)
        end

        def places = @places ||= @kinds.transform_values { |kinds| kinds.count { |kind| !Pacing.timeless?(kind) } }

        def stages_of(lengths)
          found = times_by_stage
          found = repeated(lengths.to_h { |id, _| [id, found.fetch(id)] })
          lengths.map { |id, length| stage(id, length, found.fetch(id).compact) }
        end

        # Where times run out they come again.
        def repeated(found)
          return found unless found.values.any? { |times| times.include?(nil) }

          LessonRepeats.new(found, own: @supply.own, unknown: @supply.unknown, barred: avoid).filled
        end

        # In the order in which they choose.
        def times_by_stage
          chosen = CHOSEN & @slots.keys
          shares = @supply.shares(chosen.to_h { |id| [id, @slots.fetch(id).count(&:nil?)] })
          chosen.to_h do |id|
            times = taken(id, shares.fetch(id))
            [id, @slots.fetch(id).map { |time| time || times.shift }]
          end
        end

        def taken(id, share)
          return @supply.take_exit(share) if id == LessonShares::EXIT
          return @supply.take_shown(share) if id == LessonShares::SHOWN

          found = @supply.take(share, thorough: StageMinutes::STAGES.fetch(id)[:thorough])
          TRIED.include?(id) ? @supply.new_first(found) : found
        end

        def stage(id, minutes, found)
          items = items(@kinds.fetch(id), found)
          Stage.new(id:, **StageMinutes::STAGES.fetch(id).slice(:name, :aim), minutes:, activity: @activities.by_stage.fetch(id),
                    choices: @activities.choices(id).freeze, items:,
                    spare_seconds: (minutes * 60) - items.sum(&:seconds),
                    missing: places.fetch(id) - found.length, left_out: kept_times(id).drop(places.fetch(id)).compact.freeze).freeze
        end

        def kept_times(id) = @kept.fetch(id, [])

        # An item that has no time left for it falls away.
        def items(kinds, times)
          left = times.dup
          kinds.filter_map do |kind|
            seconds = pacing.seconds(kind)
            next Item.new(kind: kind == :counting_round ? @round : kind, seconds:).freeze if Pacing.timeless?(kind)

            time = left.shift or next
            Item.new(kind:, seconds:, time:, task: @supply.task_for(time)).freeze
          end.freeze
        end
      end
    end
  end
end
