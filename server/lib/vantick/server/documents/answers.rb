# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # The answers on pages of their own, for the teacher: every exercise as a small dial with the right answer, drawn hands and all, under
      # the same number and the same letter as on the sheet.
      class Answers < Layout
        COLUMNS = 6
        # What is asked, and a line of its answer, in points.
        ASKED = 68
        LINE = 11.5
        SIZE = 9
        DIAL = 27
        # Quiet enough to be taken in at a glance: the answer stands below.
        LOOK = { numerals: "none", marks: "fives" }.freeze

        # @return [Array<Page>]
        def pages
          @pages = []
          begin_page
          versions.each { |version| version(version) }
          @pages
        end

        private

        # What is the same for all is answered once, for nobody in particular; some may have fewer of it.
        def versions
          longest = sheet.versions.map(&:items).max_by(&:length)
          asked = longest.map { |item| plain(item) }
          alike = sheet.versions.all? { |version| version.items.map { |item| plain(item) } == asked.first(version.items.length) }
          return sheet.versions unless alike

          [Version.new(name: "", items: longest)]
        end

        def plain(item) = item.dup.tap { |copy| copy.helped = nil }

        def begin_page
          page = new_page
          title = "#{WORDS[:answers]}: #{sheet.title}"
          page.text(title, MARGIN, MARGIN + 14, size: 17, bold: true)
          origin(page, MARGIN + Letters.of(true).width(title, 17) + 14, page.width - MARGIN, MARGIN + 14)
          page.text(sheet.direction, MARGIN, MARGIN + 36, color: Page::QUIET)
          foot(page, Version.new(name: ""))
          @pages << page
          @y = MARGIN + 56
        end

        def version(version)
          heading = [version.letter, version.name].compact.reject(&:empty?).join(" · ")
          rows = version.items.each_slice(COLUMNS).to_a
          begin_page if @y + 18 + row_height(rows.first || []) > room
          @pages.last.text(heading, MARGIN, @y + 10, bold: true) unless heading.empty?
          @y += 18 unless heading.empty?
          rows.each_with_index { |items, at| row(items, at * COLUMNS) }
          problems(sheet.problems(version.items), version.items.length)
        end

        def column = (@pages.last.width - (2 * MARGIN)) / COLUMNS

        def lines(item) = Letters.of(false).lines(right(item), column - 6, SIZE)

        def row_height(items) = ASKED + ((items.map { |item| lines(item).length }.max || 0) * LINE) + 12

        def row(items, before)
          begin_page if @y + row_height(items) > room
          items.each_with_index { |item, at| answer(item, before + at + 1, MARGIN + (at * column)) }
          @y += row_height(items)
        end

        def answer(item, number, x)
          page = @pages.last
          page.text("#{number}.", x, @y + 10, size: SIZE, color: Page::QUIET)
          dial? ? small_dial(page, item, x) : page.paragraph(sheet.question(item), x + 6, @y + 28, column - 12, size: SIZE)
          lines(item).each_with_index do |line, at|
            page.text(line, x + (column / 2), @y + ASKED + 2 + (at * LINE), size: SIZE, align: :center)
          end
        end

        def dial? = !%i[numerals time_of_day].include?(sheet.task.sees)

        def small_dial(page, item, x) = Dial.new(page, [x + (column / 2), @y + 6 + DIAL], DIAL, **LOOK).draw(item.time.hands)

        def right(item)
          return sheet.question(item) if sheet.task.notation == :hands
          return "#{item.misreading.texts_in(sheet.conventions)[:name]}; #{words(item.time)}" if item.misreading
          return bounds(item.time) if sheet.task.tolerance_minutes.positive?

          return "#{words(item.time)}, #{digits(item.time)}" if sheet.both?

          sheet.task.write(sheet.task.right_answer(item.time), sheet.conventions)
        end

        # Between which times an estimate is right.
        def bounds(time)
          round = Core::Dial::DialTime.all
          from, to = [-1, 1].map { |way| round[(time.index + (way * sheet.task.tolerance_minutes)) % round.length] }
          format(WORDS[:between], from: digits(from), to: digits(to))
        end

        def problems(problems, before)
          problems.each.with_index(before + 1) do |problem, number|
            begin_page if @y + 16 > room
            text = "#{number}. #{problem.answer} (#{problem.text})"
            @pages.last.text(Letters.of(false).cut(text, @pages.last.inner, SIZE), MARGIN, @y + 10, size: SIZE)
            @y += 15
          end
          @y += 8 if problems.any?
        end
      end
    end
  end
end
