# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Stories of the class's own day: a clock to read, a question about it, and a line for the answer.
      class Stories < DayStrips
        # @return [Array<Array<Page>>] one
        def stacks
          [sheet.stories.each_with_index.each_slice(per_page).map { |some| page_of(some) }]
        end

        # @return [Page] for the teacher
        def key = key_page(sheet.stories.map { |story| "#{story.answer}  (#{story.text})" })

        private

        def row(page, story, number, top)
          page.text("#{number + 1}.", MARGIN, top + 18, size: 11, color: Page::QUIET)
          dial(page, story.time, top)
          page.paragraph(story.text, MARGIN + 160, top + 34, page.inner - 170, size: 15)
          Ink.new(page, sheet).line(MARGIN + 160, top + ROW - 24, 300)
        end
      end
    end
  end
end
