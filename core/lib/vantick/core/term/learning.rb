# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # How likely a lesson makes its step known to a child of this class: at first as is assumed of all, then by what came of its lessons
      # (a Beta distribution, whose first guess weighs like ten children).
      # @!attribute ones [Float] guessed and seen: children who learned it
      # @!attribute others [Float] those who did not
      Learning = Struct.new(:ones, :others, keyword_init: true) do
        # @return [Float] 0..1
        def chance = ones / (ones + others)
      end

      class Learning
        ROW = NUMBERS[:forecast].freeze
        # Answers of a day that say enough of a step, and how far back it is looked for what was known before (judgement).
        LEAST = 3
        BACK = 30

        class << self
          # @return [Learning] before anything was seen
          def guessed = new(ones: ROW[:weight] * ROW[:chance], others: ROW[:weight] * (1 - ROW[:chance])).freeze

          # @param by_child [Hash{Object => Array<Teaching::Standing::Asked>}] oldest first
          # @param lessons [Array<Teaching::Course::Given>] oldest first
          # @return [Learning]
          # @example nine of ten who had it wrong before a lesson had it right after it: (4.5 + 9) / (10 + 10)
          #   Learning.of(by_child, lessons).chance #=> 0.675
          def of(by_child, lessons)
            seen = by_child.values.flat_map { |asked| seen_in(asked, lessons) }
            first = guessed
            new(ones: first.ones + seen.count(true), others: first.others + seen.count(false)).freeze
          end

          private

          def seen_in(asked, lessons)
            days = Teaching::Standing.by_step(asked).transform_values { |given| shares(given) }
            lessons.each_with_index.filter_map { |lesson, at| came_of(lesson, days.fetch(lesson.step), following(lessons, at)) }
          end

          # By day the share that was right.
          def shares(given)
            told = given.select { |one| one.marked.telling? }.group_by(&:day)
            told.select { |_, all| all.length >= LEAST }.transform_values { |all| all.count { |one| one.marked.right? } / all.length.to_f }
          end

          def following(lessons, at)
            later = lessons.drop(at + 1).find { |lesson| lesson.step == lessons[at].step }
            later ? later.day : Float::INFINITY
          end

          # @return [Boolean, nil] nothing where it was known before, or nobody asked
          def came_of(lesson, shares, until_day)
            before = shares.select { |day, _| day.between?(lesson.day - BACK, lesson.day - 1) }.values.last
            after = shares.find { |day, _| day >= lesson.day && day < until_day }&.last
            before && after && before < 0.5 ? after >= NUMBERS[:knows] : nil
          end
        end
      end
    end
  end
end
