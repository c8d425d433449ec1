# frozen_string_literal: true

module Vantick
  module Server
    module Show
      # What a teacher's page asks first, in the words of most classes: a browser can ask it while the page's scripts come.
      class FirstAsked
        TABLES = { "/api/dial" => Facts::DIAL, "/api/catalogue" => Facts::CATALOGUE }.freeze

        # @param store [Store::Database]
        def initialize(store)
          @store = store
        end

        # Makes it, in the usual words too.
        def prepare
          [@store.classes.usual_conventions, Core::Wording::Conventions.default].compact.uniq.each do |conventions|
            TABLES.each_value { |tables| tables.for(conventions) }
          end
        end

        # @param env [Hash] of a request for a page
        # @return [Array<String>] addresses; none for whoever isn't signed in, or where there is no class. A page works as well without.
        def addresses(env)
          return [] unless env["HTTP_COOKIE"].to_s.include?("#{Access::SignIn::COOKIE}=")

          conventions = @store.classes.usual_conventions or return []
          named = URI.encode_www_form(conventions: conventions.to_h.values.join(","))
          TABLES.keys.map { |path| "#{path}?#{named}" }
        rescue Sequel::Error, Store::Busy
          []
        end
      end
    end
  end
end
