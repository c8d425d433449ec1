# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # The most useful thing that is true of a child now: what lies behind most mistakes, that no pattern is seen in them, or what is
      # secure.
      # @!attribute kind [Symbol] one of {Headline::KINDS}
      # @!attribute misreading [Misreading, nil] for `:behind`
      # @!attribute step [Step, nil] the highest that is secure, or nearly
      # @!attribute hits [Integer] answers that the misreading explains
      # @!attribute chances [Integer] answers that could have shown it
      Headline = Struct.new(:kind, :misreading, :step, :hits, :chances, keyword_init: true)

      # How it is found.
      class Headline
        # `:few` where there are too few answers to say more, `:none` where there are none.
        KINDS = %i[behind no_pattern secure nearly few none].freeze
        ROW = TABLE[:headline].freeze

        class << self
          # @param diagnosis [Diagnosis]
          # @param states [Hash{Step => Symbol}]
          # @return [Headline]
          def of(diagnosis, states)
            return build(:none) if diagnosis.answers.empty?
            return behind(diagnosis) if diagnosis.likely.any?
            return build(:no_pattern) if mistakes?(diagnosis)

            highest(states)
          end

          private

          def build(kind, misreading: nil, step: nil, hits: 0, chances: 0) = new(kind:, misreading:, step:, hits:, chances:).freeze

          def behind(diagnosis)
            misreading = diagnosis.likely.first
            piece = Judging::Evidence.new(misreading, diagnosis.answers)
            build(:behind, misreading:, hits: piece.hits, chances: piece.chances)
          end

          # More wrong than slips among the last answers.
          def mistakes?(diagnosis)
            last = diagnosis.answers.last(ROW[:last])
            wrong = last.count { |answer| !answer.read_right? }
            wrong >= ROW[:wrong] && wrong > ROW[:share] * last.length
          end

          def highest(states)
            %i[secure nearly].each do |state|
              step = Curriculum::Step.with_times.reverse.find { |candidate| states[candidate] == state }
              return build(state, step:) if step
            end
            build(:few)
          end
        end
      end
    end
  end
end
