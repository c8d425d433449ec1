# frozen_string_literal: true

require "icalendar"

module Vantick
  module Server
    module Formats
      # Lessons of a class as a calendar (iCalendar, RFC 5545): a day each, the same event when it is taken once more.
      module LessonCalendar
        # @param school [String] what tells this school's lessons from another's
        # @param school_class [Store::Rows::SchoolClass]
        # @param lessons [Array<Store::Rows::Lesson>]
        # @param address [String] where Vantick is looked at
        # @return [String]
        def self.write(school, school_class, lessons, address)
          calendar = Icalendar::Calendar.new
          calendar.prodid = "-//Vantick//Lessons//EN"
          calendar.append_custom_property("X-WR-CALNAME", "#{school_class.name}: telling the time")
          lessons.each { |lesson| calendar.add_event(event(school, lesson, address)) }
          calendar.publish
          calendar.to_ical
        end

        def self.event(school, lesson, address)
          Icalendar::Event.new.tap do |event|
            event.uid = "lesson-#{lesson.id}@#{school}.vantick"
            event.dtstamp = Icalendar::Values::DateTime.new(Time.iso8601(lesson.changed_at).utc, "tzid" => "UTC")
            event.sequence = lesson.version
            event.summary = "#{Core::Teaching::Step.find(lesson.plan[:step]).name}, #{lesson.plan[:minutes]} minutes"
            event.url = "#{address}/plan/#{lesson.id}"
            whole_day(event, Date.iso8601(lesson.day))
          end
        end
        private_class_method :event

        # It ends where the next day begins.
        def self.whole_day(event, day)
          event.dtstart = Icalendar::Values::Date.new(day)
          event.dtend = Icalendar::Values::Date.new(day + 1)
        end
        private_class_method :whole_day
      end
    end
  end
end
