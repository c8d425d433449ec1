# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # A class's own method as a list that children tick off while they read a dial: only the lines that the
      # times of a step need.
      class MethodCard
        WORDS = Facts::DataFile.load("words")[:method]
        # The lines about counting, in order, and the ways of a talk-through that each stands for.
        LINES = { fives: %i[fives half half_on], five_times: %i[five_times five_times_on], landmarks: %i[landmark landmark_on],
                  back: %i[back_fives back_fives_then back_five_times back_ticks_alone],
                  ones: %i[ticks ticks_alone ticks_on back_ticks], sixty_minus: %i[sixty_minus] }.freeze
        # Where the left half is counted back, the right half has a line of its own: nobody needs both.
        RIGHT = { fives: :fives_right, five_times: :five_times_right }.freeze

        # @param step [Step]
        # @param conventions [Conventions]
        # @return [Array<String>]
        def self.lines(step, conventions = Wording::Conventions.default) = new(step, conventions).lines

        # @param step [Curriculum::Step]
        # @param conventions [Wording::Conventions]
        def initialize(step, conventions)
          @step = step
          @conventions = conventions
          @sides = step.pool.map(&:side).uniq
          @ways = step.pool.flat_map { |time| MinuteTalk.steps(time, conventions).map(&:way) }.uniq
        end

        def lines
          return [line(:two_hands)] if @sides.empty?
          return special if special

          parts = [[hour], [:minutes_hand, *minutes]]
          parts.reverse! if @conventions.order == :minutes_first
          [*parts.flatten, *(:next_hour if @sides.include?(:to)), :say].map { |words| line(words) }
        end

        private

        # Steps at which no whole time is read have lines of their own.
        def special = @special ||= WORDS[:of_step][@step.id]&.map { |words| format(words, **words_for_sides) }

        # On the hour the short hand has passed nothing.
        def hour
          return :hour unless @sides.include?(:oclock)

          @sides.one? ? :hour_on : :hour_on_or_passed
        end

        # What the talk-through of the step's times says, a line each: where all are known places, that they are known.
        def minutes
          counted = LINES.select { |_, ways| ways.intersect?(@ways) }.keys
          return known if counted.empty?

          # The twelve is a landmark like the others.
          counted -= [:fives] if counted.include?(:landmarks)

          return counted unless both_sides?

          counted.include?(:back) ? [:side, *counted.map { |way| RIGHT.fetch(way, way) }] : [:side, *counted]
        end

        def both_sides? = (%i[past to] - @sides).empty?

        # What each of the places means, in one line.
        def known = [WORDS[:places].slice(*@ways).values.join(" ")]

        def line(words) = format(words.is_a?(String) ? words : WORDS.fetch(words), **words_for_sides)

        def words_for_sides = { past: @conventions.word(:past), to: @conventions.word(:to) }
      end
    end
  end
end
