# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # What is kept of a change of a term's plan, so that it can be told in one sentence: what answers changed, and what a teacher did.
      module TermChanges
        class << self
          # @param change [Core::Term::Change]
          # @return [Hash]
          def by_answers(change)
            { code: change.code, step: change.step.id, lessons: change.lessons, children: change.children,
              misreading: change.misreading&.id }
          end

          # @param kind [String] one of {Core::Term::Arrangement::KINDS}
          # @param day [Integer]
          # @param to [Integer, nil]
          # @param old [Array<Core::Term::Planned>] lessons to come as they stood
          # @param new [Array<Core::Term::Planned>] as they stand now
          # @return [Hash] also how many other lessons are about something else now
          def by_teacher(kind, day, to, old, new)
            step = new.find { |lesson| lesson.day == (to || day) }&.step
            { code: kind, step: step&.id, day: Date.jd(day).iso8601, to: to && Date.jd(to).iso8601, lessons: others(old, new, [day, to]) }
          end

          # @param old [Array<Core::Term::Planned>]
          # @param new [Array<Core::Term::Planned>]
          # @return [Hash] of a term that was set anew
          def by_setting(old, new) = { code: "term_set", lessons: others(old, new, []) }

          private

          def others(old, new, but)
            before, after = [old, new].map { |lessons| lessons.to_h { |lesson| [lesson.day, lesson.step] } }
            ((before.keys | after.keys) - but).count { |day| before[day] != after[day] }
          end
        end
      end
    end
  end
end
