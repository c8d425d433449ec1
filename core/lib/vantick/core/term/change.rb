# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What a plan made anew has otherwise than the one before, and why, in one line's worth.
      # @!attribute code [Symbol] one of {CODES}
      # @!attribute step [Curriculum::Step] it is about
      # @!attribute lessons [Integer] how many more or fewer
      # @!attribute children [Integer] who do not know the step, or who do for `:fewer`
      # @!attribute misreading [Reading::Misreading, nil] that most of them are likely to have
      Change = Struct.new(:code, :step, :lessons, :children, :misreading, keyword_init: true)

      # How it is found.
      class Change
        # `:more` lessons on a step, `:fewer`, `:later` the same lessons in another order, `:added` a step that was not planned,
        # `:dropped` one that is not planned any more.
        CODES = %i[more fewer later added dropped].freeze
        LESS = %i[fewer dropped].freeze

        class << self
          # @param old [Array<Planned>]
          # @param new [Array<Planned>] the days of both that are still to come are compared
          # @param progress [Teaching::ClassProgress]
          # @return [Change, nil] the one that comes first; nothing where all steps stand where they stood
          def between(old, new, progress)
            days = new.map(&:day)
            before, after = [old.select { |lesson| days.include?(lesson.day) }, new].map { |plan| plan.map(&:step) }
            at = after.each_index.find { |index| before[index] != after[index] } or return
            counts = [before, after].map { |steps| steps.compact.tally }
            build(told_step(before[at], after[at], counts), counts, progress)
          end

          private

          # That of the two whose lessons changed most, rather one that has more of them.
          def told_step(old, new, counts)
            [new, old].compact.max_by { |step| (counts.last.fetch(step, 0) - counts.first.fetch(step, 0)).then { |more| [more.abs, more] } }
          end

          def build(step, counts, progress)
            was, is = counts.map { |count| count.fetch(step, 0) }
            code = code(was, is)
            known, others = progress.by_child.keys.partition { |key| progress.known?(key, step) }
            new(code:, step:, lessons: (is - was).abs, children: (LESS.include?(code) ? known : others).length,
                misreading: progress.misreading_on(step)).freeze
          end

          def code(was, is)
            return :later if was == is
            return was.zero? ? :added : :more if is > was

            is.zero? ? :dropped : :fewer
          end
        end
      end
    end
  end
end
