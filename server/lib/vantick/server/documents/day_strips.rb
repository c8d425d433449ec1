# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # The class's own day as strips to cut out and put in order: a clock, what happens then, and a line for the time.
      class DayStrips < Layout
        DIAL = Cells::Base::DIAL
        ROW = 132
        LOOK = { minute_numbers: "none" }.freeze
        TEXT = WORDS[:stories]
        WHITE = Version.new(name: "", items: []).freeze

        # @return [Integer]
        def per_page = ((room - 94) / ROW).floor

        # @return [Array<Array<Page>>] one; strips lie in another order than the day's
        def stacks
          mixed = sheet.events.shuffle(random: Random.new(sheet.game.number))
          [mixed.each_slice(per_page).map { |some| page_of(some) }]
        end

        # @return [Page] for the teacher: the day in order
        def key = key_page(sheet.events.map { |time, what| "#{digits(time.dial_time)}  #{what}" })

        private

        def name(*) = nil

        def page_of(events)
          page = new_page
          top = head(page, WHITE, title: sheet.kind.name)
          events.each_with_index { |(time, what), at| row(page, time, what, top + (at * ROW)) }
          page
        end

        def row(page, time, what, top)
          page.box(MARGIN, top, page.inner, ROW, dash: 4)
          dial(page, time, top)
          page.paragraph(what, MARGIN + 160, top + 44, page.inner - 180, size: 20, bold: true)
          Ink.new(page, sheet).line(MARGIN + 160, top + ROW - 24, 240)
        end

        def dial(page, time, top)
          Dial.new(page, [MARGIN + 76, top + (ROW / 2)], DIAL, **sheet.look, **LOOK).draw(time.dial_time.hands)
        end

        def key_page(lines)
          page = new_page
          page.text(format(TEXT[:key], title: sheet.kind.name), MARGIN, MARGIN + 14, size: 17, bold: true)
          top = page.paragraph(TEXT[:day], MARGIN, MARGIN + 40, page.inner, size: 12) + 10
          lines.each.with_index(1) { |line, number| top = page.paragraph("#{number}.  #{line}", MARGIN, top, page.inner, size: 12) + 4 }
          page
        end
      end
    end
  end
end
