# frozen_string_literal: true

require "date"

module Vantick
  module Server
    module Store
      # Days as the school has them: in its own time zone, which is the machine's unless VANTICK_TIME_ZONE names another. Moments
      # are kept in UTC, and two answers of one morning must not lie on two days.
      module SchoolDay
        # Zones differ by quarters of an hour, so that the day is the same throughout one.
        QUARTER = 15

        class << self
          # @param moment [String] ISO 8601 in UTC
          # @return [Integer] its Julian day; worked out once for each quarter of an hour
          def jd(moment)
            key = [moment[0, 13], moment[14, 2].to_i / QUARTER]
            (@days ||= {})[key] ||= Time.iso8601(moment).getlocal.to_date.jd
          end

          # @param moment [String]
          # @return [String] such as "2026-03-02"
          def date(moment) = Date.jd(jd(moment)).iso8601

          # @return [Integer] the Julian day of today
          def today = Clock.now.getlocal.to_date.jd

          # @return [String, nil] the zone that was named; nothing where it is the machine's
          def zone = (@zone if ENV["TZ"] == @zone)

          # @param name [String, nil] such as "Australia/Sydney"
          # @raise [ArgumentError] where there is no such zone
          def zone=(name)
            return if name.to_s.empty?
            raise ArgumentError, "VANTICK_TIME_ZONE: #{name.inspect} isn't a time zone." unless zone?(name)

            ENV["TZ"] = name
            @zone = name
            @days = {}
          end

          private

          def zone?(name) = name.match?(%r{\A[A-Za-z_+\-0-9/]+\z}) && File.file?(File.join("/usr/share/zoneinfo", name))
        end
      end
    end
  end
end
