# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # A lesson of a term as it is planned.
      # @!attribute day [Integer]
      # @!attribute minutes [Integer]
      # @!attribute kind [Symbol] one of {KINDS}
      # @!attribute step [Curriculum::Step, nil] nothing where it stays empty or is skipped
      # @!attribute task [Symbol, nil] what is asked in it: words and digits take turns
      # @!attribute recap [Array<Curriculum::Step>] what is gone over first
      # @!attribute check [Boolean] whether it ends with a check, as its answers would change what is next
      # @!attribute settled [Symbol, nil] one of {SETTLED}, where a teacher put it so
      Planned = Struct.new(:day, :minutes, :kind, :step, :task, :recap, :check, :settled, keyword_init: true) do
        def taught? = !step.nil?
      end

      # What there is of each.
      class Planned
        # `:baseline` the first where nothing is known of the class: it also finds out where each child is, `:new` the first on its step,
        # `:again` one more on it, `:recap` all is known and is gone over, `:look_back` the first after many days without one, `:short` for
        # five or ten minutes, which review and go one step on, `:open` spare, for one that falls out, `:skipped` by the teacher.
        KINDS = %i[baseline new again recap look_back short open skipped].freeze
        SETTLED = %i[pinned moved skipped].freeze
      end
    end
  end
end
