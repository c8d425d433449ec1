# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # The answers on pages of their own: every exercise as a small dial with the right answer, drawn hands and all.
      class Answers < Layout
        COLUMNS = 6
        ROW = 96

        # @return [Array<Page>]
        def pages
          @pages = []
          begin_page
          versions.each { |version| version(version) }
          @pages
        end

        private

        # What is the same for all is answered once, for nobody in particular.
        def versions
          same = sheet.versions.map(&:items).uniq.one?
          same ? [Version.new(name: "", items: sheet.versions.first.items)] : sheet.versions
        end

        def begin_page
          page = new_page
          page.text("#{WORDS[:answers]}: #{sheet.title}", MARGIN, MARGIN + 14, size: 17, bold: true)
          page.text(sheet.kind.direction(sheet.task, sheet.conventions), MARGIN, MARGIN + 36, color: Page::QUIET)
          foot(page)
          @pages << page
          @y = MARGIN + 56
        end

        def version(version)
          rows = version.items.each_slice(COLUMNS).to_a
          heading = version.name.empty? ? 0 : 18
          begin_page if @y + heading + ROW > room
          @pages.last.text(version.name, MARGIN, @y + 10, bold: true) if heading.positive?
          @y += heading
          rows.each_with_index { |items, at| row(items, at * COLUMNS) }
        end

        def row(items, before)
          begin_page if @y + ROW > room
          width = (@pages.last.width - (2 * MARGIN)) / COLUMNS
          items.each_with_index { |item, at| answer(item, before + at + 1, MARGIN + (at * width), width) }
          @y += ROW
        end

        def room = @pages.last.height - 40

        def answer(item, number, x, width)
          page = @pages.last
          page.text("#{number}.", x, @y + 10, size: 9, color: Page::QUIET)
          asked? ? page.paragraph(asked(item), x + 6, @y + 28, width - 12, size: 9) : small_dial(page, item, x, width)
          Letters.of(false).lines(right(item), width - 4, 9).each_with_index do |line, at|
            page.text(line, x + (width / 2), @y + 70 + (at * 11), size: 9, align: :center)
          end
        end

        def asked? = %i[numerals time_of_day].include?(sheet.task.sees)

        def small_dial(page, item, x, width) = Dial.new(page, [x + (width / 2), @y + 32], 26).draw(item.time.hands)

        def right(item)
          return words(item.time) if sheet.task.notation == :hands && sheet.task.sees == :words
          return digits(item.time) if sheet.task.notation == :hands
          return "#{item.misreading.texts_in(sheet.conventions)[:name]}; #{words(item.time)}" if item.misreading

          sheet.both? ? "#{words(item.time)}, #{digits(item.time)}" : written(item.time)
        end
      end
    end
  end
end
