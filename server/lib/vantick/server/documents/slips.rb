# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Exit slips, several to a page, with a line to cut along. Every slip stands for itself: name, code and what to do are on each.
      class Slips < Layout
        # Name and direction; at the foot the code.
        HEAD = 30
        BOTTOM = 7
        BETWEEN = 3

        # Of the marks from the cut.
        CUT = 3

        # Of several children on one page.
        # @return [Array<Array<Page>>]
        def stacks = sheet.versions.each_slice(per_page).map { |versions| [page_of(versions)] }

        # @return [Integer] slips
        def per_page = [(tall / height).floor, 1].max

        private

        def page_of(versions)
          page = new_page
          pitch = tall / per_page
          versions.each_with_index do |version, at|
            slip(page, version, EDGE + (at * pitch), pitch)
            below = EDGE + ((at + 1) * pitch)
            page.line([0, below], [page.width, below], width: 0.6, dash: 4, color: Page::QUIET) if at + 1 < per_page
          end
          page
        end

        def tall = Page::SIZES.fetch(sheet.paper)[1] - (2 * EDGE)

        def count = sheet.versions.first.items.length

        def radius = Dial.least_radius(sheet.look)

        # A dial with what stands round it.
        def dial = 2 * radius * Dial.reach(sheet.look)

        def in_digits? = sheet.task.notation == :digits

        def wide = Page::SIZES.fetch(sheet.paper)[0] - (2 * EDGE)

        def rows = (count / (wide / (dial + BETWEEN)).floor.to_f).ceil

        # As many in each row.
        def columns = (count / rows.to_f).ceil

        def row_height = dial + (in_digits? ? Ink::DIGIT[1] + 12 : 2)

        def height = HEAD + (rows * row_height) + lines_height + BOTTOM

        # The last place is the code's.
        def lines_height = in_digits? ? QR : ((count + 1) / 2.0).ceil * Ink::WORDS_HEIGHT

        def slip(page, version, top, pitch)
          head(page, version, top)
          version.items.each_with_index { |item, at| clock(page, item, at, top + HEAD) }
          lines(page, top + HEAD + (rows * row_height), version.items.length) unless in_digits?
          foot(page, version, top, pitch)
        end

        def head(page, version, top)
          direction = sheet.direction
          used = Letters.of(false).width(direction, 11) + 14
          name(page, version, MARGIN + INSET, top + 22, page.width - (2 * (MARGIN + INSET)) - used)
          page.text(direction, page.width - MARGIN - INSET, top + 22, size: 11, align: :right)
        end

        def clock(page, item, at, top)
          row, column = at.divmod(columns)
          pitch = wide / columns
          x = EDGE + ((column + 0.5) * pitch)
          y = top + (row * row_height)
          Dial.new(page, [x, y + (dial / 2)], radius, **sheet.look).draw(item.time.hands)
          page.text("#{at + 1}.", x - [pitch, dial].min.fdiv(2), y + 10, size: Letters::LEAST, color: Page::QUIET)
          Ink.new(page, sheet).digits(at, x, y + dial + 6) if in_digits?
        end

        # Lines with the numbers of the dials, as there is no room for them below each.
        def lines(page, top, many)
          width = (page.inner - Finder::CODE - 2) / 2
          many.times do |at|
            row, column = at.divmod(2)
            x = MARGIN + (column * width)
            y = top + ((row + 1) * Ink::WORDS_HEIGHT)
            page.text("#{at + 1}.", x, y - 2, size: 11, color: Page::QUIET)
            Ink.new(page, sheet).words(at, x + 20, y, width - 23)
          end
        end

        # What it is and by which code it is found, beside the code for readers.
        def foot(page, version, top, pitch)
          return unless coded?

          left = page.width - MARGIN - Finder::CODE
          words = [sheet.title, sheet.origin, version.code(sheet.code)].reject(&:empty?)
          room = ((page.inner - Finder::CODE) / 2) - 24
          words.each_with_index do |line, at|
            y = top + pitch - 6 - ((words.length - 1 - at) * 12)
            page.text(Letters.of(false).cut(line, room, Letters::LEAST), left - 10, y, size: Letters::LEAST, align: :right,
color: Page::QUIET)
          end
          area = area(page, top, pitch, CUT)
          Finder.draw(page, version.found_as(sheet.code, 1), area, Finder.on_slip(area))
        end
      end
    end
  end
end
