# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # The class's own method, a line to tick off after the other; four cards to a page.
      class StepCards < Layout
        # @return [Integer]
        def per_page = 4

        # @return [Array<Array<Page>>] one, with the same card so many times
        def stacks
          page = new_page
          width = page.width / 2
          height = page.height / 2
          page.line([width, 0], [width, page.height], width: 0.6, dash: 4, color: Page::QUIET)
          page.line([0, height], [page.width, height], width: 0.6, dash: 4, color: Page::QUIET)
          [0, 1].product([0, 1]).each { |row, column| card(page, (column * width) + 28, (row * height) + 36, width - 56) }
          [[page]]
        end

        private

        def card(page, x, y, width)
          page.text(sheet.title, x, y + 12, size: 16, bold: true)
          top = y + 40
          Core::Reading::MethodCard.lines(sheet.step, sheet.conventions).each do |line|
            page.box(x, top - 10, 12, 12)
            top = page.paragraph(line, x + 22, top, width - 22, size: 13) + 8
          end
          page.text(Letters.of(false).cut(sheet.origin, width, Letters::LEAST), x, y + (page.height / 2) - 72, size: Letters::LEAST,
color: Page::QUIET)
        end
      end
    end
  end
end
