# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # The dials that a child can read now.
      module Readable
        # What is read there, by {Task#sees}.
        DIALS = %i[dial dials_and_cards].freeze

        # @param answers [Array<MarkedAnswer>] at first try, oldest first
        # @return [Array<DialTime>] dials whose last reading was right, the hardest first
        def self.of(answers)
          read = answers.select { |marked| DIALS.include?(marked.task.sees) && marked.telling? }
          last = read.to_h { |marked| [marked.time, marked] }
          last.select { |_, marked| marked.right? }.keys.sort_by { |time| [-Curriculum::Difficulty.of(time), time] }
        end
      end
    end
  end
end
