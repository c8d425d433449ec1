# frozen_string_literal: true

require "lru_redux"

module Vantick
  module Server
    module Store
      # What core found of a class's answers, kept until they are others: page after page of a teaching day asks for the same.
      class ResultCache
        # Classes whose findings are kept, the last ones used.
        MOST = 12

        def initialize
          @made = LruRedux::ThreadSafeCache.new(MOST)
        end

        # @param class_id [Integer]
        # @param made_of [Object] all that it is made of; compared by its hash
        # @yieldreturn [Object] what is made, frozen
        # @return [Object]
        def of(class_id, made_of)
          key = made_of.hash
          known = @made[class_id]
          return known.last if known&.first == key

          yield.tap { |made| @made[class_id] = [key, made] }
        end
      end
    end
  end
end
