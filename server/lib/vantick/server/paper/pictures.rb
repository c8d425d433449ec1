# frozen_string_literal: true

module Vantick
  module Server
    module Paper
      # Pictures of pages and of pieces of paper.
      class Pictures < Handler
        def read_page_picture = picture(:scan_pages, :scan_page_id, params.scan_page_id)
        def read_piece_picture = picture(:scan_pieces, :piece_id, params.piece_id)

        private

        def picture(table, field, id)
          found = store.scans.picture(table, id) || raise(Store::Missing.new("picture", id, field: field.to_s))
          reply(found.to_s, headers: { "cache-control" => "private, max-age=3600" })
        end
      end
    end
  end
end
