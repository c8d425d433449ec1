# frozen_string_literal: true

require "digest"

module Vantick
  module Server
    module Show
      # What core knows by itself: the tables of times, the catalogue, and what it says of a drawn clock.
      class Facts < Resource
        DIAL = Tables.new do |conventions|
          JSON.generate(times: Core::Dial::DialTime.all.map do |time|
            Core::Reading::DialFacts.of(time, conventions)
          end)
        end
        DAY = Tables.new do |conventions|
          JSON.generate(usual_day: Core::Wording::DayFacts::DATA[:usual_day],
                        times: Core::Dial::DayTime.all.map { |day_time| Core::Wording::DayFacts.of(day_time, conventions) })
        end
        CATALOGUE = Tables.new { |conventions| JSON.generate(Catalogue.all(conventions)) }
        TOO_MANY = "Too many settings at once. Wait a minute, then try again."

        error(Tables::TooMany) { refuse(429, TOO_MANY, :conventions) }

        get("/api/dial") { unchanging(DIAL.for(conventions, whose: teacher)) }
        get("/api/day") { unchanging(DAY.for(conventions, whose: teacher)) }
        get("/api/catalogue") { unchanging(CATALOGUE.for(conventions, whose: teacher)) }

        get "/api/drawing" do
          check = Core::Dial::DrawingCheck.new(Core::Dial::Hands.new(input[:hour_hand_degrees], input[:minute_hand_degrees]))
          answer_json({ time: check.time.to_s, verdict: check.verdict, offset_degrees: check.offset_degrees.round(2),
                        reason: check.reason, invites: check.invites })
        end

        get "/api/between" do
          between = Core::Reading::Between.new(*input.values_at(:one, :other).map { |text| Core::Dial::DialTime.parse(text) })
          answer_json({ earlier: between.earlier, minutes: between.minutes, sentences: between.sentences(conventions) })
        end

        get "/api/times" do
          step = Core::Teaching::Step.find(input[:step])
          task = Core::Marking::Task.find(input[:task])
          answer_json(Views::CheckView.choice(Core::Choosing::Chooser.choose(step:, task:, count: input[:count], seed: input[:seed])))
        end

        private

        # A table in other words than the usual ones costs time to make: not for strangers.
        def conventions
          named = input[:conventions].to_s
          return Core::Wording::Conventions.default if named.empty?

          teacher ? Core::Wording::Conventions.parse(named) : refuse(401, Access::Guard::SIGN_IN, nil)
        end

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
