# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # What a time asked with a task rests on, and how likely an answer to it is for one who knows and for one who does not. The same for
      # everybody, so worked out once.
      class Item
        WAYS = { words: :say, mistake: :say, digits: :write, hands: :set, day_half: :day }.freeze
        # Ways in which a kind of times is named, and not only read.
        NAMED = %i[say change day].freeze
        GUESS = TABLE[:guess].freeze
        BAD_DAY = TABLE[:bad_day].freeze

        # @return [Symbol] one of {Curriculum::KnowledgeComponents.all}
        attr_reader :kind
        # @return [Symbol] `:say`, `:write`, `:set`, `:change` (words to digits and back), `:alone` (one hand or numerals), or `:day`
        attr_reader :way
        # @return [Symbol, nil] the highest part of the {Graph} that it rests on
        attr_reader :part
        # @return [Array<Integer>] places in the catalogue of the mistakes that can show
        attr_reader :mistakes
        # @return [Float] 0..1, how often whoever does not know is right
        attr_reader :guess

        # @param task [Task]
        # @param time [DialTime, DayTime]
        # @return [Item]
        def self.of(task, time) = ((@all ||= {})[task.id] ||= {})[time] ||= new(task, time)

        # @param kind [Symbol]
        # @param way [Symbol]
        # @return [Symbol] the part of the graph
        def self.part_of(kind, way)
          return :oclock if kind == :day_halves

          (TABLE[NAMED.include?(way) ? :said : :written][kind] || kind).to_sym
        end

        # @param task [Task]
        # @return [Symbol] its way
        def self.way_of(task)
          return :day if task.asks == :day
          return :alone if Curriculum::Step.home(task)
          return :change if task.notation != :hands && %i[words digits].include?(task.sees)

          WAYS.fetch(task.notation)
        end

        # @param task [Task]
        # @return [Integer] wrong answers that there are to it
        def self.wrong_answers(task)
          (@wrong_answers ||= {})[task.id] ||=
            task.guess ? (1 / task.guess).round - 1 : task.times.map { |time| task.right_answer(time) }.uniq.length - 1
        end

        # @param task [Tasks::Task]
        # @param time [DialTime, DayTime]
        def initialize(task, time)
          @task = task
          @time = time
          @kind = Curriculum::KnowledgeComponents.of(task, time)
          @way = Item.way_of(task)
          @part = Item.part_of(kind, way)
          @predicted = Mistakes.at(task, time)
          @mistakes = @predicted.keys.freeze
          @guess = [task.guess || 0, GUESS[:right]].max
          @others = Judging::Likelihood.others(task)
          @foreseen = [Reading::Predictions.of(task).count(time), 1].max
          share_out
          freeze
        end

        # @param mistake [Integer] one of {#mistakes}
        # @return [Float] how likely each of its wrong answers is where it shows
        def each_of(mistake) = @predicted.fetch(mistake)

        # @param marked [MarkedAnswer]
        # @return [Float] how a slip of one who knows is spread: what a right answer and a wrong one have of it
        def slip_share(marked) = foreseen?(marked) ? @slips.first : @slips.last

        # @param marked [MarkedAnswer]
        # @param helped [Boolean] whether help was on the clock
        # @return [Float] the chance of that answer for one who does not know
        def unknown(marked, helped: false)
          right = helped ? [guess, GUESS[:helped]].max : guess
          return right if marked.read_right?

          (1 - right) * (foreseen?(marked) ? @unknown.first : @unknown.last)
        end

        # @param marked [MarkedAnswer]
        # @return [Float] the chance of that answer on a day on which a child is not itself
        def on_a_bad_day(marked)
          return BAD_DAY[:right] if marked.read_right?

          (1 - BAD_DAY[:right]) * unknown(marked) / (1 - guess)
        end

        private

        def foreseen?(marked) = marked.misreadings.any?

        # Of an answer that some mistake predicts, and of any other: mistakes are not made by lot.
        def share_out
          @unknown = shares(GUESS[:foreseen])
          @slips = shares(GUESS[:slip_foreseen])
        end

        # Where there are few wrong answers, whoever guesses gives one that is foreseen as often as any.
        def shares(foreseen)
          by_lot = [@foreseen.to_f / Item.wrong_answers(@task), GUESS[:foreseen_most]].min
          all = [foreseen, GUESS[:each] * @foreseen].min.clamp(by_lot, GUESS[:foreseen_most])
          [all / @foreseen, (1 - all) / @others].freeze
        end
      end
    end
  end
end
