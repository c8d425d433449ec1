# frozen_string_literal: true

module Vantick
  module Server
    module Account
      # The demo's sign-in, shown on its sign-in page. It comes from outside, so no real school ever shows one.
      module DemoSignIn
        # @return [Hash, nil]
        def self.shown
          name, password = ENV["VANTICK_DEMO_SIGN_IN"].to_s.split(":", 2)
          { name:, password: } if password
        end
      end
    end
  end
end
