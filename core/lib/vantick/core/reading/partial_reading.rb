# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # A reading under way: what has been told from the dial so far. Each step of the chain returns a
      # new one.
      class PartialReading
        PARTS = %i[time hour side fives ticks direction minute hour_degrees minute_degrees half].freeze
        # @!attribute time [DialTime] the time the two hands are taken to show
        # @!attribute hour [Integer] the numeral named as the hour
        # @!attribute side [Symbol] `:past` or `:to`
        # @!attribute fives [Integer] minutes counted by fives
        # @!attribute ticks [Integer] minutes counted by small marks
        # @!attribute direction [Integer] 1 where the small marks are added, -1 where taken away
        # @!attribute minute [Integer] the minutes written or said
        # @!attribute hour_degrees [Numeric] where the hour hand is set
        # @!attribute minute_degrees [Numeric] where the minute hand is set
        # @!attribute half [Symbol] one of {DayTime::HALVES}
        attr_reader(*PARTS)

        VARIABLES = PARTS.to_h { |part| [part, :"@#{part}"] }.freeze
        private_constant :VARIABLES

        # @param parts [Hash{Symbol => Object}] some of {PARTS}
        def initialize(**parts) = tell(parts)

        # @param parts [Hash{Symbol => Object}] those that change
        # @return [PartialReading] with some parts told anew
        def with(**parts) = dup.tap { |draft| draft.__send__(:tell, parts) }

        # @return [Integer] the minutes that the fives and small marks make, those not yet counted taken rightly
        def count = fives + (ticks || (direction * (minute % 5)))

        private

        def tell(parts)
          parts.each { |part, value| instance_variable_set(VARIABLES.fetch(part), value) }
          freeze
        end
      end
    end
  end
end
