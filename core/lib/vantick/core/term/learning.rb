# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # How likely a lesson makes its step known to a child of this class: at first as is assumed of all, then by what came of its lessons
      # (a Beta distribution, whose first guess weighs like so many children as term.yml says).
      # @!attribute ones [Float] guessed and seen: children who learned it
      # @!attribute others [Float] those who did not
      Learning = Struct.new(:ones, :others, keyword_init: true) do
        # @return [Float] 0..1
        def chance = ones / (ones + others)
      end

      # How it is seen.
      class Learning
        ROW = NUMBERS[:forecast].freeze
        # Answers of a day that say enough of a step, and how far back it is looked for what was known before (judgement).
        LEAST = 3
        BACK = 30

        class << self
          # @return [Learning] before anything was seen
          def guessed = new(ones: ROW[:weight] * ROW[:chance], others: ROW[:weight] * (1 - ROW[:chance])).freeze

          # What came of the first lesson on each step of one kind of times: later ones are given to those who have it already, or to
          # those with whom it did not go well by bad luck alone. Of a child who was not asked before nobody can tell what the lesson did.
          # @param by_child [Hash{Object => Array<Teaching::Standing::Asked>}] oldest first
          # @param lessons [Array<Teaching::Course::Given>] oldest first
          # @return [Learning]
          # @example five of ten children who did not know it had it right after its first lesson: (13.5 + 5) / (30 + 10)
          #   Learning.of(by_child, lessons).chance #=> 0.4625
          def of(by_child, lessons)
            firsts = lessons.uniq(&:step).select { |lesson| Teaching::KindsOfTime.of_step(lesson.step).one? }
            seen = by_child.values.flat_map { |asked| seen_in(asked, firsts, lessons) }
            first = guessed
            new(ones: first.ones + seen.count(true), others: first.others + seen.count(false)).freeze
          end

          private

          def seen_in(asked, firsts, lessons)
            days = Teaching::Standing.by_step(asked).transform_values { |given| shares(given) }
            # A child who did not learn is false, and counts.
            came = firsts.map { |lesson| came_of(lesson, days.fetch(lesson.step), following(lesson, lessons)) }
            came.compact
          end

          # By day the share that was right.
          def shares(given)
            told = given.select { |one| one.marked.telling? }.group_by(&:day)
            told.select { |_, all| all.length >= LEAST }.transform_values { |all| all.count { |one| one.marked.right? } / all.length.to_f }
          end

          def following(lesson, lessons)
            lessons.find { |one| one.step == lesson.step && one.day > lesson.day }&.day || Float::INFINITY
          end

          # @return [Boolean, nil] nothing where it was known before, or nobody asked before and after
          def came_of(lesson, shares, until_day)
            before = shares.select { |day, _| day.between?(lesson.day - BACK, lesson.day - 1) }.values.last
            after = shares.find { |day, _| day >= lesson.day && day < until_day }&.last
            after && before && before < 0.5 ? after >= NUMBERS[:knows] : nil
          end
        end
      end
    end
  end
end
