# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Games
        # For the teacher: how a game goes, its times in order, and how the same set is found again.
        class Key < Layout
          COLUMNS = 2
          ROW = 22
          TEXT = WORDS[:games][:key]

          # @return [Array<Page>] one
          def pages
            page = new_page
            title = format(TEXT[:title], title: "#{sheet.kind.name}, #{in_a_sentence(sheet.title)}")
            page.text(title, MARGIN, MARGIN + 14, size: 17, bold: true)
            origin(page, MARGIN + Letters.of(true).width(title, 17) + 14, page.width - MARGIN, MARGIN + 14)
            top = time_in_words.reduce(MARGIN + 40) { |below, line| page.paragraph(line, MARGIN, below, page.inner, size: 12) + 3 }
            rows(page, top + 14)
            [page]
          end

          private

          def in_a_sentence(text) = text[0].downcase + text[1..]

          def time_in_words
            [TEXT[sheet.kind.id], lines, near, (TEXT[:scissors] unless sheet.kind.id == :bingo),
             format(TEXT[:again], number: sheet.game.number, count: sheet.versions.first.items.length)].compact
          end

          def lines
            return unless sheet.kind.id == :bingo

            format(TEXT[:lines], first: sheet.bingo.first_line, last: sheet.bingo.last_line)
          end

          def near
            misreading = sheet.game.misreading
            format(TEXT[:near], does: misreading.texts_in(sheet.conventions)[:does]) if misreading
          end

          def rows(page, top)
            calls = sheet.calls
            each = (calls.length / COLUMNS.to_f).ceil
            calls.each_with_index do |time, at|
              column, row = at.divmod(each)
              row(page, time, at + 1, MARGIN + (column * (page.inner / COLUMNS)), top + (row * ROW))
            end
          end

          def row(page, time, number, x, y)
            page.box(x, y - 11, 13, 13)
            page.text("#{number}.", x + 42, y, size: 12, align: :right, color: Page::QUIET)
            page.text(digits(time), x + 50, y, size: 12, bold: true)
            page.text(words(time), x + 88, y, size: 11)
          end
        end
      end
    end
  end
end
