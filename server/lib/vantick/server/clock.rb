# frozen_string_literal: true

module Vantick
  module Server
    # The one place where the server takes the time from, so that a spec or a trial can hand in another day.
    module Clock
      class << self
        # @return [Time] in UTC
        def now = (Time.now + @ahead.to_f).utc

        # @return [String] the moment as it is stored, in ISO 8601
        def iso8601 = now.iso8601

        # Goes on from another moment, at the usual pace.
        # @param moment [Time, nil] nil for the machine's own time
        # @example
        #   Clock.set(Time.utc(2026, 3, 11, 9))
        #   Clock.now.to_date.iso8601 # => "2026-03-11"
        def set(moment)
          @ahead = moment && (moment - Time.now)
        end

        # @return [Float] seconds by which this clock is ahead of the machine's
        def ahead = @ahead.to_f
      end
    end
  end
end
