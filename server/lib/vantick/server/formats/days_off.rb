# frozen_string_literal: true

require "icalendar"
require "ice_cube"
require "yaml"

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
        # Two midnights are so many seconds off a whole number of days at most, as clocks change.
        CHANGE = 3600
        TABLE = YAML.safe_load_file(File.join(__dir__, "days_off.yml"), symbolize_names: true).freeze
        CANCELLED = "CANCELLED"
        WITHDRAWN = "CANCEL"
        PART = "It is part of a day, not a whole day."
        PARTS = "They are parts of a day, not whole days."

        class << self
          # @param text [String] the file
          # @param from [String] first day wanted
          # @param to [String] last day wanted
          # @return [Hash] `days`, each with from, to, name and whether it is `likely` a day off, and `unread`, each with name and why
          # @raise [Core::Error]
          def read(text, from:, to:)
            wanted = Date.iso8601(from)..Date.iso8601(to)
            all = events(text)
            @moved = moved(all)
            progress = all.reject { |event| cancelled?(event) }
            found, unread = progress.each_with_object([[], []]) { |event, both| sorted(event, wanted, *both) }
            { days: found.uniq.sort_by { |days| [days[:from], days[:to]] }, unread: few(unread) }
          end

          private

          # A calendar begins with its own line, so that nothing else is taken for an empty one.
          def events(text)
            plain = tidy(text.encode("UTF-8", invalid: :replace).delete_prefix("\uFEFF"))
            check_left_out(plain)
            calendars = plain.match?(/^BEGIN:VCALENDAR/i) ? Icalendar::Calendar.parse(plain) : []
            raise Core::Error.new("This isn't a calendar file. Choose one that ends in .ics.", field: :content) if calendars.empty?

            calendars.reject { |calendar| withdrawn?(calendar) }.flat_map(&:events)
          rescue ArgumentError, NoMethodError, Icalendar::Parser::ParseError
            raise Core::Error.new("This calendar file is damaged. Save it again, then choose it again.", field: :content)
          end

          # A file that takes all of its events back (RFC 5546).
          def withdrawn?(calendar) = calendar.ip_method.to_s.upcase == WITHDRAWN

          # Names of lines in whichever letters, and empty lines between them.
          def tidy(text)
            text.gsub(/^[ \t]*\r?\n/, "").gsub(/^(?:(?:begin|end):\w+|[a-z-]+(?=[;:]))/i, &:upcase)
          end

          def cancelled?(event) = event.status.to_s.upcase == CANCELLED

          # Repetitions that were moved or cancelled, by the event that they belong to.
          def moved(events)
            events.select(&:recurrence_id).group_by { |event| event.uid.to_s }
                  .transform_values { |some| some.map { |event| event.recurrence_id.to_date } }
          end

          # What lasts hours is one line.
          def few(unread)
            parts, others = unread.partition { |event| event[:why] == PART }
            return unread if parts.length <= TABLE[:most_named]

            [*others, { name: "#{parts.length} events", why: PARTS }]
          end

          def likely?(name)
            plain = name.downcase
            TABLE[:holiday].any? { |word| plain.include?(word) } || TABLE[:school].none? { |word| plain.match?(/\b#{Regexp.escape(word)}/) }
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
            return unread << { name: name[0, 80], why: PART } if spans.nil?

            found.concat(spans.map { |first, last| { from: first.iso8601, to: last.iso8601, name: name[0, 80], likely: likely?(name) } })
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

            first, last = hours(event)
            return [start.to_date, nil] if last - first < DAY - CHANGE

            between_midnights(first, last) || by_mornings(first, last)
          end

          # @return [Array(Time, Time)] each in its own zone
          def hours(event)
            first = event.dtstart.to_time
            last = event.dtend&.to_time || (first + seconds(event.duration))
            # One minute or second before midnight means midnight.
            [first, (last + 60).hour.zero? && last.min == 59 ? last + 60 - last.sec : last]
          end

          def seconds(duration)
            duration = duration.first if duration.is_a?(Array)
            duration ? (((((duration.weeks * 7) + duration.days) * 24) + duration.hours) * 3600) + (duration.minutes * 60) : 0
          end

          # From midnight to midnight, also where both are written in UTC.
          def between_midnights(first, last)
            days = ((last - first) / DAY.to_f).round
            return unless (last - first - (days * DAY)).abs <= CHANGE
            return [first.to_date, days] if first.hour.zero? && first.min.zero?

            return unless first.utc? && first.min.zero? && first.hour >= 24 - TABLE[:before_midnight]

            [first.to_date + 1, days]
          end

          # A day whose morning is free.
          def by_mornings(first, last)
            from = (first.hour * 60) + first.min <= TABLE[:begins_by] * 60 ? first.to_date : first.to_date + 1
            till = last.hour >= TABLE[:ends_from] ? last.to_date : last.to_date - 1
            [from, till < from ? nil : (till - from).to_i + 1]
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

            repeated(event, first, wanted) - excluded(event) - (event.recurrence_id ? [] : @moved.fetch(event.uid.to_s, []))
          end

          # Worked out at noon in UTC, so that no change to summer time moves a day.
          def repeated(event, first, wanted)
            schedule = IceCube::Schedule.new(noon(first))
            event.rrule.each { |rule| schedule.add_recurrence_rule(IceCube::Rule.from_ical(day_rule(rule.value_ical))) }
            found = schedule.occurrences_between(noon(wanted.begin - LONGEST_SPAN), noon(wanted.end)).first(MOST)
            found.map { |occurrence| occurrence.to_time.utc.to_date } | event.rdate.flatten.map(&:to_date)
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
