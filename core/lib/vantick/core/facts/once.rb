# frozen_string_literal: true

require "monitor"

module Vantick
  module Core
    module Facts
      # What there is but one of, whichever thread asks for it first: two objects of the same step would not be equal.
      module Once
        # One for all: what is made may ask for something else of the kind.
        LOCK = Monitor.new
        private_constant :LOCK

        # @yieldreturn [Object] what was made, or is there by now
        # @return [Object] the same
        # @example
        #   def self.all = @all || Facts::Once.make { @all ||= Facts::DataFile.entries("tasks", required: []).freeze }
        def self.make(&) = LOCK.synchronize(&)
      end
    end
  end
end
