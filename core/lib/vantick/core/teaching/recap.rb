# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What is gone over before a lesson: what most children are likely to have lost or never had, of what was met before.
      module Recap
        ROW = SchemeOfWork::SCHEME[:recap].freeze

        class << self
          # @param by_child [Hash{Object => Knowing::Expected}]
          # @param step [Curriculum::Step] what the lesson is about
          # @param before [Array<Curriculum::Step>] those that were met
          # @return [Array<Curriculum::Step>] at most {ROW}'s number, those first that most children are shaky on; parts of none of them
          def steps(by_child, step, before:)
            shaky = (before - [step]).select { |lower| shaky?(by_child, lower) }
            ranked = shaky.sort_by { |lower| [-worth(by_child, lower), Curriculum::Step.all.index(lower)] }
            apart = ranked.reduce([]) { |chosen, lower| chosen.any? { |other| related?(lower, other) } ? chosen : [*chosen, lower] }
            apart.first(ROW[:steps])
          end

          private

          def shaky?(by_child, step)
            by_child.values.count { |child| child.of_step(step) < ROW[:known] } >= ROW[:share] * by_child.length
          end

          def related?(one, other) = one.parts.include?(other) || other.parts.include?(one)

          # What going over it saves, a kind of times: steps of one kind are gone over better than wholes, and a whole dial goes over
          # its two hands as well.
          def worth(by_child, step)
            kinds = Curriculum::KnowledgeComponents.of_step(step)
            by_child.values.sum { |child| kinds.sum { |kind| saved(child, kind) } } / kinds.length
          end

          def saved(child, kind)
            child.at_risk(kind) + (ROW[:exercised] * Curriculum::KnowledgeComponents.exercised(kind).sum { |part| child.at_risk(part) })
          end
        end
      end
    end
  end
end
