# frozen_string_literal: true

require "icalendar"

module Vantick
  module Server
    module Formats
      # Lessons and the lessons of a term as events of a calendar (iCalendar, RFC 5545): a whole day each, under a name that stays, so that
      # a calendar follows. The day stays free for other things, and what fell out is told as cancelled.
      class CalendarEvents
        LEFT_OPEN = "Left free"
        ENDS_WITH_CHECK = "Ends with a check."
        CANCELLED = "CANCELLED"
        # How often a calendar looks again (judgement: a plan changes once a day), as RFC 7986 says it and as programs before it do.
        OFTEN = "PT6H"

        # @param school [String] what tells this school's lessons from another's
        # @param school_class [Store::Rows::SchoolClass]
        # @param address [String] where Vantick is looked at
        def initialize(school, school_class, address)
          @school = school
          @class = school_class
          @address = address
        end

        # @param lessons [Array<Store::Rows::Lesson>]
        # @param off [#call] tells of a day whether it is off now
        # @return [Array<Icalendar::Event>]
        def of_lessons(lessons, off: ->(_day) { false })
          lessons.map do |lesson|
            summary = "#{name(lesson.plan.step)}, #{lesson.plan.minutes} minutes"
            event("lesson-#{lesson.id}@#{@school}.vantick", lesson.day, lesson.changed_at, lesson.version, summary).tap do |made|
              made.url = "#{@address}/plan/#{lesson.id}"
              made.status = CANCELLED if off.call(lesson.day)
            end
          end
        end

        # @param plan [Store::Rows::TermPlan] the one that holds
        # @param before [Array<Store::Rows::TermPlan>] older ones, the newest first: a day of theirs that has no lesson now is cancelled
        # @return [Array<Icalendar::Event>]
        def of_term(plan, before: [])
          days = plan.lessons.map { |lesson| lesson[:day] }
          gone = before.flat_map(&:lessons).uniq { |lesson| lesson[:day] }.reject { |lesson| days.include?(lesson[:day]) }
          plan.lessons.map { |lesson| planned(lesson, plan, cancelled: lesson[:kind] == "skipped") } +
            gone.map { |lesson| planned(lesson, plan, cancelled: true) }
        end

        # @param events [Array<Icalendar::Event>]
        # @param product [String] what made it
        # @param title [String]
        # @param follows [Boolean] whether calendars come again for it
        # @return [String]
        def write(events, product, title, follows: false)
          calendar = Icalendar::Calendar.new
          calendar.prodid = "-//Vantick//#{product}//EN"
          calendar.append_custom_property("X-WR-CALNAME", "#{@class.name}: #{title}")
          come_again(calendar) if follows
          events.each { |event| calendar.add_event(event) }
          calendar.publish
          calendar.to_ical
        end

        private

        def come_again(calendar)
          calendar.append_custom_property("REFRESH-INTERVAL", Icalendar::Values::Text.new(OFTEN, "VALUE" => "DURATION"))
          calendar.append_custom_property("X-PUBLISHED-TTL", OFTEN)
        end

        def planned(lesson, plan, cancelled:)
          summary = "#{description(lesson)}, #{lesson[:minutes]} minutes"
          event("term-#{lesson[:day]}-#{@class.id}@#{@school}.vantick", lesson[:day], plan.made_at, plan.id, summary).tap do |made|
            made.description = more(lesson)
            made.url = "#{@address}/plan/term?day=#{lesson[:day]}"
            made.status = CANCELLED if cancelled
          end
        end

        # It ends where the next day begins.
        def event(uid, day, moment, sequence, summary)
          Icalendar::Event.new.tap do |event|
            event.uid = uid
            event.dtstamp = Icalendar::Values::DateTime.new(Time.iso8601(moment).utc, "tzid" => "UTC")
            event.sequence = sequence
            event.summary = summary
            event.transp = "TRANSPARENT"
            first = Date.iso8601(day)
            event.dtstart = Icalendar::Values::Date.new(first)
            event.dtend = Icalendar::Values::Date.new(first + 1)
          end
        end

        def description(lesson)
          return LEFT_OPEN if lesson[:kind] == "open"

          lesson[:step] ? name(lesson[:step]) : "No lesson"
        end

        def more(lesson)
          recap = lesson[:recap].map { |id| name(id) }
          [("Review: #{recap.join(', ')}." if recap.any?), (ENDS_WITH_CHECK if lesson[:check])].compact.join(" ")
        end

        def name(id) = Core::Curriculum::Step.find(id).name
      end
    end
  end
end
