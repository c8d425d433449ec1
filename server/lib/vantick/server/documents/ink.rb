# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # What is written in: lines for words, boxes for digits, boxes to tick. Each is a field of its page.
      class Ink
        # A line for words, for a hand that is seven years old, in points.
        WORDS_WIDTH = 75 * Page::MM
        WORDS_HEIGHT = 12 * Page::MM
        # A box for a digit.
        DIGIT = [22, 31].freeze
        BETWEEN = 2
        SIGN = 10
        TICK = 14

        # @return [Float] how wide so many boxes are, with the sign in their middle where there are four
        def self.digits_width(many) = (many * DIGIT[0]) + ((many - (many / 2)) * BETWEEN) + (many == 4 ? SIGN : 0)

        # @param page [Page]
        # @param sheet [Sheet]
        def initialize(page, sheet)
          @page = page
          @sheet = sheet
        end

        # A line alone.
        def line(x, y, width) = @page.line([x, y], [x + width, y], width: 0.7)

        # A line for the words of an answer, with a dotted one halfway up where the class writes so.
        # @param y [Float] where the letters stand
        def words(item, x, y, width, part: nil)
          line(x, y, width)
          half = y - (WORDS_HEIGHT / 2)
          @page.line([x, half], [x + width, half], width: Page::THINNEST, dash: 2, color: Page::QUIET) if @sheet.dotted?
          @page.field(:words, item, part, x, y - WORDS_HEIGHT, width, WORDS_HEIGHT + 4)
        end

        # Boxes for hours and minutes, with the class's sign between; or for a number.
        # @param center [Float] of them all
        # @param y [Float] upper edge
        def digits(item, center, y, many: 4)
          x = center - (Ink.digits_width(many) / 2)
          many.times do |place|
            x = sign(x, y) if many == 4 && place == 2
            digit(item, place, x, y)
            x += DIGIT[0] + BETWEEN
          end
        end

        # @param y [Float] where the letters stand
        # @param choices [Hash{String => String}] what each stands for, and what it says
        def ticks(item, x, y, choices)
          choices.each do |part, label|
            tick(item, part, x, y)
            @page.text(label, x + TICK + 4, y, size: 11)
            x += Ink.tick_width(label)
          end
        end

        # A box to tick.
        # @param y [Float] where the letters beside it stand
        def tick(item, part, x, y)
          @page.box(x, y - TICK + 3, TICK, TICK)
          @page.field(:tick, item, part, x, y - TICK + 3, TICK, TICK)
        end

        # @return [Float]
        def self.tick_width(label) = TICK + 14 + Letters.of(false).width(label, 11)

        private

        def sign(x, y)
          @page.text(@sheet.conventions.sign, x + (SIGN / 2) - 1, y + (DIGIT[1] * 0.68), size: 16, bold: true, align: :center)
          x + SIGN - BETWEEN
        end

        def digit(item, place, x, y)
          @page.box(x, y, *DIGIT)
          @page.field(:digit, item, place, x, y, *DIGIT)
        end
      end
    end
  end
end
