# frozen_string_literal: true

require "lru_redux"
require "rqrcode"

module Vantick
  module Server
    module Documents
      # By what a page is found again when it comes back from a copier or a phone: four marks in its corners, one of them open, and a
      # code that says which sheet, whose and which page. Never a name.
      class Finder
        # Side of a mark, and of the code without the white round it, in points.
        MARK = 6 * Page::MM
        CODE = 37
        # Of the open mark, what is white.
        OPEN = 0.3

        # A code is worked out for ten milliseconds; a class's sheet is looked at, printed and read with the same ones.
        CODES = LruRedux::ThreadSafeCache.new(256)

        # Of the code from the right margin of a page, and from its upper one; on a slip above the lower mark.
        BESIDE = 8
        BELOW = 2
        ABOVE = 10

        # @!attribute code [String] of the sheet
        # @!attribute child [String] the child's number, the letter of a sheet that goes round without a name, or 0
        # @!attribute page [Integer] from 1
        Name = Struct.new(:code, :child, :page, keyword_init: true) do
          def to_s = "#{code}/#{child}/#{page}"
        end

        class << self
          # @param text [String] what a code said
          # @return [Name, nil]
          def read(text)
            found = %r{\A([0-9A-Z]{4,8})/(\d{1,12}|[A-Z]{1,2})/(\d{1,3})\z}.match(text.to_s.strip) or return
            Name.new(code: found[1], child: found[2], page: found[3].to_i)
          end

          # @param area [Array(Float, Float, Float, Float)] x, y, width and height of what the marks stand in the corners of
          # @return [Array<Array(Float, Float)>] the middles of the marks: upper left, upper right, lower right, lower left
          def middles(area)
            x, y, width, height = area
            half = MARK / 2
            [[x + half, y + half], [x + width - half, y + half], [x + width - half, y + height - half], [x + half, y + height - half]]
          end

          # @param area [Array(Float, Float, Float, Float)]
          # @return [Array(Float, Float)] the upper left corner of the code on a page
          def on_page(area)
            [area[0] + area[2] + Layout::EDGE - Page::MARGIN - BESIDE - CODE, area[1] - Layout::EDGE + Page::MARGIN + BELOW]
          end

          # @return [Array(Float, Float)] the same on a slip
          def on_slip(area)
            [area[0] + area[2] + Layout::EDGE - Page::MARGIN - CODE, area[1] + area[3] + Slips::CUT - MARK - ABOVE - CODE]
          end

          # @param name [Name]
          # @param place [Array(Float, Float)] the code's upper left corner
          def draw(page, name, area, place)
            page.area = area
            middles(area).each_with_index { |(x, y), at| mark(page, x - (MARK / 2), y - (MARK / 2), open: at.zero?) }
            code(page, name.to_s, place)
          end

          private

          def mark(page, x, y, open:)
            page.block(x, y, MARK, MARK)
            return unless open

            white = MARK * OPEN
            page.block(x + ((MARK - white) / 2), y + ((MARK - white) / 2), white, white, color: "FFFFFF")
          end

          # One outline for the dark squares that lie side by side.
          def code(page, text, place)
            modules = CODES.getset(text) { RQRCode::QRCode.new(text, level: :m, mode: :alphanumeric).modules }
            side = CODE.fdiv(modules.length)
            steps = modules.each_with_index.flat_map do |row, down|
              runs(row).flat_map { |from, to| square(place[0] + (from * side), place[1] + (down * side), (to - from) * side, side) }
            end
            page.path(steps, fill: "000000")
          end

          def runs(row)
            row.each_with_index.chunk_while { |(one, _), (other, _)| one == other }.select { |run| run.first[0] }
               .map { |run| [run.first[1], run.last[1] + 1] }
          end

          def square(x, y, width, height)
            [[:move, x, y], [:line, x + width, y], [:line, x + width, y + height], [:line, x, y + height], [:line, x, y]]
          end
        end
      end
    end
  end
end
