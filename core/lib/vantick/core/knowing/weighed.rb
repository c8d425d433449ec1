# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # How likely an answer is: for one who knows what it rests on and for one who does not, and by a mistake in the place of both.
      # @!attribute acting [Mistakes::Acting]
      # @!attribute if_known [Float]
      # @!attribute if_not [Float]
      Weighed = Struct.new(:acting, :if_known, :if_not) do
        # @param known [Float] 0..1
        # @return [Float] where no mistake shows
        def plain(known) = if_not + (known * (if_known - if_not))

        # @param known [Float] 0..1
        # @return [Float]
        def of(known) = (acting.none * plain(known)) + acting.by_mistake

        # Bayes' rule for one of the factors that make up `known`.
        # @param factor [Float] 0..1
        # @param known [Float] 0..1
        # @return [Float] the factor after the answer
        def after(factor, known)
          with = of(others(factor, known))
          factor * with / ((factor * with) + ((1 - factor) * of(0)))
        end

        # @param factor [Float] 0..1
        # @param known [Float] 0..1
        # @return [Float] how much likelier the answer is where the factor is there
        def ratio(factor, known) = of(others(factor, known)) / of(0)

        private

        # What the other factors come to.
        def others(factor, known) = known / factor
      end
    end
  end
end
