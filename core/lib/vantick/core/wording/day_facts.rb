# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Everything a time of the day is called, as a plain table row.
      # Noon and midnight go by their names; what a digital clock shows at them is told beside it.
      module DayFacts
        DATA = Facts::DataFile.load("day")
        # By the minute of the day at which each part begins, the last first.
        PARTS = DATA[:parts].map { |part| { **part, from: Dial::DayTime.parse(part[:from]).index } }.reverse.freeze
        # Halves that have a name instead of a.m. or p.m.
        NAMED = %i[noon midnight].freeze

        class << self
          # @param day_time [DayTime]
          # @param conventions [Conventions]
          # @return [Hash{Symbol => Object}]
          def of(day_time, conventions = Conventions.default)
            part = PARTS.find { |candidate| day_time.index >= candidate[:from] }
            dial = day_time.dial_time.digital(conventions.sign)
            { time: day_time.to_s, half: day_time.half, part: part[:id], twelve_hour: twelve_hour(day_time, dial),
              twenty_four_hour: day_time.to_s.sub(":", conventions.sign), typed: typed(day_time, dial, conventions),
              clock_shows: "#{dial} #{name(day_time.shown_half)}",
              words: words(day_time, part, conventions) }
          end

          # @param day [Array<Hash>] each with `time` and `what`, as a class wrote it down
          # @param conventions [Conventions]
          # @return [Array<Hash>] in the order of the day, times as ISO 8601 has them
          # @raise [InvalidDayTime]
          # @raise [Error] where something has no name
          def day(day, conventions = Conventions.default)
            day.map { |event| { time: DayTimeReader.read(event[:time], conventions).to_s, what: named(event[:what]) } }
               .sort_by { |event| event[:time] }
          end

          private

          def named(what)
            tidy = what.to_s.scrub("").gsub(/[[:space:][:cntrl:]]+/, " ").strip
            raise Error.new("Say what happens at each time.", field: :day) if tidy.empty?

            tidy
          end

          # As the class's English writes a time of the day: "15:30", or "3:30 p.m.".
          def typed(day_time, dial, conventions)
            return day_time.to_s.sub(":", conventions.sign) if English.hours_of_clock(conventions) == 24

            NAMED.include?(day_time.half) ? name(day_time.half) : twelve_hour(day_time, dial)
          end

          def name(half) = PartReader.day_half_name(half)

          def twelve_hour(day_time, dial) = "#{dial} #{name(day_time.half)}"

          def words(day_time, part, conventions)
            return name(day_time.half) if NAMED.include?(day_time.half)

            "#{Phrase.usual(day_time.dial_time, conventions)} #{part[:in]}"
          end
        end
      end
    end
  end
end
