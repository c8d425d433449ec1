# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Exit slips, several to a page, with a line to cut along.
      class Slips < Layout
        SLIP = 188
        PLACES = 5

        # @return [Array<Page>]
        def pages
          per_page = ((Page::SIZES.fetch(sheet.paper)[1] - 40) / SLIP).floor
          sheet.versions.each_slice(per_page).map do |versions|
            page = new_page
            foot(page)
            versions.each_with_index { |version, at| slip(page, version, 20 + (at * SLIP)) }
            page
          end
        end

        private

        def slip(page, version, y)
          name(page, version, MARGIN, y + 22)
          page.text(sheet.kind.direction(sheet.task, sheet.conventions), page.width - MARGIN, y + 22, align: :right)
          width = (page.width - (2 * MARGIN)) / [version.items.length, PLACES].max
          version.items.each_with_index { |item, at| clock(page, item, MARGIN + (at * width), y + 34, width) }
          page.line([0, y + SLIP - 4], [page.width, y + SLIP - 4], width: 0.6, dash: 4, color: Page::QUIET)
        end

        def clock(page, item, x, y, width)
          radius = [(width / 2) - 6, 46].min
          Dial.new(page, [x + (width / 2), y + 6 + radius], radius, **sheet.look).draw(item.time.hands)
          below = y + (2 * radius) + 36
          return write_digits(page, x + 8, below, width - 16) if sheet.task.notation == :digits

          write_on(page, x + 5, below, width - 10)
        end
      end
    end
  end
end
