# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # One course that a term may take: a class with a chance of learning and a forgetting of its own, drawn by lot, and its children.
      class SimulationRun
        ROW = Forecast::ROW
        # Chance of learning, at most.
        SUREST = 0.95
        WEEK = 7
        # Looked up millions of times.
        DESK = ROW.fetch(:desk)
        LESSON, UNLEARNED, RECAP, ALONE = Knowing::Expected::LEARN.fetch_values(:lesson, :unlearned, :recap, :alone)
        FIRST, FLOOR = Knowing::Places::KEEP.fetch_values(:begin, :floor)
        KNOWS = NUMBERS[:knows] - 1e-9

        # @param random [Random]
        # @param learning [Teaching::Learning]
        # @param away [Float]
        def initialize(random, learning, away)
          @random = random
          @away = away
          draws = Draws.new(random)
          @chance = draws.beta(learning.ones, learning.others) * (2**(draws.normal * ROW[:doubt]))
          @hindered = UNLEARNED / LESSON
          @longer = 2**(draws.normal * ROW[:spread])
          @floor = FLOOR * (random.rand**ROW[:returns])
          @draws = draws
        end

        # @param starts [Array<Teaching::Start>]
        # @param events [Array<#day>] in order; see {Forecast}
        # @param shares [Array<Array(Integer, Float)>] places of the aim's kinds, and their shares
        # @param today [Integer]
        # @return [Array<Integer>] how many children know the aim, each time it is looked
        def counts(starts, events, shares, today)
          held = held(events)
          return held.filter_map { |event| event.taught ? nil : 0 } if starts.empty?

          starts.map { |start| child(start, held, shares, today) }.transpose.map(&:sum)
        end

        private

        # Weeks fall out that nobody foresaw, for the whole class.
        def held(events)
          fallen = events.map { |event| event.day / WEEK }.uniq.select { @random.rand < ROW[:lost] }
          events.reject { |event| event.taught && fallen.include?(event.day / WEEK) }
        end

        def child(start, events, shares, today)
          begin_with(start, today)
          events.filter_map do |event|
            next knows(shares, event.day) if event.taught.nil?

            happens(event) if @random.rand >= @away
            nil
          end
        end

        def begin_with(start, today)
          @rates = start.hindered.map { |hindered| hindered ? @hindered : 1.0 }
          own = @chance * (2**(@draws.normal * ROW[:own]))
          @rates.map! { |rate| [rate * own, SUREST].min }
          @known = start.known.map { |chance| @random.rand < chance }
          @half = start.strengths.map { |days| days * @longer }
          @last = Array.new(@known.length, today)
        end

        def happens(event)
          event.recap.each { |kind| touch(kind, event.day, RECAP) }
          return at_desk(event) if event.desk

          event.taught.each { |kind, share, below| touch(kind, event.day, @rates[kind] * share * ready(below)) }
        end

        # The first that is not known, as far as what it rests on is; and what was known and is the longest ago.
        def at_desk(event)
          others, known = event.desk.partition { |place, _, _| !@known[place] }
          known.map(&:first).min_by { |place| @last[place] }&.then { |place| touch(place, event.day, DESK) }
          others.first&.then { |place, _, below| touch(place, event.day, DESK * ready(below)) }
        end

        def ready(below) = below.all? { |place| @known[place] } ? 1.0 : ALONE

        # What is known and was kept is kept longer; what was not is learned anew with the chance given.
        def touch(kind, day, chance)
          return (learn(kind, day) if @random.rand < chance) unless @known[kind]

          if @random.rand < retention(kind, day)
            @half[kind] = Knowing::Places.longer(@half[kind])
            @last[kind] = day
          else
            @known[kind] = false
            learn(kind, day) if @random.rand < chance
          end
        end

        # As {Knowing::Places#kept}: some of it comes back as soon as it is asked for.
        def retention(kind, day) = @floor + ((1 - @floor) * (2.0**((@last[kind] - day) / @half[kind])))

        def learn(kind, day)
          @known[kind] = true
          @half[kind] = FIRST * @longer
          @last[kind] = day
        end

        # @return [Integer] 1 for a child who reads enough of the aim's times
        def knows(shares, day)
          there = shares.sum { |kind, share| @known[kind] && @random.rand < retention(kind, day) ? share : 0.0 }
          there >= KNOWS ? 1 : 0
        end
      end
    end
  end
end
