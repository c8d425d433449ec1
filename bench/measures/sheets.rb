# frozen_string_literal: true

require "prawn"
require "vantick/server"

module Bench
  # What a class's sheets cost, over drawing as many strokes and words with Prawn alone.
  class SheetCost < Family
    # Thirty children, each with a sheet of their own of two pages.
    def sheet_pdf(seed)
      pages = class_pages(seed)
      ours = quickest(3) { Vantick::Server::Documents::PdfWriter.write(pages, title: "Bench", made_at: Time.at(0)) }
      Taken.new(ours / quickest(3) { plain(pages) }, { "pages" => pages.length.to_f, "seconds" => ours })
    end

    def class_pages(seed)
      kind = Choosing::SheetKind.find(:read)
      choice = Choosing::SheetChoice.new(kind:, step: Curriculum::Step.find(:fives), task: WORDS, count: 12)
      readers = Array.new(Sizes[:sheet_children]) { Choosing::SheetChoice::Reader.new }
      versions = choice.versions(readers, seed).map.with_index do |items, at|
        Vantick::Server::Documents::Version.new(name: "Child #{at}", items:, row: at)
      end
      settings = { look: {}, paper: "a4", code: "K7RDX", conventions: Wording::Conventions.default, both: false, origin: "Bench" }
      Vantick::Server::Documents::Sheet.new(kind:, step: Curriculum::Step.find(:fives), task: WORDS, versions:, **settings).pages
    end

    # As many strokes and words, each at a place of its own.
    def plain(pages)
      pdf = Prawn::Document.new(skip_page_creation: true, margin: 0, compress: true)
      pdf.font_families.update("Andika" => { normal: Vantick::Server::Documents::Letters::FILES.fetch(false) })
      pages.each { |page| plain_page(pdf, page.marks) }
      pdf.render
    end

    def plain_page(pdf, marks)
      pdf.start_new_page(size: "A4")
      pdf.font("Andika")
      marks.each_with_index do |mark, at|
        case mark
        when Vantick::Server::Documents::Page::Text then pdf.draw_text(mark.text, at: [at, at], size: mark.points)
        when Vantick::Server::Documents::Page::Line then plain_line(pdf, mark, at)
        when Vantick::Server::Documents::Page::Circle then pdf.stroke_circle([at, at], mark.radius)
        else plain_path(pdf, mark, at)
        end
      end
    end

    def plain_line(pdf, mark, at)
      pdf.line_width = mark.width
      pdf.stroke_line([at, at], [at + 9, at + 5])
    end

    def plain_path(pdf, mark, at)
      mark.steps.map(&:first).each do |kind|
        case kind
        when :move then pdf.move_to([at, at])
        when :line then pdf.line_to([at + 5, at])
        else pdf.curve_to([at + 9, at], bounds: [[at, at + 2], [at + 3, at + 5]])
        end
      end
      pdf.fill
    end

    measure(:sheet_pdf, "time for a class's sheets over plain Prawn with as many strokes and words", "<= 1.5") { |seed| sheet_pdf(seed) }
  end
end
