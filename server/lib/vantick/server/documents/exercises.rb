# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Exercises in rows and columns, spread over as many pages as they need.
      class Exercises < Layout
        BETWEEN = 14
        # Between rows at least, and at most where a page is not full, in points.
        ROWS = (4..40)
        # Above the exercises of a page at least.
        HEAD = 100
        # A problem: its dial, what is asked, and lines.
        PROBLEM = 150
        PROBLEM_LINES = 3

        # @return [Integer] exercises on a full page
        def per_page = on_page(cell_for([]))

        private

        # A child with large dials has them on its whole sheet.
        def cell_for(items) = (@cells ||= {})[items.any?(&:larger)] ||= Cells.of(sheet, larger: items.any?(&:larger))

        def on_page(cell) = rows(HEAD + 2, cell) * columns(cell)

        def inner = Page::SIZES.fetch(sheet.paper)[0] - (2 * MARGIN)

        def columns(cell) = [((inner + BETWEEN) / (cell.width + BETWEEN)).floor, cell.columns].min.clamp(1, 4)

        def rows(top, cell) = [((room - top + ROWS.min) / (cell.height + ROWS.min)).floor, 1].max

        def version_pages(version)
          numbered = version.items.each_with_index.to_a
          pages = levels(numbered).flat_map { |level, items| shared_out(items).map { |some| page_of(version, level, some) } }
          problems = sheet.problems(version.items)
          pages << problem_page(version, problems, numbered.length) if problems.any?
          numbered_pages(pages)
        end

        def levels(numbered) = numbered.group_by { |item, _| item.level }

        # No page has much less on it than another.
        def shared_out(items)
          cell = cell_for(items.map(&:first))
          pages = (items.length / on_page(cell).to_f).ceil
          full_rows = (items.length / (pages * columns(cell)).to_f).ceil
          items.each_slice(full_rows * columns(cell)).to_a
        end

        def page_of(version, level, items)
          page = new_page
          top = head(page, version, title: titled(version, level))
          cell = cell_for(version.items)
          abreast = columns(cell)
          pitch = pitch(top, (items.length / abreast.to_f).ceil, cell)
          width = (inner - (BETWEEN * (abreast - 1))) / abreast
          items.each_with_index do |(item, at), place|
            row, column = place.divmod(abreast)
            x = MARGIN + (column * (width + BETWEEN))
            cell.draw(item, Cells::Base::Place.new(page:, at:, number: at + 1, x:, y: top + (row * pitch), width:))
          end
          page
        end

        def pitch(top, rows, cell)
          free = (room - top - (rows * cell.height)) / rows
          cell.height + free.clamp(0, ROWS.max)
        end

        # Where one child has several levels; of their own one nobody reads its number.
        def titled(version, level)
          several = version.items.map(&:level).uniq.length > 1
          several ? "#{sheet.title} · #{WORDS[:levels].fetch(level - 1)}" : sheet.title
        end

        # Pages of one child are told apart.
        def numbered_pages(pages)
          return pages if pages.one?

          pages.each.with_index(1) do |page, number|
            page.text("#{number}/#{pages.length}", page.width / 2, page.height - 27, size: Letters::LEAST, align: :center,
color: Page::QUIET)
          end
        end

        # For those who are ready for reasons.
        def problem_page(version, problems, before)
          page = new_page
          top = head(page, version, title: titled(version, Core::Choosing::Levels::COUNT), direction: "")
          problems.each_with_index { |problem, at| problem(page, problem, before + at, top + (at * PROBLEM)) }
          page
        end

        def problem(page, problem, at, y)
          page.text("#{at + 1}.", MARGIN, y + 11, size: 11, color: Page::QUIET)
          Dial.new(page, [MARGIN + 24 + Cells::Base::DIAL, y + Cells::Base::DIAL], Cells::Base::DIAL,
                   **sheet.look.slice(:numerals, :marks, :halves))
              .draw(problem.time.hands)
          left = MARGIN + 165
          width = page.width - MARGIN - left
          below = page.paragraph(problem.text, left, y + 14, width, size: 13)
          PROBLEM_LINES.times { |line| Ink.new(page, sheet).words(at, left, below + 20 + (line * Ink::WORDS_HEIGHT), width) }
        end
      end
    end
  end
end
