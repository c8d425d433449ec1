# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Large dials: with boxes for the minutes round them, or to be cut out and made.
      class BigDials < Layout
        # With boxes round it, and to be made.
        BOXED = 100
        MADE = 170
        BOX = [30, 24].freeze
        # Where the pin goes through, large enough to be pierced, in points.
        PIN = 9
        # Hands of card: broad enough to be cut out, as long as on every dial.
        HANDS = { hour: { reach: 53, breadth: 20 }, minute: { reach: 74.5, breadth: 9 } }.freeze
        # A tab behind the pin that is folded over, so that the hole holds.
        TAB = 22

        # @return [Integer]
        def per_page = sheet.kind.id == :make ? 1 : 2

        private

        def version_pages(version)
          page = new_page
          top = head(page, version)
          sheet.kind.id == :make ? make(page, top) : boxes(page, top)
          [page]
        end

        # A box outside each numeral, two dials on a page.
        def boxes(page, top)
          pitch = (room - top) / 2
          2.times do |at|
            center = [page.width / 2, top + ((at + 0.5) * pitch)]
            Dial.new(page, center, BOXED, **sheet.look, minute_numbers: "none").draw(nil)
            12.times { |place| box(page, center, place * 30) }
          end
        end

        def box(page, center, degrees)
          turn = degrees * Math::PI / 180
          x = center[0] + ((BOXED + 24) * Math.sin(turn))
          y = center[1] - ((BOXED + 22) * Math.cos(turn))
          page.box(x - (BOX[0] / 2), y - (BOX[1] / 2), *BOX)
        end

        # The dial, both hands to cut out below it, and the caution.
        def make(page, top)
          reach = MADE * Dial.reach(sheet.look)
          center = [page.width / 2, top + reach]
          Dial.new(page, center, MADE, **sheet.look).draw(nil)
          pin(page, center)
          y = top + (2 * reach) + 40
          hand(page, :hour, MARGIN + 40, y)
          hand(page, :minute, (page.width / 2) + 40, y)
          page.paragraph(in_class_words(WORDS[:caution]), MARGIN, y + 60, page.inner, size: 11)
        end

        def pin(page, center) = page.circle(center, PIN, width: 0.7)

        # A hand lying on its side, pointing to the right; the tab behind it is folded over its pin.
        def hand(page, kind, x, y)
          reach, breadth = HANDS.fetch(kind).values.map { |part| part * MADE / 100.0 }
          outline(page, x, y, reach, breadth / 2)
          [x, x - (2 * TAB)].each { |place| pin(page, [place, y]) }
          page.line([x - TAB, y - 13], [x - TAB, y + 13], width: 0.6, dash: 3)
          page.text("#{WORDS[kind == :hour ? :short_hand : :long_hand]} · #{WORDS[:fold]}", x - (2 * TAB), y + 34, size: Letters::LEAST,
color: Page::QUIET)
        end

        def outline(page, x, y, reach, half)
          back = x - (2 * TAB) - 13
          wide = [half, 13].max
          page.path([[:move, x + reach, y], [:curve, x + (reach * 0.7), y - half, x + (reach * 0.4), y - half, x + 8, y - wide],
                     [:line, back, y - 13], [:line, back, y + 13], [:line, x + 8, y + wide],
                     [:curve, x + (reach * 0.4), y + half, x + (reach * 0.7), y + half, x + reach, y]], stroke: Page::INK)
        end
      end
    end
  end
end
