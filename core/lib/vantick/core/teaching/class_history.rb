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
        # @!attribute secure [Hash{Step => Integer}] children, for steps that any of them met
        # @!attribute misreadings [Hash{Misreading => Integer}] children who showed each in this week
        # @!attribute answers [Integer] given in this week
        Week = Struct.new(:day, :secure, :misreadings, :answers, keyword_init: true)

        class << self
          # @param by_child [Hash{Object => Array<Standing::Asked>}] oldest first
          # @param today [Integer]
          # @return [Array<Week>] the oldest first, from the week of the first answer
          def of(by_child, today:)
            first = by_child.values.flatten.map(&:day).min
            return [] unless first

            weeks = [((today - first) / WEEK) + 1, MOST].min
            (0...weeks).map { |back| week(by_child, today - (back * WEEK)) }.reverse
          end

          private

          def week(by_child, day)
            so_far = by_child.transform_values { |asked| asked.select { |one| one.day <= day } }
            now = so_far.transform_values { |asked| asked.select { |one| one.day > day - WEEK } }
            Week.new(day:, secure: secure(so_far, day), misreadings: misreadings(now), answers: now.values.sum(&:length)).freeze
          end

          def secure(so_far, day)
            states = so_far.values.map { |asked| Standing.new(judging(asked, day), today: day).states }
            met = Step.with_times.select { |step| states.any? { |one| one[step] != :not_met } }
            met.to_h { |step| [step, states.count { |one| one[step] == :secure }] }
          end

          # What is older says nothing of that day, but that a step was met.
          def judging(asked, day)
            recent = asked.drop_while { |one| one.day < day - Judging::Secure::JUDGING_DAYS }
            met = asked.first(asked.length - recent.length).uniq(&:step)
            met + recent
          end

          def misreadings(now)
            evidence = Judging::ClassEvidence.new(now.transform_values { |asked| asked.map(&:marked) })
            evidence.showing.transform_values(&:length)
          end
        end
      end
    end
  end
end
