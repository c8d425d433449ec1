# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Something asked for by its number is not there.
      class Missing < StandardError
        # @return [String] the parameter that named it
        attr_reader :field

        def initialize(kind, id, field: "#{kind}_id")
          super(words(kind, id))
          @field = field
        end

        private

        # A code that can be none is told from one that is not known.
        def words(kind, id)
          mistyped = kind == Teachers::KINDS.fetch("code") && Codes.mistyped?(id.to_s)
          mistyped ? "#{id} isn't a sheet's code. A letter is wrong. Look at the sheet again." : "There is no #{kind} #{id}."
        end
      end
    end
  end
end
