# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # The tables that core makes for a class's conventions, as JSON. The last few asked for are kept.
      class Tables
        # Sets of conventions kept (judgement: more than one school works with).
        KEPT = 8

        def initialize(&make)
          @make = make
          @kept = {}
          @lock = Mutex.new
        end

        # @param conventions [Core::Conventions]
        # @return [String]
        def for(conventions)
          @lock.synchronize do
            made = @kept.delete(conventions) || @make.call(conventions).freeze
            @kept.shift if @kept.length >= KEPT
            @kept[conventions] = made
          end
        end

        DIAL = new { |conventions| JSON.generate(times: Core::DialTime.all.map { |time| Core::DialFacts.of(time, conventions) }) }
        DAY = new do |conventions|
          JSON.generate(usual_day: Core::DayFacts::DATA[:usual_day],
                        times: Core::DayTime.all.map { |day_time| Core::DayFacts.of(day_time, conventions) })
        end
      end
    end
  end
end
