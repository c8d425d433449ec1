# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What a class is to know, and by when.
      #
      # @!attribute aim [Aim]
      # @!attribute day [Integer] Julian day
      Goal = Struct.new(:aim, :day, keyword_init: true) do
        def initialize(aim:, day:)
          super
          freeze
        end
      end
    end
  end
end
