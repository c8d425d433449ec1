# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Whether it should be found out where children are ({Knowing::Baseline}): on the first day, after holidays, and of a child who joins.
      # @!attribute why [Symbol] `:first` nobody has answered, `:holidays` nobody for a while, `:joined` some hardly yet, or `:none`
      # @!attribute children [Array] keys of those of whom it should be
      Offered = Struct.new(:why, :children, keyword_init: true)

      # How it is told.
      class Offered
        ROW = Knowing::TABLE[:offered].freeze

        class << self
          # @param by_child [Hash{Object => Array<Curriculum::ItemResponse>}]
          # @param judgements [Hash{Object => Array<TeacherJudgement>}] by child, what a teacher says of it
          # @param today [Integer]
          # @return [Offered]
          def of(by_child, judgements, today)
            last = by_child.values.flatten.map(&:day).max
            return build(:first, unjudged(by_child, judgements).keys) if last.nil?
            return build(:holidays, by_child.keys) if today - last >= ROW[:after_days]

            build(:joined, joined(unjudged(by_child, judgements), by_child))
          end

          private

          def build(why, children) = new(why: children.empty? ? :none : why, children: children.freeze).freeze

          def unjudged(by_child, judgements) = by_child.reject { |key, _| judgements.fetch(key, []).any? }

          # Few answers are nothing special where nobody has more.
          def joined(children, by_child)
            few, more = by_child.values.partition { |asked| asked.length < ROW[:few] }
            return [] if few.length > more.length

            children.select { |_, asked| asked.length < ROW[:few] }.keys
          end
        end
      end
    end
  end
end
