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
          # @param said [Hash{Object => Array<TeacherJudgement>}] by child, what a teacher says of it
          # @param today [Integer]
          # @return [Offered]
          def of(by_child, said, today)
            last = by_child.values.flatten.map(&:day).max
            return build(:first, unsaid(by_child, said).keys) if last.nil?
            return build(:holidays, by_child.keys) if today - last >= ROW[:after_days]

            build(:joined, joined(unsaid(by_child, said), by_child))
          end

          private

          def build(why, children) = new(why: children.empty? ? :none : why, children: children.freeze).freeze

          def unsaid(by_child, said) = by_child.reject { |key, _| said.fetch(key, []).any? }

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
