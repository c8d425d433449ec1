# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # A sheet's pages in the order of printing. On both sides of the paper each child's sheet begins on paper of its own, and so do the
      # answers: what a child holds never has answers on its back, or somebody else's exercises.
      class Stack
        PARTS = { "all" => %i[sheets answers], "sheets" => [:sheets], "answers" => [:answers] }.freeze
        SIDES = { "one" => 1, "both" => 2 }.freeze

        # @return [Array<Page>]
        attr_reader :pages

        # @param sheet [Sheet]
        # @param part [String] one of {PARTS}
        # @param sides [String] one of {SIDES}, of the paper that are printed on
        def initialize(sheet, part: "all", sides: "both")
          @sides = SIDES.fetch(sides)
          wanted = PARTS.fetch(part)
          stacks = [*(sheet.stacks if wanted.include?(:sheets)), (sheet.answer_pages if wanted.include?(:answers))].compact
          @pages = stacks.reject(&:empty?).then { |all| [*all[0...-1].flat_map { |stack| filled(stack) }, *all.last] }
        end

        # @return [Integer] sheets of paper that it takes
        def paper = (pages.length / @sides.to_f).ceil

        # @return [Symbol] what a printer is told
        def duplex = @sides == 1 ? :Simplex : :DuplexFlipLongEdge

        private

        # The back that is over stays white.
        def filled(stack)
          first = stack.first
          over = -stack.length % @sides
          stack + Array.new(over) { Page.new(size: [first.width, first.height]) }
        end
      end
    end
  end
end
