# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # What is told of how likely a term's plan holds: kept by day, so that it can be compared with what came.
      class Foretelling
        Term = Core::Term
        private_constant :Term

        # @param store [Store::Database]
        # @param term [Store::Rows::Term]
        # @param today [Integer]
        def initialize(store, term, today)
          @store = store
          @term = term
          @today = today
        end

        # @param projection [Core::Term::TermProjection]
        # @param coming [Array<Core::Term::Planned>]
        # @return [Hash] as it is kept with the plan
        def call(projection, coming)
          found = projection.forecast(coming)
          return { children: found.children, points: points(found), early: true } if projection.too_early?

          score = Term::Score.of(before, came: found.points.first.likely, today: @today)
          found = score.widened(found) if score
          @store.terms.foretold(@term, points(found), day: Date.jd(@today).iso8601)
          { children: found.children, points: points(found), early: false, score: score && written(score),
            within_reach: within_reach(projection, coming, found) }
        end

        private

        def points(found) = found.points.map { |point| { **point.to_h, day: Date.jd(point.day).iso8601 } }

        def written(score) = { **score.to_h, told_on: Date.jd(score.told_on).iso8601, held: score.held? }

        def within_reach(projection, coming, found)
          step, point = projection.within_reach(coming, found)
          step && { step: step.id, **point.to_h.slice(:low, :likely, :high) }
        end

        def before
          @store.terms.told_before(@term).map do |day, points|
            [TermPlanning.jd(day), points.map { |point| Term::Forecast::Point.new(**point, day: TermPlanning.jd(point[:day])) }]
          end
        end
      end
    end
  end
end
