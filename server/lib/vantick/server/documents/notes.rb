# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Cards in words: the class's own method to tick off, or a note to take home.
      class Notes < Layout
        # @return [Array<Page>] one, with the same card so many times
        def pages
          page = new_page
          cells(page).each { |x, y, width| sheet.kind.id == :home ? home(page, x, y, width) : card(page, x, y, width) }
          [page]
        end

        private

        def cells(page)
          rows = 2
          width = page.width / 2
          height = page.height / rows
          page.line([width, 0], [width, page.height], width: 0.6, dash: 4, color: Page::QUIET)
          page.line([0, height], [page.width, height], width: 0.6, dash: 4, color: Page::QUIET)
          [0, 1].product([0, 1]).map { |row, column| [(column * width) + 28, (row * height) + 36, width - 56] }
        end

        def card(page, x, y, width)
          page.text(sheet.title, x, y + 12, size: 16, bold: true)
          top = y + 40
          Core::Reading::MethodCard.lines(sheet.step, sheet.conventions).each do |line|
            page.box(x, top - 10, 12, 12)
            top = page.paragraph(line, x + 22, top, width - 22, size: 13) + 8
          end
        end

        def home(page, x, y, width)
          top = page.paragraph(format(WORDS[:home][:title], step: sheet.title.downcase), x, y + 12, width, size: 15, bold: true) + 4
          top = page.paragraph(home_text, x, top + 6, width, size: 11) + 8
          examples.each_with_index { |time, at| example(page, time, x, top + (at * 62), width) }
          top = page.paragraph(WORDS[:home][:ask], x, top + (examples.length * 62) + 12, width, size: 11)
          lines = Core::Reading::MethodCard.lines(sheet.step, sheet.conventions).first(2)
          lines.each { |line| top = page.paragraph("· #{line}", x, top + 4, width, size: 11) }
        end

        def home_text = WORDS[:home][sheet.conventions.accepts?(:right_other_words) ? :text : :text_school_words]

        def example(page, time, x, y, width)
          Dial.new(page, [x + 26, y + 22], 24).draw(time.hands)
          page.text(words(time), x + 60, y + 16, size: 12, bold: true)
          page.paragraph(Core::Wording::Phrase.at_home(time, sheet.conventions).join(", "), x + 60, y + 31, width - 60, size: 9)
        end

        def examples
          pool = sheet.step.pool.reject(&:hidden_hand?)
          [5, 2, 1.25].map { |part| pool[(pool.length / part).floor] }.uniq
        end
      end
    end
  end
end
