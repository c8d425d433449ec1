# frozen_string_literal: true

require "open3"
require "tmpdir"

module Vantick
  module Server
    module Pages
      # A page as it left the printer, before anybody wrote on it: what is printed is taken off what is seen.
      class PrintedPage
        # Points of its picture for a point of paper.
        SCALE = 5.0 / Documents::Page::MM
        DOTS_IN_AN_INCH = SCALE * 72

        # @param page [Documents::Page]
        def initialize(page)
          @picture = drawn(page)
          edges = [[0, 0], [page.width, 0], [page.width, page.height], [0, page.height]]
          @flat = Core::Paper::Homography.new(edges, edges.map { |place| place.map { |side| side * SCALE } })
          @printed = {}
        end

        # @param picture [Core::Paper::GrayImage] of a scanned page
        # @param warp [Core::Paper::Homography] from the page to the picture
        # @param box [Array(Numeric, Numeric, Numeric, Numeric)] in points of the page
        # @yield where the print does not fit
        # @return [Core::Paper::GrayImage] what somebody wrote there
        def written(picture, warp, box, &) = printed(box).taken_from(picture.piece(warp, box, SCALE), &)

        private

        # The same for all who have the page.
        def printed(box) = @printed[box] ||= Core::Paper::Printed.new(@picture.piece(@flat, box, SCALE))

        def drawn(page)
          pdf = Documents::PdfWriter.write([page], title: "")
          program = ["pdftoppm", "-gray", "-r", DOTS_IN_AN_INCH.to_s, "-singlefile", "-"]
          grey, status = Open3.capture2(*program, stdin_data: pdf, binmode: true)
          head = grey.match(/\AP5\s+(\d+)\s+(\d+)\s+\d+\s/n)
          raise Unpacked::Unreadable, "failed" unless status.success? && head

          width, height = head.captures.map(&:to_i)
          Core::Paper::GrayImage.new(width, height, grey.byteslice(head.end(0), width * height))
        end
      end
    end
  end
end
