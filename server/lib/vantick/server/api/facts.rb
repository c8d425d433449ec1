# frozen_string_literal: true

require "digest"

module Vantick
  module Server
    module Api
      # What core knows by itself: the tables of times, the catalogue, and what it says of a drawn clock.
      class Facts < Base
        get("/api/health") { answer_json({ status: "ok", version: Core::VERSION }) }
        get("/api/dial") { unchanging(Tables::DIAL.for(conventions)) }
        get("/api/day") { unchanging(Tables::DAY.for(conventions)) }
        get("/api/catalogue") { unchanging(Catalogue::TEXT) }

        get "/api/drawing" do
          check = Core::DrawingCheck.new(Core::Hands.new(input[:hour_hand_degrees], input[:minute_hand_degrees]))
          answer_json({ time: check.time.to_s, verdict: check.verdict, offset_degrees: check.offset_degrees.round(2),
                        reason: check.reason, invites: check.invites })
        end

        get "/api/times" do
          step = Core::Step.find(input[:step])
          task = Core::Task.find(input[:task])
          answer_json(View.choice(Core::Chooser.choose(step:, task:, count: input[:count], seed: input[:seed])))
        end

        private

        def conventions = input[:conventions] ? Core::Conventions.parse(input[:conventions]) : Core::Conventions.default

        def unchanging(json)
          cache_control :no_cache
          etag Digest::SHA256.hexdigest(json)[0, 16], kind: :weak
          content_type :json
          json
        end
      end
    end
  end
end
