# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Number words for the counts on a dial, 0 to 59.
      class NumberWords
        # @return [Hash{Integer => String}] the numbers that are one word: 0..20, 30, 40, 50
        attr_reader :simple

        def self.standard = @standard ||= new(Facts::DataFile.load("words")[:numbers])

        # @param table [Hash] `below_twenty` and `tens` of words.yml
        def initialize(table)
          tens = table[:tens].transform_keys { |ten| ten.to_s.to_i }
          @simple = table[:below_twenty].each_with_index.to_h { |word, number| [number, word] }.merge(tens).freeze
          freeze
        end

        # @param number [Integer] 0..59
        # @return [String] such as "twenty-five"
        def spell(number)
          simple.fetch(number) { "#{simple.fetch(number - (number % 10))}-#{simple.fetch(number % 10)}" }
        end
      end
    end
  end
end
