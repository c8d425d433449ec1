# frozen_string_literal: true

module Vantick
  module Core
    # A term with a class: what children keep, which lesson comes when, and how likely that holds. Days are Julian days; none is asked for.
    module Term
      NUMBERS = Facts::DataFile.load("term").freeze
    end
  end
end
