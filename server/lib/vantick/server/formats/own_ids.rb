# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # The ids of this school's things, as they go out with its lists and come back.
      class OwnIds
        # @param school [String] what tells this school's ids from another's
        def initialize(school)
          @school = school
          freeze
        end

        # @param kind [Symbol] such as `:child`
        # @param number [Integer, String] which one
        # @return [String]
        # @example
        #   OwnIds.new("k3").of(:child, 7) # "vantick-k3-child-7"
        def of(kind, number) = "vantick-#{@school}-#{kind}-#{number}"
      end
    end
  end
end
