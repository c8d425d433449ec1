# frozen_string_literal: true

require "icalendar"
require "ice_cube"

module Vantick
  module Server
    module Formats
      # Days without school from a calendar file (iCalendar, RFC 5545): all-day events, days in a row, repeated ones with their exceptions,
      # and what lasts longer than a day; what could not be read is named.
      module DaysOff
        # Bytes of a file, and repetitions that are looked at (judgement).
        LONGEST = 2_000_000
        # Days that are left out of repeated events, in all (judgement: ten years of two a week).
        MOST_LEFT_OUT = 1000
        MOST = 500
        # Days that one event lasts at most, to look for those that began before the term.
        LONGEST_SPAN = 92
        DAY = 86_400

        class << self
          # @param text [String] the file
          # @param from [String] first day wanted
          # @param to [String] last day wanted
          # @return [Hash] `days`, each with from, to and name, and `unread`, each with name and why
          # @raise [Core::Error]
          def read(text, from:, to:)
            wanted = Date.iso8601(from)..Date.iso8601(to)
            found, unread = events(text).each_with_object([[], []]) { |event, both| sorted(event, wanted, *both) }
            { days: found.uniq.sort_by { |one| [one[:from], one[:to]] }, unread: }
          end

          private

          # A calendar begins with its own line, so that nothing else is taken for an empty one.
          def events(text)
            plain = text.encode("UTF-8", invalid: :replace).delete_prefix("\uFEFF")
            check_left_out(plain)
            calendars = plain.match?(/^BEGIN:VCALENDAR/i) ? Icalendar::Calendar.parse(plain) : []
            raise Core::Error.new("This isn't a calendar file. Choose one that ends in .ics.", field: :content) if calendars.empty?

            calendars.flat_map(&:events)
          rescue ArgumentError, NoMethodError, Icalendar::Parser::ParseError
            raise Core::Error.new("This calendar file is damaged. Save it again, then choose it again.", field: :content)
          end

          # The package takes as long as there are pairs of these.
          def check_left_out(plain)
            days = plain.gsub(/\r?\n[ \t]/, "").scan(/^EXDATE[^\r\n]*/i).sum { |line| line.count(",") + 1 }
            return if days <= MOST_LEFT_OUT

            raise Core::Error.new("This calendar skips #{days} days of repeated events. Export fewer years.", field: :content)
          end

          def sorted(event, wanted, found, unread)
            name = event.summary.to_s.strip
            spans = spans(event, wanted)
            return unread << { name: name[0, 80], why: "It is part of a day, not a whole day." } if spans.nil?

            found.concat(spans.map { |first, last| { from: first.iso8601, to: last.iso8601, name: name[0, 80] } })
          rescue StandardError
            unread << { name: name.to_s[0, 80], why: "Its days can't be read." }
          end

          # @return [Array<Array(Date, Date)>, nil] nothing where it is no whole day
          def spans(event, wanted)
            first, days = length(event)
            return unless days

            found = starts(event, first, wanted).map { |start| [start, start + days - 1] }
            found.select { |start, last| start <= wanted.end && last >= wanted.begin }
          end

          # Whole days, as they are written; an event in hours counts where it lasts for a day or more.
          # @return [Array(Date, Integer)] the first day, and how many
          def length(event)
            start = event.dtstart
            return [start.to_date, [whole_days(event), 1].max] if start.is_a?(Icalendar::Values::Date)

            first, last = [start, event.dtend || start].map(&:to_time)
            last - first >= DAY - 1 ? [start.to_date, ((last - 1).to_date - first.to_date).to_i + 1] : [start.to_date, nil]
          end

          # An end is the day after the last one.
          def whole_days(event)
            return (event.dtend.to_date - event.dtstart.to_date).to_i if event.dtend
            return 1 unless event.duration

            length = event.duration
            length = length.first if length.is_a?(Array)
            (length.weeks * 7) + length.days
          end

          def starts(event, first, wanted)
            return [first] if event.rrule.empty? && event.rdate.empty?

            repeated(event, first, wanted) - excluded(event)
          end

          # Worked out at noon in UTC, so that no change to summer time moves a day.
          def repeated(event, first, wanted)
            schedule = IceCube::Schedule.new(noon(first))
            event.rrule.each { |rule| schedule.add_recurrence_rule(IceCube::Rule.from_ical(day_rule(rule.value_ical))) }
            found = schedule.occurrences_between(noon(wanted.begin - LONGEST_SPAN), noon(wanted.end)).first(MOST)
            found.map { |one| one.to_time.utc.to_date } | event.rdate.flatten.map(&:to_date)
          end

          def noon(date) = Time.utc(date.year, date.month, date.day, 12)

          # The end of a rule may be a moment of its last day.
          def day_rule(text)
            raise ArgumentError, "no rule for days" if text.match?(/FREQ=(SECOND|MINUTE|HOUR)LY/)

            text.gsub(/UNTIL=(\d{8})(T\d{6}Z?)?/, 'UNTIL=\1T235959Z')
          end

          def excluded(event) = event.exdate.flatten.map(&:to_date)
        end
      end
    end
  end
end
