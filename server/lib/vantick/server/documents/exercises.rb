# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Exercises in rows and columns, as many pages as they need; a level begins on a page of its own.
      class Exercises < Layout
        GAP = 14
        # Height of an exercise in points, by what the child looks at.
        HEIGHTS = { dial: 132, hour_hand: 132, minute_hand: 132, digits: 46, words: 46, numerals: 46, time_of_day: 58, dial_and_words: 196,
                    bare_dial: 168 }.freeze
        DRAWN_HEIGHT = 152
        DIAL = 56
        HANDS = { hour_hand: "hour", minute_hand: "minute" }.freeze

        private

        def version_pages(version)
          levels = version.items.group_by(&:level)
          levels.flat_map { |level, items| level_pages(version, level, items) }
        end

        def level_pages(version, level, items)
          numbered = items.each.with_index(1).to_a
          pages = []
          until numbered.empty?
            page = new_page
            top = head(page, version, title: level ? "#{sheet.title} · #{format(WORDS[:level], number: level)}" : sheet.title)
            numbered = fill(page, top, numbered)
            pages << page
          end
          level == Core::Choosing::Levels::COUNT ? pages + [problems(version, items)] : pages
        end

        # @return [Array] what did not fit
        def fill(page, top, numbered)
          most = ((page.height - top - 50) / (height + GAP)).floor * columns
          rows = (numbered.first(most).length / columns.to_f).ceil
          pitch = [(page.height - top - 50) / rows, height + (3 * GAP)].min
          numbered.first(most).each_with_index do |(item, number), at|
            row, column = at.divmod(columns)
            exercise(page, item, number, MARGIN + (column * (width(page) + GAP)), top + (row * pitch), width(page))
          end
          numbered.drop(most)
        end

        def columns = sheet.kind.columns

        def width(page) = (page.width - (2 * MARGIN) - (GAP * (columns - 1))) / columns

        def drawn? = sheet.task.notation == :hands

        def height = drawn? ? DRAWN_HEIGHT : HEIGHTS.fetch(sheet.task.sees)

        def exercise(page, item, number, x, y, width) # rubocop:disable Metrics/ParameterLists
          page.text("#{number}.", x, y + 11, size: 11, color: Page::QUIET)
          return draw(page, item, x, y, width) if drawn?

          case sheet.task.sees
          when :digits, :words then rewrite(page, item, x, y, width)
          when :numerals, :time_of_day then fact(page, item, x, y, width)
          when :dial_and_words then spot(page, item, x, y, width)
          when :bare_dial then estimate(page, item, x, y, width)
          else read(page, item, x, y, width)
          end
        end

        def dial(page, center, radius, **more) = Dial.new(page, center, radius, **sheet.look, **more)

        def read(page, item, x, y, width)
          dial(page, [x + 20 + DIAL, y + 6 + DIAL], DIAL, hands: HANDS.fetch(sheet.task.sees, "both")).draw(item.time.hands)
          left = x + 32 + (2 * DIAL)
          right = x + width
          in_digits = sheet.task.notation == :digits
          write_digits(page, left, y + 76, right - left) if in_digits || sheet.both?
          return if in_digits && !sheet.both?

          (sheet.both? ? [112] : [62, 96]).each { |below| write_on(page, left, y + below, right - left) }
        end

        def draw(page, item, x, y, width)
          asked = sheet.task.sees == :digits ? digits(item.time) : words(item.time)
          page.text(asked, x + (width / 2), y + 14, size: 15, bold: true, align: :center)
          dial(page, [x + (width / 2), y + 28 + 58], 57).draw(nil)
        end

        def rewrite(page, item, x, y, width)
          asked = sheet.task.sees == :digits ? digits(item.time) : words(item.time)
          size = [15, 15 * (width * 0.52) / Letters.of(true).width(asked, 15)].min
          page.text(asked, x + 24, y + 24, size:, bold: true)
          left = x + (width * 0.62)
          return write_digits(page, left, y + 27, width * 0.38) if sheet.task.notation == :digits

          left = x + (width * 0.36)
          write_on(page, left, y + 27, width * 0.64)
        end

        # A question in words, and a line for its answer.
        def fact(page, item, x, y, width)
          below = page.paragraph(asked(item), x + 24, y + 14, (width * 0.62) - 24, size: 12)
          write_on(page, x + (width * 0.66), [below - 12, y + 17].max, width * 0.34)
        end

        def spot(page, item, x, y, width)
          dial(page, [x + 20 + 50, y + 6 + 50], 50).draw(item.time.hands)
          left = x + 132
          page.paragraph(format(WORDS[:said], words: item.said.words(sheet.conventions)), left, y + 34, width - 132, size: 12)
          page.text(WORDS[:wrong], x + 20, y + 128, size: 11)
          write_on(page, x + 20, y + 148, width - 20)
          page.text(WORDS[:right], x + 20, y + 176, size: 11)
          write_on(page, x + 54, y + 178, width - 54)
        end

        def estimate(page, item, x, y, width)
          dial(page, [x + (width / 2), y + 62], 56, marks: "none", numerals: sheet.look[:numerals] == "none" ? "none" : "quarters")
            .draw(item.time.hands)
          write_digits(page, x + (width / 2) - 40, y + 146, 80)
        end

        # For those who are ready for reasons.
        def problems(version, items)
          page = new_page
          top = head(page, version, title: "#{sheet.title} · #{format(WORDS[:level], number: Core::Choosing::Levels::COUNT)}",
direction: "")
          WORDS[:problems].zip(items).each.with_index do |(problem, item), at|
            problem(page, problem, item, top + (at * 200)) if item
          end
          page
        end

        def problem(page, problem, item, y)
          dial(page, [MARGIN + 70, y + 70], 62).draw(item.time.hands)
          left = MARGIN + 155
          width = page.width - MARGIN - left
          below = page.paragraph(problem[:text], left, y + 24, width, size: 13)
          4.times { |line| write_on(page, left, below + 18 + (line * 30), width) }
        end
      end
    end
  end
end
