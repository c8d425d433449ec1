# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # A note to take home, two to a page: what is read this week, how it is said at school and may be said at home, and the
      # class's whole method.
      class HomeNotes < Layout
        TEXT = WORDS[:home]
        DIAL = 53
        SHOWN = 3
        # Above a note, in points: two of the longest fit a page of Letter.
        TOP = 24

        # @return [Integer]
        def per_page = 2

        # @return [Array<Array<Page>>] one, with the same note twice; then one for each child whose family speaks another language
        def stacks
          own = sheet.languages.to_a.group_by(&:itself).flat_map { |language, all| all.each_slice(per_page).map { language } }
          [[nil, *own].map { |language| page_in(language) }]
        end

        private

        def page_in(language)
          page = new_page
          half = page.height / 2
          page.line([0, half], [page.width, half], width: 0.6, dash: 4, color: Page::QUIET)
          [0, half].each { |top| note(page, top + TOP, language) }
          page
        end

        def note(page, top, language)
          title = Letters.of(true).cut(language&.title || format(TEXT[:title], step: in_a_sentence), page.inner - 200, 15)
          page.text(title, MARGIN, top + 10, size: 15, bold: true)
          origin(page, page.width - MARGIN - 190, page.width - MARGIN, top + 10)
          below = page.paragraph(language&.intro || text, MARGIN, top + 30, page.inner, size: 11) + 4
          below = language ? spoken(page, examples(page, below, at_home: false), language) : examples(page, below)
          below = page.paragraph(language&.ask || TEXT[:ask], MARGIN, below + 8, page.inner, size: 11)
          method_lines(page, below)
        end

        # How it is said at home, and where half is another hour there.
        def spoken(page, top, language)
          line = language.times.map { |time, words| "#{digits(time)} #{words}" }.join("  ·  ")
          below = page.paragraph(line, MARGIN, top + 8, page.inner, size: 11, bold: true)
          below = page.paragraph(language.half, MARGIN, below, page.inner, size: 11) if language.half
          page.paragraph(TEXT[:unchecked], MARGIN, below, page.inner, size: Letters::LEAST)
        end

        # The class's method in two columns, read down the left one first.
        def method_lines(page, top)
          lines = Core::Reading::MethodCard.lines(sheet.step, sheet.conventions)
          width = page.inner / 2
          lines.each_slice((lines.length / 2.0).ceil).with_index do |some, column|
            some.reduce(top) do |below, line|
              page.paragraph("· #{line}", MARGIN + (column * width), below, width - 12, size: 11)
            end
          end
        end

        def in_a_sentence = sheet.title[0].downcase + sheet.title[1..]

        def text
          return TEXT[:text_parts] unless sheet.step.whole?

          in_class_words(TEXT[sheet.conventions.accepts?(:right_other_words) ? :text : :text_school_words])
        end

        # @return [Float] below them
        # @param at_home [Boolean] whether it has what people may say in English at home
        def examples(page, top, at_home: true)
          width = page.inner / SHOWN
          shown.each_with_index.map { |time, at| example(page, time, [MARGIN + (at * width), top, width - 10], at_home) }.max
        end

        def example(page, time, (x, top, width), at_home)
          middle = x + (width / 2)
          y = top
          if dial?
            Dial.new(page, [middle, top + DIAL], DIAL, hands: Cells::Read::HANDS.fetch(task.sees, "both")).draw(time.hands)
            y += (2 * DIAL) + 14
          end
          y = centered(page, time_in_words(time), [middle, y + 4, width], size: 12, bold: true)
          return y unless sheet.step.whole? && at_home

          centered(page, Core::Wording::Phrase.at_home(time, sheet.conventions).join(", "), [middle, y, width], size: Letters::LEAST)
        end

        def centered(page, words, (middle, y, width), size:, bold: false)
          lines = Letters.of(bold).lines(words, width, size)
          lines.each_with_index { |line, at| page.text(line, middle, y + (at * size * 1.3), size:, bold:, align: :center) }
          y + (lines.length * size * 1.3)
        end

        # What the step is asked with where no whole time is read.
        def task = sheet.step.tasks.first

        def dial? = sheet.step.whole? || %i[dial hour_hand minute_hand].include?(task.sees)

        def time_in_words(time)
          return words(time) if sheet.step.whole?

          answer = task.write(task.right_answer(time), sheet.conventions)
          return answer if task.sees == :hour_hand

          about = Sheet.new(task:, conventions: sheet.conventions)
          "#{about.question(Core::Choosing::SheetChoice::Item.new(time:))}: #{answer}"
        end

        def shown
          pool = sheet.step.whole? ? sheet.step.pool.reject(&:hidden_hand?) : sheet.step.pool_for(task)
          [5, 2, 1.25].map { |part| pool[(pool.length / part).floor] }.uniq
        end
      end
    end
  end
end
