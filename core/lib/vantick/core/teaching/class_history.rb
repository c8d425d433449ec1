# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # A class over time: at the end of each week, how many children were secure on each step, and which misreadings
      # their answers of that week showed.
      module ClassHistory
        WEEK = 7
        # Weeks looked back on: a school year.
        MOST = 53

        # @!attribute day [Integer] the last day of the week
        # @!attribute secure [Hash{Curriculum::Step => Integer}] children, for steps that any of them met
        # @!attribute review_due [Hash{Curriculum::Step => Integer}] how many of these had their review due
        # @!attribute misreadings [Hash{Misreading => Integer}] children who showed each in this week
        # @!attribute answers [Integer] given in this week
        Week = Struct.new(:day, :secure, :review_due, :misreadings, :answers, keyword_init: true)

        class << self
          # @param progress [ClassProgress]
          # @param today [Integer]
          # @return [Array<Week>] the oldest first, from the week of the first answer
          def of(progress, today:)
            first = progress.asked.values.flatten.map(&:day).min
            return [] unless first

            weeks = [((today - first) / WEEK) + 1, MOST].min
            (0...weeks).map { |back| week(progress, today - (back * WEEK)) }.reverse
          end

          private

          def week(progress, day)
            now = progress.asked.transform_values { |asked| asked.select { |answer| answer.day <= day && answer.day > day - WEEK } }
            Week.new(day:, secure: secure(progress, day), review_due: review_due(progress, day), misreadings: misreadings(now),
                     answers: now.values.sum(&:length)).freeze
          end

          def secure(progress, day)
            secure = progress.by_child.values.flat_map { |child| child.secure_on(day) }.tally
            met = progress.asked.values.flatten.select { |answer| answer.day <= day }.map(&:step).uniq | secure.keys
            (Curriculum::Step.with_times & met).to_h { |step| [step, secure.fetch(step, 0)] }
          end

          def review_due(progress, day) = progress.by_child.values.flat_map { |child| child.review_due_on(day) }.tally

          def misreadings(now)
            evidence = Judging::ClassEvidence.new(now.transform_values { |asked| asked.map(&:marked) })
            evidence.showing.transform_values(&:length)
          end
        end
      end
    end
  end
end
