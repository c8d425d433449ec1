# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # In which order a class goes up the ladder, where schools of teaching differ.
      class Order
        # What the classes' choices change of the ladder: each of these steps takes the place of the other.
        SWAPPED = { oclock_first: %i[hour_hand oclock] }.freeze
        NOTATIONS = { words_first: :say, digits_first: :write }.freeze

        # @param conventions [Conventions] the class's
        def initialize(conventions = Wording::Conventions.default)
          @conventions = conventions
          @swapped = SWAPPED.fetch(conventions.first_step, [])
          @notation = NOTATIONS.fetch(conventions.first_notation)
          freeze
        end

        # @return [Order] as most classes have it
        def self.usual = @usual ||= new

        # @return [Order] with what comes last of it first: for whoever wants to compare
        def other
          left = Wording::Conventions::TABLE.fetch(:first_step) - [@conventions.first_step]
          Order.new(@conventions.with(first_step: left.first))
        end

        # @return [Symbol] the way of asking with which a step begins: `:say` or `:write`
        attr_reader :notation

        # @param steps [Array<Curriculum::Step>]
        # @return [Array<Curriculum::Step>] the same, in this order
        # @example
        #   Order.new(Wording::Conventions.new(first_step: :oclock_first)).of(Step.with_times).first.id # :oclock
        def of(steps)
          places = @swapped.filter_map { |id| steps.index { |step| step.id == id } }
          return steps if places.length < 2

          steps.dup.tap { |found| found[places.first], found[places.last] = steps.values_at(places.last, places.first) }
        end
      end
    end
  end
end
