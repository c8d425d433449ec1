# frozen_string_literal: true

require "lru_redux"
require "rqrcode"

module Vantick
  module Server
    module Documents
      # A QR code as an SVG path, one unit a square. It takes long to make, and a page that watches asks for it every two seconds.
      module QrPath
        # The last ones looked at.
        DRAWN = LruRedux::ThreadSafeCache.new(50)

        # @param text [String]
        # @return [String] the outline of the dark squares
        def self.of(text)
          DRAWN.getset(text) do
            RQRCode::QRCode.new(text).as_svg(use_path: true, viewbox: true, standalone: false, module_size: 1)[/ d="([^"]+)"/, 1].freeze
          end
        end
      end
    end
  end
end
