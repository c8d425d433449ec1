# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Numbers of a teaching week, from data/teaching.yml.
      module TeachingNumbers
        PARTS = %i[value unit reason].freeze
        ROWS = Facts::DataFile.load("teaching").each do |name, row|
          missing = PARTS.find { |key| row[key].nil? }
          raise InvalidData, "teaching.yml: #{name} has no #{missing}" if missing
        end
        private_constant :PARTS, :ROWS

        # @param name [Symbol] such as `:group_minutes`
        # @return [Integer, Float] in the unit that data/teaching.yml names
        # @raise [UnknownName]
        # @example
        #   TeachingNumbers.of(:group_minutes) # 30
        def self.of(name)
          row = ROWS[name] || raise(UnknownName.new("number", name, ROWS.keys))
          row[:value]
        end
      end
    end
  end
end
