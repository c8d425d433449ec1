# frozen_string_literal: true

module Vantick
  module Core
    # A lesson in minutes: six stages with what fits in each and its times. No time is in a lesson twice.
    class Lesson
      # Minutes (judgement).
      LENGTHS = (20..75)
      STAGES = DataFile.load("pacing")[:stages]

      # @!attribute id [Symbol] such as `:warm_up`
      # @!attribute seconds [Integer] its share of the lesson
      # @!attribute items [Array<Item>] what fits, in order
      # @!attribute spare_seconds [Float] what is left for going over and handing out
      Stage = Struct.new(:id, :seconds, :items, :spare_seconds, keyword_init: true)
      # @!attribute kind [Symbol] one of {Pacing::SECONDS}' keys
      # @!attribute seconds [Float]
      # @!attribute time [DialTime, nil] where the item has one
      Item = Struct.new(:kind, :seconds, :time, keyword_init: true)

      CHOSEN = %w[exit show together alone recap warm_up].freeze
      # Items that need no time of their own.
      TIMELESS = %i[counting_round labelling_dial question].freeze

      # @return [Array<Stage>]
      attr_reader :stages
      # @return [Hash{Symbol => Integer}] by stage, items for which there was no time left that is not used yet
      attr_reader :missing

      # @param step [Step]
      # @param task [Task] one that begins with a dial
      # @param minutes [Integer] one of {LENGTHS}
      # @param earlier [Array<Step>] steps that are fading or not secure, for warm-up and recap
      # @param pacing [Pacing]
      # @param seed [Integer]
      # @param avoid [Array<DialTime>]
      # @raise [InvalidCount]
      def initialize(step:, task:, minutes:, earlier: [], pacing: Pacing.new, seed: 0, avoid: [])
        unless minutes.is_a?(Integer) && LENGTHS.cover?(minutes)
          raise InvalidCount.new("A lesson has #{LENGTHS.min} to #{LENGTHS.max} minutes.", field: :minutes)
        end

        @step = step
        @earlier = earlier
        @task = task
        @pacing = pacing
        @seed = seed
        @used = avoid.dup
        @missing = {}
        @stages = filled(minutes).freeze
        [@missing, @used].each(&:freeze)
        freeze
      end

      private

      # The exit is chosen first, so that it tells most; then what is new, then what is gone over again.
      def filled(minutes)
        seconds = STAGES.to_h { |stage| [stage, stage[:share] * minutes * 60 / 100] }
        seconds[STAGES.last] += (minutes * 60) - seconds.values.sum
        made = STAGES.sort_by { |stage| CHOSEN.index(stage[:id]) }.to_h { |stage| [stage[:id], stage(stage, seconds.fetch(stage))] }
        STAGES.map { |stage| made.fetch(stage[:id]) }
      end

      def stage(stage, seconds)
        kinds = kinds(stage, seconds)
        times = times(stage, kinds.count { |kind| !TIMELESS.include?(kind) }).each
        items = kinds.filter_map { |kind| item(kind, times) }
        Stage.new(id: stage[:id].to_sym, seconds:, items: items.freeze, spare_seconds: seconds - items.sum(&:seconds)).freeze
      end

      def kinds(stage, seconds)
        first = stage[:first].map(&:to_sym)
        left = seconds
        fitting = first.take_while { |kind| (left -= @pacing.seconds(kind)) >= 0 }
        left = seconds - fitting.sum { |kind| @pacing.seconds(kind) }
        more = fitting.length < first.length ? 0 : (left / @pacing.seconds(stage[:then].to_sym)).floor
        fitting + Array.new(more, stage[:then].to_sym)
      end

      def item(kind, times)
        return Item.new(kind:, seconds: @pacing.seconds(kind), time: nil).freeze if TIMELESS.include?(kind)

        Item.new(kind:, seconds: @pacing.seconds(kind), time: times.next).freeze
      rescue StopIteration
        nil
      end

      def times(stage, wanted)
        pool = pool_for(stage, wanted)
        count = [wanted, pool.length, Chooser::MOST].min
        @missing[stage[:id].to_sym] = wanted - count if count < wanted
        return [] if count.zero?

        thorough = stage[:id] == "exit"
        telling = Telling.for(thorough ? @step : Step.find(:minutes), @task)
        chosen = Chooser.from(pool, name: @step.name, task: @task, count:, seed: @seed, telling:, thorough:).times
        @used.concat(chosen)
        chosen
      end

      # Earlier steps for what is gone over again, and this step's own times where those run out.
      def pool_for(stage, wanted)
        own = @step.pool - @used
        return own unless stage[:earlier]

        earlier = @earlier.flat_map(&:pool).uniq - @used
        earlier.length >= wanted ? earlier : earlier | own
      end
    end
  end
end
