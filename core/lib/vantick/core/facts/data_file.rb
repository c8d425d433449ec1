# frozen_string_literal: true

require "yaml"

module Vantick
  module Core
    module Facts
      # Reads a table of facts or wording that ships with core, checks its shape, and freezes it whole.
      module DataFile
        FOLDER = File.expand_path("../../../../data", __dir__)

        # @param name [String] the file's name without its ending
        # @return [Hash, Array] with symbols for keys, frozen to the leaves
        # @raise [InvalidData] where the file is no YAML
        def self.load(name)
          deep_freeze(YAML.safe_load_file(File.join(FOLDER, "#{name}.yml"), symbolize_names: true))
        rescue Psych::Exception => e
          raise InvalidData, "#{name}.yml: #{e.message}"
        end

        # @param name [String] a file that holds a list of entries
        # @param required [Array<Symbol>] keys that each entry has, none empty
        # @return [Array<Hash>]
        # @raise [InvalidData] naming the entry and the key
        def self.entries(name, required:)
          load(name).each do |entry|
            missing = required.find { |key| entry[key].nil? || entry[key] == "" || entry[key] == [] }
            raise InvalidData, "#{name}.yml: #{entry[:id] || entry} has no #{missing}" if missing
          end
        end

        def self.deep_freeze(value)
          case value
          when Hash then value.each_value { |inner| deep_freeze(inner) }
          when Array then value.each { |inner| deep_freeze(inner) }
          end
          value.freeze
        end
        private_class_method :deep_freeze
      end
    end
  end
end
