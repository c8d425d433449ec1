# frozen_string_literal: true

module Vantick
  module Core
    # One model of what a child knows, for states, mistakes, groups, the review, the plan, the forecast and the devices.
    module Knowing
      # All its numbers, with their reasons.
      TABLE = Facts::DataFile.load("knowing").freeze
    end
  end
end
