# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Cells
        # One exercise: how much room it needs, and how it is drawn. There is one for each way of asking.
        class Base
          # Radius of dials that are worked with, in points: numbers of every look can be read, and hands drawn.
          DIAL = 60
          # What stands above or beside is so far off.
          GAP = 6
          NUMBER = 24

          # @param sheet [Sheet]
          # @param larger [Boolean] whether dials and what is asked are larger, for who sees them better so
          def initialize(sheet, larger: false)
            @sheet = sheet
            @scale = larger ? Core::Teaching::Adjustments.scale : 1
          end

          # @return [Integer] side by side at most
          def columns = 2

          # What an exercise is drawn on.
          # @!attribute at [Integer] which of the sheet's exercises, from 0
          # @!attribute number [Integer] as it is printed
          Place = Struct.new(:page, :at, :number, :x, :y, :width, keyword_init: true) do
            def middle = x + (width / 2)
            def right = x + width
          end

          # @param item [Core::Choosing::SheetChoice::Item]
          # @param place [Place]
          def draw(item, place)
            place.page.text("#{place.number}.", place.x, place.y + 11, size: 11, color: Page::QUIET)
            exercise(item, place, Ink.new(place.page, sheet))
          end

          private

          attr_reader :sheet

          def radius = DIAL * @scale

          def reach = radius * [sheet.look, sheet.helped_look].map { |look| Dial.reach(look) }.max

          def dial(item, page, center, **more) = Dial.new(page, center, radius, **sheet.look_of(item), **more)

          # Where the answer is written, below what is asked: boxes, a line, or both.
          # @return [Float] how high it is
          def answer_height = (boxes ? Ink::DIGIT[1] + GAP : 0) + (boxes && !sheet.both? ? 0 : Ink::WORDS_HEIGHT)

          # @return [Integer, nil] boxes for digits
          def boxes
            return 4 if sheet.both?

            { digits: 4, hour: 2, length: 2 }[sheet.task.notation]
          end

          def answer(place, ink, below)
            ink.digits(place.at, place.middle, below + GAP, many: boxes) if boxes
            return if boxes && !sheet.both?

            ink.words(place.at, place.middle - (Ink::WORDS_WIDTH / 2), below + answer_height, Ink::WORDS_WIDTH)
          end

          # What is asked in words or digits, in one size on all pages.
          # @param width [Float] that there is for it
          # @param below [Float] how far below the upper edge of the cell it stands
          # @param look [Hash] `size` where there is room enough, and `bold`
          def prompt(item, place, width, below, **look)
            usual, bold = { size: 15, bold: true, **look }.values_at(:size, :bold)
            size = Letters.of(bold).fitting(all_asked, width, usual * @scale)
            place.page.text(sheet.question(item), place.x + NUMBER, place.y + below, size:, bold:)
          end

          def all_asked = @all_asked ||= sheet.versions.flat_map(&:items).map { |item| sheet.question(item) }.uniq
        end
      end
    end
  end
end
