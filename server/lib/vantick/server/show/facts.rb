# frozen_string_literal: true

module Vantick
  module Server
    module Show
      # What core knows by itself: the tables of times, the catalogue, and what it says of a drawn clock.
      class Facts < Handler
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

        def read_dial_facts = unchanging(DIAL)
        def read_day_facts = unchanging(DAY)
        def read_catalogue = unchanging(CATALOGUE)

        def check_drawing
          check = Core::Dial::DrawingCheck.new(Core::Dial::Hands.new(params.hour_hand_degrees, params.minute_hand_degrees))
          { time: check.time.to_s, verdict: check.verdict, offset_degrees: check.offset_degrees.round(2),
                        reason: check.reason, invites: check.invites }
        end

        def compare_times
          between = Core::Reading::Between.new(*[params.one, params.other].map { |text| Core::Dial::DialTime.parse(text) })
          { earlier: between.earlier, minutes: between.minutes, sentences: between.sentences(conventions) }
        end

        def times_for
          step = Core::Curriculum::Step.find(params.step)
          task = Core::Tasks::Task.find(params.task)
          Views::CheckView.choice(Core::Choosing::Chooser.choose(step:, task:, count: params.count, seed: params.seed))
        end

        private

        # A table in other words than the usual ones costs time to make: not for strangers.
        def conventions
          named = params.conventions.to_s
          return Core::Wording::Conventions.default if named.empty?

          teacher ? Core::Wording::Conventions.parse(named) : refuse(401, Access::Guard::SIGN_IN, nil)
        end

        def gzip? = Rack::Utils.select_best_encoding(%w[gzip identity], Rack::Request.new(env).accept_encoding) == "gzip"

        def unchanging(tables)
          table = tables.for(conventions, whose: teacher)
          return reply(table.json, etag: table.tag) unless gzip?

          reply(table.gzip, etag: table.tag, headers: { "content-encoding" => "gzip", "vary" => "accept-encoding" })
        rescue Tables::TooMany
          refuse(429, TOO_MANY, :conventions)
        end
      end
    end
  end
end
