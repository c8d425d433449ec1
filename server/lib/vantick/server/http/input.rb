# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # What came with a request, as the contract describes it: a reader for each name that a schema has, nil where nothing came.
      # Objects within it are inputs as well, in lists too. Where a schema leaves names open, a hash has them as symbols.
      class Input
        class << self
          # @param schema [Hash] a JSON schema of an object
          # @return [Class] a subclass with its readers
          def of(schema)
            parts = properties(schema).to_h { |name, part| [name.to_sym, kind(part)] }
            Class.new(self) do
              const_set(:PARTS, parts.freeze)
              parts.each_key { |name| define_method(name) { @values[name] } }
            end
          end

          private

          # What a schema says of an object, and what others say that it joins.
          def properties(schema) = [*joined(schema).map { |part| properties(part) }, schema["properties"] || {}].reduce({}, :merge)

          def joined(schema) = schema.values_at("allOf", "oneOf", "anyOf").compact.flatten

          # @return [Proc] it makes of a value, as JSON has it, what a reader gives
          def kind(schema)
            item, open = %w[items additionalProperties].map { |key| part(schema, key) }
            object = of(schema) if properties(schema).any?
            lambda do |value|
              case value
              when Array then value.map(&item).freeze
              when Hash then object ? object.new(value) : value.transform_keys(&:to_sym).transform_values(&open).freeze
              else value
              end
            end
          end

          # @return [Proc] the kind of what is in a list, or under open names
          def part(schema, key)
            found = [schema, *joined(schema)].filter_map { |part| part[key] }.find { |part| part.is_a?(Hash) }
            found ? kind(found) : ->(value) { value }
          end
        end

        # @param values [Hash{String => Object}]
        def initialize(values)
          parts = self.class::PARTS
          known = values.transform_keys(&:to_sym).slice(*parts.keys)
          @values = known.to_h { |name, value| [name, parts[name].call(value)] }.freeze
          freeze
        end

        # @return [Hash{Symbol => Object}] what came, and nothing that didn't
        def to_h = plain(@values)
        alias to_hash to_h

        # @return [Hash{Symbol => Object}] some of what came
        def slice(*names) = to_h.slice(*names)

        # @return [Hash{Symbol => Object}] what came, without some of it
        def except(*names) = to_h.except(*names)

        private

        def plain(value)
          case value
          when Input then value.to_h
          when Hash then value.transform_values { |inner| plain(inner) }
          when Array then value.map { |inner| plain(inner) }
          else value
          end
        end
      end
    end
  end
end
