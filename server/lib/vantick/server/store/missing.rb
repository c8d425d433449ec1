# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Something asked for by its number is not there.
      class Missing < StandardError
        # @return [String] the parameter that named it
        attr_reader :field

        def initialize(kind, id, field: "#{kind}_id")
          super("There is no #{kind} #{id}.")
          @field = field
        end
      end
    end
  end
end
