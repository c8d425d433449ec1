# frozen_string_literal: true

module Vantick
  module Server
    module Paper
      # Pictures of pages and of pieces of paper.
      class Pictures < Resource
        get("/api/scan-pages/:scan_page_id/picture") { picture(:scan_pages, :scan_page_id, "image/jpeg") }
        get("/api/pieces/:piece_id/picture") { picture(:scan_pieces, :piece_id, "image/png") }

        private

        def picture(table, parameter, type)
          found = store.scans.picture(table, input[parameter])
          raise Store::Missing.new("picture", input[parameter], field: parameter.to_s) unless found

          content_type type
          headers "cache-control" => "private, max-age=3600"
          found.to_s
        end
      end
    end
  end
end
