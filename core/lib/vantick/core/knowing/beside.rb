# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # What is told of a child's answers beside what it knows: what it leaves blank, and whether paper and devices differ.
      module Beside
        ROW = TABLE[:beside].freeze
        # Kinds of questions that a child may leave blank; the first that fits is told.
        QUESTIONS = { to: ->(marked) { marked.task.asks == :time && marked.task.dial? && marked.time.dial_time.minute > 30 },
                      words: ->(marked) { marked.task.notation == :words }, digits: ->(marked) { marked.task.notation == :digits },
                      hands: ->(marked) { marked.task.notation == :hands } }.freeze

        # @!attribute what [Symbol] one of {QUESTIONS}
        # @!attribute blank [Integer] of them that are blank
        # @!attribute asked [Integer] all of them
        Blank = Struct.new(:what, :blank, :asked, keyword_init: true)
        # @!attribute right [Integer]
        # @!attribute answers [Integer]
        Share = Struct.new(:right, :answers, keyword_init: true) do
          # @return [Float] 0..1
          def share = right / answers.to_f
        end

        class << self
          # @param asked [Array<Curriculum::ItemResponse>] oldest first
          # @return [Blank, nil] what the child leaves blank though it answers all else
          # @example every time after the half hour
          #   Beside.blank(asked).to_h #=> {what: :to, blank: 6, asked: 6}
          def blank(asked)
            last = asked.last(ROW[:looked_at]).map(&:marked)
            found = QUESTIONS.filter_map { |what, test| left(what, *last.partition(&test)) }
            found.first&.freeze
          end

          # @param asked [Array<Curriculum::ItemResponse>] oldest first
          # @return [Hash{Symbol => Share}, nil] on `paper` and on `device`, where they differ much
          def places(asked)
            last = asked.last(ROW[:looked_at]).select { |answer| answer.marked.telling? }
            device, paper = last.partition(&:device).map { |some| share_of(some) }
            return if [device, paper].any? { |share| share.answers < ROW[:place_answers] }

            { paper:, device: } if (device.share - paper.share).abs >= ROW[:place_apart]
          end

          # @param by_child [Hash{Object => Hash{Object => Marking::MarkedAnswer}}] by child, its answers to the same clocks, by clock
          # @return [Hash{Array(Object, Object) => Integer}] pairs of children, and to how many clocks both gave the same rare wrong answer
          def same(by_child)
            given = by_child.flat_map { |key, answers| rare(answers).map { |answer| [answer, key] } }
            pairs = given.group_by(&:first).values.map { |some| some.map(&:last) }.select { |keys| keys.length == 2 }
            pairs.tally.select { |_, count| count >= ROW[:same_clocks] }
          end

          private

          def share_of(some) = Share.new(right: some.count { |answer| answer.marked.right? }, answers: some.length)

          def left(what, those, others)
            blank = those.count { |marked| marked.verdict == :blank }
            return if those.length < ROW[:blank_asked] || blank < ROW[:blank_share] * those.length
            return if others.empty? || others.count { |marked| marked.verdict == :blank } > ROW[:blank_others] * others.length

            Blank.new(what:, blank:, asked: those.length)
          end

          # Clocks with what was answered. Two children with one mistake give the same answers by themselves: so only those that no
          # mistake explains.
          def rare(answers)
            found = answers.select { |_, marked| marked.verdict == :unexplained && !marked.read_as.empty? }
            found.map { |clock, marked| [clock, marked.read_as] }
          end
        end
      end
    end
  end
end
