# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Somebody else has held the database for longer than a request can wait.
      class Busy < StandardError
        def initialize(message = "The database has been busy for too long.") = super
      end
    end
  end
end
