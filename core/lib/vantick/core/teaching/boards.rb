# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # One clock for all, answered on boards that go up together: which answers to wait for, and what to do next by how many show each.
      class Boards
        TABLE = Facts::DataFile.load("boards")
        AMOUNTS = TABLE[:amounts].to_h { |amount| [amount[:id].to_sym, amount] }.freeze
        # What an amount is said of beside the misreadings: the right answer, and any answer that is not waited for.
        RIGHT = :right
        OTHER = :other

        # @!attribute say [String] what to do, for the teacher
        # @!attribute misreading [Misreading, nil] that stands out
        # @!attribute time [DialTime, DayTime, nil] to ask next; nothing where the class goes on
        Advice = Struct.new(:say, :misreading, :time, keyword_init: true)

        # @return [Array<HingeQuestion::Wrong>] what most children say who are wrong comes first
        attr_reader :wrong

        # @param step [Curriculum::Step]
        # @param task [Task] one of the step's
        # @param time [DialTime, DayTime] one of its times
        # @raise [UnknownName] where the task is not for this step
        def initialize(step, task, time)
          @task = task
          @time = time
          @pool = step.pool_for(task)
          @wrong = HingeQuestion.new(nil, time, task, step).wrong
          freeze
        end

        # @param amounts [Hash{Symbol => Symbol}] of {RIGHT}, {OTHER} and misreadings' ids, one of {AMOUNTS}' keys; what is left out is none
        # @param conventions [Conventions]
        # @return [Advice]
        # @raise [UnknownName]
        # @example
        #   boards.advice({ right: :few, to_with_passed_hour: :some }).misreading.id # :to_with_passed_hour
        def advice(amounts, conventions = Wording::Conventions.default)
          shares = shares(amounts)
          return Advice.new(say: TABLE[:say][:go_on]).freeze if shares.fetch(RIGHT, 0) >= TABLE[:go_on]

          named = shares.except(RIGHT, OTHER).max_by(&:last)
          return work(named.first, conventions) if named && named.last >= TABLE[:stands_out]

          partly = shares.fetch(RIGHT, 0) >= TABLE[:stands_out]
          Advice.new(say: TABLE[:say][partly ? :partly : :again], time: nearest(@pool - [@time])).freeze
        end

        private

        def shares(amounts)
          known = [RIGHT, OTHER, *wrong.map { |answer| answer.misreading.id }]
          amounts.to_h do |id, amount|
            raise UnknownName.new("answer", id, known, field: :amounts) unless known.include?(id)

            [id, (AMOUNTS[amount] || raise(UnknownName.new("amount", amount, AMOUNTS.keys, field: :amounts)))[:share]]
          end
        end

        # Another clock on which it would show.
        def work(id, conventions)
          misreading = Reading::Misreading.find(id)
          predictions = Reading::Predictions.of(@task)
          times = (@pool - [@time]).select { |time| predictions.wrong_answers(misreading, time).any? }
          say = format(TABLE[:say][:work], move: misreading.texts_in(conventions)[:move])
          Advice.new(say:, misreading:, time: nearest(times)).freeze
        end

        # About as hard, at another hour.
        def nearest(times)
          seen = times.reject { |time| time.dial_time.hidden_hand? || time.dial_time.hour_passed == @time.dial_time.hour_passed }
          hard = Curriculum::Difficulty.of(@time.dial_time)
          seen.min_by { |time| [(Curriculum::Difficulty.of(time.dial_time) - hard).abs, time.dial_time.index] }
        end
      end
    end
  end
end
