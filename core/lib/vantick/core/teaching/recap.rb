# frozen_string_literal: true

module Vantick
  module Core
    # What is gone over before a lesson: what most children are likely to have lost or never had, of what was met before.
    module Recap
      ROW = Tracing::SCHEME[:recap].freeze
      # From which chance on a step counts as known for a child.
      KNOWN = 0.8

      class << self
        # @param by_child [Hash{Object => Tracing}]
        # @param step [Step] what the lesson is about
        # @param before [Array<Step>] those that were met
        # @return [Array<Step>] at most {ROW}'s number, those first that most children are shaky on; parts of none of the others
        def steps(by_child, step, before:)
          counts = (before - [step]).to_h { |one| [one, by_child.values.count { |child| child.of_step(one) < KNOWN }] }
          enough = counts.select { |_, count| count >= ROW[:share] * by_child.length }
          ranked = enough.sort_by { |one, _| [-worth(by_child, one), Step.all.index(one)] }.map(&:first)
          ranked.reduce([]) do |chosen, one|
            if chosen.any? do |other|
              other.parts.include?(one) || one.parts.include?(other)
            end
              chosen
            else
              [*chosen, one]
            end
          end
                .first(ROW[:steps])
        end

        private

        # What going over it saves: what was known and is fading counts most, what was never known can hardly be gone over.
        def worth(by_child, step) = by_child.values.sum { |child| child.gain(step) * (0.2 + child.of_step(step)) }
      end
    end
  end
end
