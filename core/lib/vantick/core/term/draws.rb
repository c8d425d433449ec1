# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # Draws by lot that Ruby has not: normal (Box and Muller, 1958), gamma (Marsaglia and Tsang, 2000), beta from two of these; all from
      # memory. The same generator draws the same.
      class Draws
        # @param random [Random]
        def initialize(random)
          @random = random
        end

        # @return [Float] with mean 0 and deviation 1
        def normal = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)

        # @param shape [Float] at least 1
        # @return [Float]
        # @raise [ArgumentError]
        def gamma(shape)
          raise ArgumentError, "a shape of at least 1, not #{shape}" if shape < 1

          third = shape - (1.0 / 3)
          loop do
            drawn = normal
            cube = (1 + (drawn / Math.sqrt(9 * third)))**3
            return third * cube if cube.positive? && Math.log(1 - @random.rand) < height(drawn, cube, third)
          end
        end

        # @param ones [Float] at least 1
        # @param others [Float] at least 1
        # @return [Float] 0..1, with mean ones / (ones + others)
        def beta(ones, others)
          drawn = gamma(ones)
          drawn / (drawn + gamma(others))
        end

        private

        def height(drawn, cube, third) = (drawn * drawn / 2) + (third * (1 - cube + Math.log(cube)))
      end
    end
  end
end
