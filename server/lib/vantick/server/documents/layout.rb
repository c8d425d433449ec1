# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # What all layouts share: pages with a head, and lines to write on.
      class Layout
        WORDS = Core::Choosing::SheetKind::WORDS
        MARGIN = Page::MARGIN

        # @param sheet [Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @return [Array<Page>]
        def pages = @sheet.versions.flat_map { |version| version_pages(version) }

        private

        attr_reader :sheet

        def new_page = Page.new(paper: sheet.paper)

        # The head of a page: what it is, whose, and what to do.
        # @return [Float] where the exercises may begin
        def head(page, version, title: sheet.title, direction: sheet.kind.direction(sheet.task, sheet.conventions))
          page.text(title, MARGIN, MARGIN + 14, size: 17, bold: true)
          name(page, version, page.width - MARGIN - 210, MARGIN + 14)
          foot(page)
          page.paragraph(direction, MARGIN, MARGIN + 40, page.width - (2 * MARGIN), size: 13) + 6
        end

        def name(page, version, x, y)
          page.text("#{WORDS[:name]}:", x, y)
          return page.text(version.name, x + 45, y, bold: true, size: 13) unless version.name.empty?

          write_on(page, x + 45, y + 3, 165)
        end

        def foot(page)
          return if sheet.code.to_s.empty?

          page.text(sheet.code, page.width - MARGIN, page.height - 24, size: 9, align: :right, color: Page::QUIET)
        end

        # A line to write on.
        def write_on(page, x, y, width) = page.line([x, y], [x + width, y], width: 0.7)

        # Two short lines with the class's sign between.
        def write_digits(page, x, y, width)
          half = (width - 12) / 2
          write_on(page, x, y, half)
          page.text(sheet.conventions.sign, x + half + 6, y - 1, size: 14, bold: true, align: :center)
          write_on(page, x + half + 12, y, half)
        end

        def written(time) = sheet.task.write(sheet.task.right_answer(time), sheet.conventions)

        # What is asked where no dial is shown.
        def asked(item)
          return Core::Dial::DayFacts.of(item.time, sheet.conventions)[:words] if sheet.task.sees == :time_of_day

          format(WORDS[:from_to], from: item.time.hour.zero? ? 12 : item.time.hour, to: item.time.minute_numeral)
        end

        def digits(time) = time.digital(sheet.conventions.sign)

        def words(time) = Core::Wording::Phrase.usual(time, sheet.conventions)
      end
    end
  end
end
