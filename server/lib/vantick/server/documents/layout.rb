# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # What all layouts share: pages with a head, whose they are and by which code they are found again.
      class Layout
        WORDS = Core::Choosing::SheetKind::WORDS
        MARGIN = Page::MARGIN
        # Kept free at the foot of a page.
        FOOT = 46
        # Paper that printers leave white, in points.
        EDGE = 8 * Page::MM
        # Beside the marks.
        INSET = 8
        # Space for the code that a reader finds, with what has to stay white round it.
        QR = 52

        # @param sheet [Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @return [Array<Array<Page>>] for each version
        def stacks = @sheet.versions.map { |version| findable(version_pages(version), version) }

        private

        attr_reader :sheet

        def new_page = Page.new(paper: sheet.paper)

        def room = Page::SIZES.fetch(sheet.paper)[1] - FOOT

        def in_class_words(text) = Core::Wording::ClassWords.fill(text, sheet.conventions)

        # The head of a page: whose it is, what it is, and what to do.
        # @return [Float] where the exercises may begin
        def head(page, version, title: sheet.title, direction: sheet.direction)
          right = page.width - MARGIN - (coded? ? QR + 8 : 0)
          name(page, version, MARGIN, 54, right - MARGIN)
          page.text(title, MARGIN, 77, size: 16, bold: true)
          origin(page, MARGIN + Letters.of(true).width(title, 16) + 14, right, 77)
          foot(page, version)
          page.paragraph(direction, MARGIN, 98, right - MARGIN, size: 13) + 1
        end

        # The class and the day, as far as there is room.
        def origin(page, left, right, y)
          words = Letters.of(false).cut(sheet.origin, right - left, Letters::LEAST)
          page.text(words, right, y, size: Letters::LEAST, align: :right, color: Page::QUIET)
        end

        # Cards to cut out, side by side: each has the sign of its set.
        # @yield [Object, Array(Float, Float, Float)] a card's content, and its place: left, top, width
        def cards(page, contents, top, columns:, height:)
          width = page.inner / columns
          contents.each_with_index do |content, at|
            row, column = at.divmod(columns)
            x = MARGIN + (column * width)
            y = top + (row * height)
            page.box(x, y, width, height, dash: 4)
            page.text(sheet.sign, x + width - 8, y + height - 8, size: Letters::LEAST, align: :right, color: Page::QUIET)
            yield content, [x, y, width]
          end
        end

        # A name that the typeface has no letters for is written by the child.
        def name(page, version, x, y, width)
          label = "#{WORDS[:name]}:"
          left = x + 46
          page.text(label, x, y)
          return Ink.new(page, sheet).line(left, y + 3, [width - 46, 240].min) unless version.printable?

          size = Letters.of(true).fitting([version.name], width - 46, 13)
          page.text(version.name, left, y, bold: true, size:)
        end

        def coded? = !sheet.code.to_s.empty?

        # The code in words for people; where there are answers to read back, marks and a code for readers.
        def foot(page, version)
          return unless coded?

          page.text(version.code(sheet.code), page.width - MARGIN - INSET, page.height - 27, size: Letters::LEAST, align: :right,
color: Page::QUIET)
        end

        # @return [Array(Float, Float, Float, Float)] what the marks stand in the corners of
        def area(page, top = 0, height = page.height, edge = EDGE) = [EDGE, top + edge, page.width - (2 * EDGE), height - (2 * edge)]

        # Every page of a child that has something to read.
        def findable(stack, version)
          return stack unless coded?

          stack.each.with_index(1) do |page, number|
            next if page.fields.empty?

            Finder.draw(page, version.found_as(sheet.code, number), area(page), Finder.on_page(area(page)))
          end
        end

        def digits(time) = sheet.digits(time)

        def words(time) = sheet.words(time)
      end
    end
  end
end
