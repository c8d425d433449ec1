# frozen_string_literal: true

module Vantick
  module Server
    module Show
      # What a teacher's page asks first: a browser can ask it while the page's scripts come. A page works as well without.
      class FirstAsked
        TABLES = { "/api/dial" => Facts::DIAL, "/api/catalogue" => Facts::CATALOGUE }.freeze
        HOME = "/"

        # @param store [Store::Database]
        def initialize(store)
          @store = store
          @who = Access::SignIn.middleware(store).new(->(env) { [200, {}, [env[Access::SignIn::TEACHER]]] })
        end

        # Makes the tables in the words of most classes, and in the usual ones.
        def prepare
          [@store.classes.usual_conventions, Core::Wording::Conventions.default].compact.uniq.each do |conventions|
            TABLES.each_value { |tables| tables.for(conventions) }
          end
        end

        # @param env [Hash] of a request for a page
        # @return [Array<String>] addresses, of the class that the page names, or of the teacher's newest; none for whoever isn't signed in
        def addresses(env)
          class_id, conventions = chosen(env)
          return [] unless class_id

          named = URI.encode_www_form(conventions: conventions.to_h.values.join(","))
          tables = TABLES.keys.map { |path| "#{path}?#{named}" }
          env["PATH_INFO"] == HOME ? [*tables, "/api/classes/#{class_id}/news"] : tables
        rescue Sequel::Error, Store::Busy
          []
        end

        private

        # @return [Array(Integer, Core::Wording::Conventions), nil]
        def chosen(env)
          return unless env["HTTP_COOKIE"].to_s.include?("#{Access::SignIn::COOKIE}=")

          teacher = @who.call(env.dup).last.first or return
          wordings = @store.classes.wordings(teacher)
          named = Rack::Utils.parse_query(env["QUERY_STRING"])["class"].to_s.to_i
          wordings.key?(named) ? [named, wordings[named]] : wordings.first
        end
      end
    end
  end
end
