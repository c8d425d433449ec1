# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Large dials: with boxes for the minutes round them, or to be cut out and made.
      class BigDials < Layout
        private

        def version_pages(version)
          page = new_page
          top = head(page, version)
          sheet.kind.id == :make ? make(page, top) : boxes(page, top, version)
          [page]
        end

        # A box outside each numeral, two dials on a page.
        def boxes(page, top, _version)
          2.times do |at|
            center = [page.width / 2, top + 165 + (at * 330)]
            Dial.new(page, center, 108, **sheet.look, minute_numbers: "none").draw(nil)
            12.times { |place| box(page, center, place * 30) }
          end
        end

        def box(page, center, degrees)
          turn = degrees * Math::PI / 180
          x = center[0] + (136 * Math.sin(turn))
          y = center[1] - (136 * Math.cos(turn))
          page.box(x - 15, y - 12, 30, 24)
        end

        # The dial, both hands to cut out beside it, and the caution.
        def make(page, top)
          Dial.new(page, [page.width / 2, top + 200], 185, **sheet.look).draw(nil)
          lower = top + 420
          hand(page, MARGIN + 40, lower, 52, 120)
          hand(page, MARGIN + 40, lower + 70, 26, 190)
          page.paragraph(WORDS[:caution], MARGIN, lower + 150, page.width - (2 * MARGIN), size: 11)
        end

        # A hand lying on its side, with the place for the pin.
        def hand(page, x, y, breadth, length)
          half = breadth / 2.0
          page.path([[:move, x + length, y], [:curve, x + (length * 0.7), y - half, x + (length * 0.4), y - half, x, y - 9],
                     [:line, x - 24, y - 9], [:line, x - 24, y + 9], [:line, x, y + 9],
                     [:curve, x + (length * 0.4), y + half, x + (length * 0.7), y + half, x + length, y]], stroke: Page::INK)
          page.circle([x - 8, y], 2.5, fill: Page::INK, stroke: nil)
        end
      end
    end
  end
end
