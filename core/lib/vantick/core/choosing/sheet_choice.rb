# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # The exercises of a sheet: one choice for all, or another for each child, equally hard.
      class SheetChoice
        # @!attribute time [DialTime]
        # @!attribute said [Saying, nil] what somebody said, where a mistake is to be spotted
        # @!attribute misreading [Misreading, nil] what went wrong there
        # @!attribute level [Integer, nil] 1..3 where the sheet has levels
        Item = Struct.new(:time, :said, :misreading, :level, keyword_init: true)
        # Choices tried for another version, of which the one nearest in difficulty is taken (judgement).
        TRIED = 5

        # @param kind [SheetKind]
        # @param step [Step]
        # @param task [Task] one of the kind's for this step
        # @param count [Integer] exercises; at each level where there are levels
        # @param avoid [Array<DialTime>]
        # @param misreadings [Array<Misreading>] the class's own, for mistakes to spot
        def initialize(kind:, step:, task:, count:, avoid: [], misreadings: [])
          @kind = kind
          @step = step
          @task = task
          @count = count
          @avoid = avoid
          @misreadings = misreadings
          freeze
        end

        # @param seed [Integer]
        # @return [Array<Item>] easiest first
        # @raise [InvalidCount]
        def items(seed)
          case @kind.id
          when :spot then mistakes(seed)
          when :levels then levels(seed)
          when :cards then MatchCards.choose(step: @step, count: @count, seed:).map { |time| Item.new(time:).freeze }
          else plain(Chooser.choose(step: @step, task: @task, count: @count, seed:, avoid: @avoid))
          end
        end

        # @param count [Integer] how many
        # @param seed [Integer]
        # @return [Array<Array<Item>>] other times for each, nearly equally hard
        def versions(count, seed)
          first = items(seed)
          (1...count).reduce([first]) { |made, number| [*made, like(first, seed + (number * TRIED), made)] }
        end

        private

        def plain(choice, level = nil) = choice.times.map { |time| Item.new(time:, level:).freeze }

        def levels(seed)
          chosen = Levels.choose(step: @step, task: @task, count: @count, seed:, avoid: @avoid)
          chosen.flat_map.with_index(1) { |choice, level| plain(choice, level) }
        end

        def mistakes(seed)
          found = Mistakes.choose(step: @step, count: @count, seed:, misreadings: @misreadings)
          found.map { |mistake| Item.new(time: mistake.time, said: mistake.said, misreading: mistake.misreading).freeze }
        end

        # No two alike, while there are others.
        def like(first, seed, made)
          tries = Array.new(TRIED) { |try| quick(seed + try) }
          tries.min_by { |items| [made.include?(items) ? 1 : 0, (hardness(items) - hardness(first)).abs] }
        end

        def quick(seed)
          return items(seed) if %i[spot levels cards].include?(@kind.id)

          pool = @step.pool_for(@task)
          telling = Telling.for(@step, @task)
          plain(Chooser.from(pool, name: @step.name, task: @task, count: @count, seed:, telling:, thorough: false))
        end

        def hardness(items) = items.sum { |item| Difficulty.of(item.time) } / items.length
      end
    end
  end
end
