# frozen_string_literal: true

module Vantick
  class Demo
    # The term that the half year lies in: as it was planned and given so far, and its lessons to come.
    class StoryTerm
      # @param store [Server::Store::Database]
      # @param first [Date]
      # @param today [Date]
      # @param now [Time]
      def initialize(store, class_id, first:, today:, now:)
        @store = store
        @class_id = class_id
        @first = first
        @today = today
        @now = now
      end

      # @param given [Array<Array(Core::Term::Days::Slot, String)>] lessons with their steps
      # @param days [Array<Core::Term::Days::Slot>] all that would have had one
      # @param holidays [Array<Hash>] from, to and name
      def keep(given, days, holidays)
        at = Time.utc(@first.year, @first.month, @first.day, 9).iso8601
        term = @store.terms.set(@class_id, **settings(holidays), changed_at: at)
        @store.terms.add(term.id, made_at: at, cause: "set", lessons: past(given, days), known_of: "")
        Server::Plan::TermPlanning.new(@store, term, now: @now.utc.iso8601, today: @today.jd).set
      end

      private

      def settings(holidays)
        last = (@today + (Story::TABLE[:ahead] * Story::WEEK)).iso8601
        days_off = holidays.map { |holiday| { **holiday, from: holiday[:from].iso8601, to: holiday[:to].iso8601 } } + often_off
        { first_day: @first.iso8601, last_day: last, weekdays: Story::TABLE[:weekdays], days_off:, aim: Story::TABLE[:aim], aim_day: last }
      end

      # Days that most schools have off, until the end of the term.
      def often_off
        last = @today + (Story::TABLE[:ahead] * Story::WEEK)
        days = [@today.year, last.year].uniq.product(Core::Term::Days::OFTEN_OFF).map do |year, off|
          [Date.iso8601("#{year}-#{off[:day]}"), off[:name]]
        end
        days.select { |day, _| day.between?(@today, last) }.map { |day, name| { from: day.iso8601, to: day.iso8601, name: } }
      end

      def past(given, days)
        steps = given.to_h.transform_keys(&:day)
        seen = []
        days.map do |slot|
          step = steps[slot.day]
          kind = kind(slot, step, seen)
          seen |= [step]
          { day: Date.jd(slot.day).iso8601, minutes: slot.minutes, kind:, step:, recap: [], check: false,
            settled: (:skipped if kind == "skipped") }
        end
      end

      def kind(slot, step, seen)
        return Story.ill?(slot.day - @first.jd) ? "skipped" : "open" if step.nil?

        seen.include?(step) ? "again" : "new"
      end
    end
  end
end
