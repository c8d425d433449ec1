# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Small stories of a class's own day: what the clock shows at some part of it, and a question about what comes later, what was
      # before, or how long it is until the next part.
      class DayStories
        # @!attribute time [DayTime] that the clock shows
        # @!attribute text [String]
        # @!attribute answer [String]
        Story = Struct.new(:time, :text, :answer, keyword_init: true)
        WORDS = SheetKind::WORDS[:stories]
        NUMBERS = GameTimes::NUMBERS

        # @param day [Array<Hash>] each with `time` and `what`; an ordinary day where there are none
        # @return [Array<Array(DayTime, String)>] in order
        def self.events(day)
          rows = day.empty? ? Wording::DayFacts::DATA[:usual_day] : day
          rows.map { |row| [Dial::DayTime.parse(row[:time]), row[:what]] }.sort_by(&:first)
        end

        # @param day [Array<Hash>]
        # @param step [Step] minutes that are added or taken off are of its kind
        # @param conventions [Conventions]
        def initialize(day, step:, conventions: Wording::Conventions.default)
          @events = DayStories.events(day)
          @step = step
          @conventions = conventions
          freeze
        end

        # @param count [Integer]
        # @param seed [Integer]
        # @return [Array<Story>] no two alike, the kinds in turn; fewer where the day has no more
        # @example
        #   DayStories.new([], step: Step.find(:quarters)).stories(5, seed: 1).first.text
        #   # "Breakfast. What time is it 30 minutes later?"
        def stories(count, seed: 0)
          random = Random.new(seed)
          pools = [moved(:later, 1), up_to, moved(:before, -1)].map { |kind| kind.shuffle(random:) }
          turns = pools.map(&:length).max.to_i.times.flat_map { |at| pools.filter_map { |pool| pool[at] } }
          turns.first(count)
        end

        private

        def moved(kind, way)
          @events.product(lengths).filter_map do |(time, what), minutes|
            index = time.index + (way * minutes)
            next unless (0...Dial::DayTime.all.length).cover?(index)

            text = format(WORDS[kind], what: capital(what), length: Reading::Between.length(minutes))
            Story.new(time:, text:, answer: time_in_words(Dial::DayTime.all[index])).freeze
          end
        end

        def up_to
          @events.combination(2).filter_map do |(time, what), (to, other)|
            minutes = to.index - time.index
            next unless minutes.between?(*NUMBERS[:apart].values)

            text = format(WORDS[:until], what: capital(what), other:, to: to.dial_time.digital(@conventions.sign))
            Story.new(time:, text:, answer: Reading::Between.length(minutes)).freeze
          end
        end

        # Half hours and hours first of all; quarters and fives as the step has them.
        def lengths
          unit = [@step.pool.map(&:minute).reject(&:zero?).reduce(30) { |divisor, minute| divisor.gcd(minute) }, 5].max
          NUMBERS[:lengths].select { |minutes| (minutes % unit).zero? }
        end

        def time_in_words(time) = "#{Wording::Phrase.usual(time.dial_time, @conventions)}, #{time.dial_time.digital(@conventions.sign)}"

        def capital(text) = text[0].upcase + text[1..]
      end
    end
  end
end
