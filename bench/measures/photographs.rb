# frozen_string_literal: true

require "tempfile"
require_relative "../paper/other_fields"
require_relative "../paper/other_camera"

module Bench
  # Photographs of a page, taken with a camera of another make than the demo's, up to so far aslant.
  class Photographs < Family
    Server = Vantick::Server
    CODE = "9MTVC"
    TILTS = [0, 10, 20].freeze

    def page
      @page ||= begin
        school = OtherFields::WREN
        maker = Server::Sheets::SheetMaker.new(school, { seed: 3, own_pages: true, kind: "draw", step: "minutes", task: "digital_to_dial" })
        sheet = maker.sheet(made_at: "2026-03-02T08:00:00Z")
        sheet.class.new(**sheet.to_h, code: CODE).pages.first
      end
    end

    # Whether its code is read, through the file as it comes from a phone.
    def found?(jpeg)
      Tempfile.create(["photograph", ".jpg"], binmode: true) do |file|
        file.write(jpeg)
        file.flush
        taken = Server::Pages::Unpacked.new(file.path).enum_for(:each).filter_map { |_, one| one }.first
        return Server::Pages::Found.of(taken.picture).any? { |piece| piece.name.to_s.include?(CODE) }
      end
    end

    def share(kind, tilt, seed)
      taken = Array.new(Sizes[:photographs]) { |at| OtherCamera.new(Random.new((seed * 1000) + at), kind).take(page, tilt) }
      taken.count { |jpeg| found?(jpeg) }.fdiv(taken.length)
    end

    measure(:photographs_found, "photographs from up to 20 degrees aslant: the share of pages found", ">= 0.95") do |seed|
      plain = TILTS.to_h { |tilt| [tilt, share(:plain, tilt, seed)] }
      parts = plain.transform_keys { |tilt| "#{tilt} degrees" }
      Taken.new(plain.values.sum / plain.length, { **parts, "10 degrees, out of focus and in a shadow" => share(:hard, 10, seed) })
    end
  end
end
