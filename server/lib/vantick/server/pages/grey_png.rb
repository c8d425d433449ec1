# frozen_string_literal: true

require "zlib"

module Vantick
  module Server
    module Pages
      # A grey picture as PNG (ISO/IEC 15948, from memory): signature, size, one packed stream of rows, end.
      module GreyPng
        SIGNATURE = "\x89PNG\r\n\x1A\n".b

        # @param picture [Core::Paper::GrayImage]
        # @return [String]
        def self.write(picture)
          rows = (0...picture.height).map { |row| "\0".b + picture.bytes.byteslice(row * picture.width, picture.width) }.join
          size = [picture.width, picture.height, 8, 0, 0, 0, 0].pack("N2C5")
          SIGNATURE + chunk("IHDR", size) + chunk("IDAT", Zlib.deflate(rows, Zlib::BEST_SPEED)) + chunk("IEND", "")
        end

        def self.chunk(name, data)
          content = name.b + data
          [data.bytesize].pack("N") + content + [Zlib.crc32(content)].pack("N")
        end
        private_class_method :chunk
      end
    end
  end
end
