# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # How a forecast of earlier came out: what was told then of a day, and how many children know the goal on it. A later forecast is as
      # much wider, to the side on which it was wrong.
      # @!attribute told_on [Integer] the day on which it was told
      # @!attribute low [Integer] children, as was told for today
      # @!attribute high [Integer]
      # @!attribute came [Integer] children who know the goal today, as far as is known
      Score = Struct.new(:told_on, :low, :high, :came, keyword_init: true) do
        # @param forecasts [Array<Array(Integer, Array<Forecast::Point>)>] by day on which it was told, for the same goal and day
        # @param came [Integer]
        # @param today [Integer]
        # @return [Score, nil] of the last that is old enough to be judged; nothing while there is none
        def self.of(forecasts, came:, today:)
          day, points = forecasts.select { |day, _| today - day >= NUMBERS[:forecast][:judged_after] }.max_by(&:first)
          return unless day && points.last.day >= today

          low, high = %i[low high].map { |side| at(points, side, today) }
          new(told_on: day, low: low.floor, high: high.ceil, came:).freeze
        end

        # Between two points of the band it goes straight.
        def self.at(points, side, day)
          before, after = points.each_cons(2).find { |point, following| day.between?(point.day, following.day) } || (points.first(1) * 2)
          return before[side].to_f if after.day == before.day

          before[side] + ((after[side] - before[side]) * (day - before.day) / (after.day - before.day).to_f)
        end
        private_class_method :at

        # @return [Boolean] whether it came as was told
        def held? = missed.zero?

        # @return [Integer] children more, or fewer where negative, than the nearest end of the band
        def missed = came - came.clamp(low, high)

        # @param forecast [Forecast::Result] of today
        # @return [Forecast::Result] as much wider from today on, to the side on which it was wrong
        def widened(forecast)
          points = forecast.points.map.with_index do |point, at|
            next point if at.zero?

            Forecast::Point.new(**point.to_h, low: [point.low + [missed, 0].min, 0].max,
                                              high: [point.high + [missed, 0].max, forecast.children].min)
          end
          Forecast::Result.new(children: forecast.children, points:).freeze
        end
      end
    end
  end
end
