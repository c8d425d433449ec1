# frozen_string_literal: true

require "yaml"

module Bench
  # How much is taken: as a measure needs it, or the smallest that goes through all of its code (`--smallest`).
  module Sizes
    TABLE = YAML.safe_load_file(File.join(__dir__, "sizes.yml"), symbolize_names: true).freeze

    class << self
      # @return [Symbol] `:full` or `:smallest`
      attr_writer :scale

      # @param name [Symbol] a key of sizes.yml
      # @return [Numeric]
      def [](name) = TABLE.fetch(name).fetch(@scale || :full)
    end
  end
end
