# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # The exercises of a sheet: one choice for all, or another for each child, equally hard. Practice goes over all times of the
      # step, a check takes what tells most.
      class SheetChoice
        # @!attribute time [DialTime]
        # @!attribute said [SpokenTime, nil] what somebody said, where a mistake is to be spotted
        # @!attribute misreading [Misreading, nil] what went wrong there
        # @!attribute level [Integer, nil] 1..3 where the sheet has levels
        # @!attribute step [Curriculum::Step, nil] it is of, where that is not the sheet's: what the child was losing
        # @!attribute helped [Boolean, nil] whether its clock has help on it, see {Support}
        # @!attribute larger [Boolean, nil] whether its clock is a large one
        Item = Struct.new(:time, :said, :misreading, :level, :step, :helped, :larger, keyword_init: true)
        # Who gets a sheet of their own.
        # @!attribute level [Integer, nil] of this child; all levels where there is none
        # @!attribute avoid [Array<DialTime>] what this child had lately
        # @!attribute again [Array<Curriculum::Step>] that this child may be losing
        # @!attribute help [Integer, nil] the level by which this child's clocks have help on them; none where it has none
        Reader = Struct.new(:level, :avoid, :again, :help, keyword_init: true) do
          def initialize(level: nil, avoid: [], again: [], help: nil) = super
        end
        # How much of a practice sheet is what the child may be losing, where there is any (judgement).
        AGAIN = 0.25
        # Days for which what was asked is avoided, while there is anything else (judgement).
        LATELY_DAYS = 21
        # Choices tried for another version of a check, of which the one nearest in difficulty is taken (judgement).
        TRIED = 3
        # Sheets whose times a check's next version does not take, while there are others (judgement).
        BESIDE = 3

        # @param place [Integer] of a version, from 0
        # @return [String] by which it is told from the others: A to Z, then AA and so on
        # @example
        #   SheetChoice.letter(2) # "C"
        def self.letter(place) = ("A".."ZZ").first(place + 1).last

        # @param kind [SheetKind]
        # @param step [Step]
        # @param task [Task] one of the kind's for this step
        # @param count [Integer] exercises; at each level where there are levels
        # @param misreadings [Array<Misreading>] the class's own, for mistakes to spot; of a game the first gives near misses
        def initialize(kind:, step:, task:, count:, misreadings: [])
          @kind = kind
          @step = step
          @task = task
          @count = count
          @misreadings = misreadings
          freeze
        end

        # @param seed [Integer]
        # @param avoid [Array<DialTime>] what the class had lately
        # @return [Array<Item>]
        # @raise [InvalidCount]
        def items(seed, avoid: []) = versions([Reader.new(avoid:)], seed).first

        # @param readers [Array<Reader>] as they sit beside each other
        # @param seed [Integer]
        # @return [Array<Array<Item>>] other times for each, nearly equally hard, in another order
        # @raise [InvalidCount]
        def versions(readers, seed)
          random = Random.new(seed)
          return readers.map { game(seed) } if @kind.game?

          way = way(seed)
          readers.each_with_object([]) do |reader, made|
            made << supported(in_order(way.call(reader, made), random, made.last || []), reader)
          end
        end

        # @param seed [Integer]
        # @param avoid [Array<DialTime>] times rather not used
        # @return [Array<Item>] of each level, the same for all who are on it
        def by_level(seed, avoid: [])
          versions((1..Levels::COUNT).map { |level| Reader.new(level:, avoid:) }, seed)
        end

        private

        # A game is one for all.
        def game(seed)
          GameTimes.choose(step: @step, count: @count, seed:, misreading: @misreadings.first).map { |time| item(time) }
        end

        # Each level by itself, where a sheet has several: a teacher said how many clocks it has.
        def supported(items, reader)
          return items if Support.of(@step, @task).empty?
          return Support.fewer(items, reader.help) if reader.help

          items.group_by(&:level).flat_map { |level, some| level ? Support.over(some, level) : some }
        end

        # How the times of one reader after the other are found.
        def way(seed)
          case @kind.id
          when :spot then ->(reader, made) { mistakes(seed + made.length, reader.avoid) }
          when :levels then leveled(seed)
          when :baseline then baseline(seed)
          when :cards then ->(_, made) { MatchCards.choose(step: @step, count: @count, seed: seed + made.length).map { |time| item(time) } }
          else @kind.practice? ? practised(seed) : ->(reader, made) { telling(reader, made, seed) }
          end
        end

        def practised(seed)
          practice = Practice.new(@step.pool_for(@task), count: @count, name: @step.name, seed:)
          lambda do |reader, made|
            items = practice.deal(avoid: reader.avoid).map { |time| item(time) }
            again = again(reader, items, Random.new(seed + made.length))
            items.first(items.length - again.length) + again
          end
        end

        # Whole dials of the steps that the child may be losing, none of them on the sheet already.
        def again(reader, items, random)
          steps = (reader.again - [@step]).select { |step| step.whole? && step.tasks.include?(@task) }
          there = items.map(&:time)
          found = steps.flat_map do |step|
            times = (step.pool_for(@task) - there - reader.avoid).reject(&:hidden_hand?)
            times.map { |time| item(time, step:) }
          end
          found.shuffle(random:).uniq(&:time).first((items.length * AGAIN).floor)
        end

        def leveled(seed)
          pools = Levels.pools(@step, @task)
          enough(pools)
          decks = pools.map.with_index { |pool, at| Practice.new(pool, count: @count, name: @step.name, seed: seed + at) }
          lambda do |reader, _|
            (reader.level ? [reader.level] : 1..Levels::COUNT).flat_map do |level|
              decks[level - 1].deal(avoid: reader.avoid).map { |time| item(time, level:) }
            end
          end
        end

        def enough(pools)
          most = pools.map(&:length).min
          return if @count.is_a?(Integer) && (1..most).cover?(@count)

          raise InvalidCount.new("Each level can have 1 to #{most} clocks for #{@step.name.downcase}.", nearest: @count.to_i.clamp(1, most))
        end

        # No two alike, while there are others.
        def telling(reader, made, seed)
          return chosen(seed, reader.avoid, thorough: true) if made.empty?

          # Nor what the neighbours have.
          avoid = reader.avoid | made.last(BESIDE).flatten.map(&:time)
          tries = Array.new(TRIED) { |try| chosen(seed + (made.length * TRIED) + try, avoid, thorough: false) }
          before = made.map { |items| items.map(&:time).sort }
          tries.min_by { |items| [before.include?(items.map(&:time).sort) ? 1 : 0, apart(items, made.first)] }
        end

        def chosen(seed, avoid, thorough:)
          choice = Chooser.public_send(thorough ? :from : :quickly, TimePool.of_step(@step, @task), count: @count, seed:, avoid:)
          choice.times.map { |time| item(time) }
        end

        def mistakes(seed, avoid)
          found = Mistakes.choose(step: @step, count: @count, seed:, misreadings: @misreadings, avoid:)
          found.map { |mistake| item(mistake.time, said: mistake.said, misreading: mistake.misreading) }
        end

        def baseline(seed)
          page = Knowing::Baseline.page(count: @count, seed:, tasks: [@task])
          pages = []
          random = Random.new(seed)
          lambda do |_, _|
            pages << (pages.empty? ? page : Knowing::Baseline.like(page, random, but: pages.last(BESIDE)))
            pages.last.map { |question| item(question.time, step: question.step) }
          end
        end

        def item(time, **more) = Item.new(time:, **more).freeze

        def in_order(items, random, beside)
          # On a baseline the easiest come first.
          return items if %i[cards baseline].include?(@kind.id)

          items.group_by(&:level).flat_map do |level, some|
            OwnOrder.of(some, random, beside: beside.select { |other| other.level == level })
          end
        end

        def apart(items, others) = (hardness(items) - hardness(others)).abs

        def hardness(items) = items.sum { |item| Curriculum::Difficulty.of(item.time) } / items.length
      end
    end
  end
end
