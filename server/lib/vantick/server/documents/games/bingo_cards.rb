# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Games
        # A card for each child, two to a page: nine clocks, of which other children have others.
        class BingoCards < Layout
          SIDE = Core::Choosing::Bingo::SIDE
          DIAL = Cells::Base::DIAL
          CELL = 124

          # @return [Integer] cards on a page
          def per_page = 2

          # @return [Array<Array<Page>>] one, with every card once
          def stacks = [sheet.bingo.cards.each_slice(per_page).map { |cards| page_of(cards) }]

          private

          def page_of(cards)
            page = new_page
            half = page.height / 2
            page.line([0, half], [page.width, half], width: 0.6, dash: 4, color: Page::QUIET)
            cards.each_with_index { |times, at| card(page, times, (at * half) + ((half - (SIDE * CELL)) / 2)) }
            page
          end

          # The clocks on the left, what is to be done with them on the right.
          def card(page, times, top)
            times.each_with_index { |time, at| cell(page, time, at.divmod(SIDE), top) }
            x = MARGIN + (SIDE * CELL) + 16
            width = page.width - MARGIN - x
            below = page.paragraph(sheet.kind.name, x, top + 22, width, size: 24, bold: true)
            below = page.paragraph(sheet.title, x, below, width, size: 15, bold: true) + 8
            page.paragraph(sheet.direction, x, below, width, size: 13)
            page.text(sheet.sign, page.width - MARGIN, top + (SIDE * CELL) - 4, size: Letters::LEAST, align: :right, color: Page::QUIET)
          end

          def cell(page, time, (row, column), top)
            x = MARGIN + (column * CELL)
            y = top + (row * CELL)
            page.box(x, y, CELL, CELL)
            Dial.new(page, [x + (CELL / 2), y + (CELL / 2)], DIAL, **sheet.look, **LoopCards::LOOK).draw(time.hands)
          end
        end
      end
    end
  end
end
