# frozen_string_literal: true

require "icalendar"

module Vantick
  module Server
    module Formats
      # The lessons of a term as a calendar (iCalendar, RFC 5545): a day each, named by its day, so that a calendar follows when the plan is
      # made again. A lesson that was skipped is told as cancelled.
      module TermCalendar
        LEFT_OPEN = "Left free"
        ENDS_WITH_CHECK = "Ends with a check."

        class << self
          # @param school [String] what tells this school's lessons from another's
          # @param school_class [Store::Rows::SchoolClass]
          # @param plan [Store::Rows::TermPlan]
          # @param address [String] where Vantick is looked at
          # @return [String]
          def write(school, school_class, plan, address)
            calendar = Icalendar::Calendar.new
            calendar.prodid = "-//Vantick//Term//EN"
            calendar.append_custom_property("X-WR-CALNAME", "#{school_class.name}: telling the time, the term")
            plan.lessons.each do |lesson|
              calendar.add_event(event("#{lesson[:day]}-#{school_class.id}@#{school}.vantick", lesson, plan, address))
            end
            calendar.publish
            calendar.to_ical
          end

          private

          def event(name, lesson, plan, address)
            Icalendar::Event.new.tap do |event|
              event.uid = "term-#{name}"
              event.dtstamp = Icalendar::Values::DateTime.new(Time.iso8601(plan.made_at).utc, "tzid" => "UTC")
              event.sequence = plan.id
              event.summary = "#{told(lesson)}, #{lesson[:minutes]} minutes"
              event.description = more(lesson)
              event.url = "#{address}/plan/term?day=#{lesson[:day]}"
              event.status = "CANCELLED" if lesson[:kind] == "skipped"
              whole_day(event, Date.iso8601(lesson[:day]))
            end
          end

          # It ends where the next day begins.
          def whole_day(event, day)
            event.dtstart = Icalendar::Values::Date.new(day)
            event.dtend = Icalendar::Values::Date.new(day + 1)
          end

          def told(lesson)
            return LEFT_OPEN if lesson[:kind] == "open"

            lesson[:step] ? name(lesson[:step]) : "No lesson"
          end

          def more(lesson)
            recap = lesson[:recap].map { |id| name(id) }
            [("Review: #{recap.join(', ')}." if recap.any?), (ENDS_WITH_CHECK if lesson[:check])].compact.join(" ")
          end

          def name(id) = Core::Teaching::Step.find(id).name
        end
      end
    end
  end
end
