# frozen_string_literal: true

require "prawn"
require "yaml"

module Vantick
  module Server
    module Documents
      # A copy of everything that is kept of a child, to read: the answers, what else there is, and the pictures of the child's paper.
      class ChildPages
        TEXT = YAML.safe_load_file(File.join(__dir__, "child_pages.yml"), symbolize_names: true).freeze
        # Points from the left at which each column begins, and the size of letters.
        COLUMNS = [0, 70, 190, 240, 400].freeze
        SIZE = 9
        # Points that a picture is high at most.
        PAGE_HEIGHT = 520
        PIECE_HEIGHT = 90

        # @param copy [Hash] as {Store::ChildCopy#to_h} has it
        # @param pictures [Array<Hash>] as {Store::ChildCopy#pictures} has them
        # @param day [String] such as "2026-11-29"
        # @return [String] a PDF
        def self.write(copy, pictures, day:) = new(copy, pictures, day).write

        def initialize(copy, pictures, day)
          @copy = copy
          @pictures = pictures
          @day = day
        end

        def write
          title = format(TEXT[:title], name: @copy[:name])
          @pdf = Prawn::Document.new(page_size: "A4", margin: 48, compress: true,
                                     info: { Title: title, Author: "Vantick", Creator: "Vantick" })
          @pdf.font_families.update("Andika" => { normal: Letters::FILES.fetch(false), bold: Letters::FILES.fetch(true) })
          @pdf.font "Andika"
          heading(title, 18)
          school = [@copy[:class], @copy[:school]].reject { |part| part.to_s.empty? }.join(", ")
          say(format(TEXT[:about], class: school, day: @day))
          answers
          saved_pages
          pictures
          @pdf.render
        end

        private

        def heading(text, size)
          @pdf.move_down 12
          @pdf.text printable(text), size:, style: :bold
          @pdf.move_down 4
        end

        def say(text, size: SIZE) = @pdf.text(printable(text), size:)

        # What the typeface has no letters for is shown as a box, and stops nobody.
        def printable(text) = text.to_s.gsub(/[^[:print:]]/, " ").each_char.map { |letter| Letters.all?(letter) ? letter : "□" }.join

        def answers
          heading(TEXT[:answers], 13)
          return say(TEXT[:none]) if @copy[:answers].empty?

          row(TEXT[:columns], style: :bold)
          @copy[:answers].each { |answer| answer(answer) }
        end

        def answer(answer)
          step = Core::Curriculum::Step.find(answer[:step]).name
          row([answer[:answered_at].to_s[0, 10], step, answer[:time], shown(answer[:answer]), verdict(answer)])
          return if answer[:tries].empty?

          row(["", "", "", format(TEXT[:second], answers: answer[:tries].map { |try| shown(try[:answer]) }.join("; ")), ""])
        end

        # Hands are told in words.
        def shown(answer)
          hands = Core::Wording::HandsReader.read(answer) or return answer
          format(TEXT[:hands], hour: hands.hour_degrees.round, minute: hands.minute_degrees.round)
        end

        def verdict(answer)
          first = TEXT[:verdicts].fetch(answer[:verdict].to_sym, answer[:verdict])
          ruling = answer[:ruling] or return first
          format(TEXT[:ruled], verdict: TEXT[:verdicts].fetch(ruling[:verdict].to_sym, ruling[:verdict]), first:)
        end

        # One line, as high as its longest cell.
        def row(cells, style: :normal)
          widths = [*COLUMNS, @pdf.bounds.width].each_cons(2).map { |from, to| to - from - 6 }
          cells = cells.map { |cell| printable(cell) }
          height = cells.zip(widths).map { |cell, width| @pdf.height_of(cell.empty? ? " " : cell, width:, size: SIZE, style:) }.max
          @pdf.start_new_page if @pdf.cursor < height + 4
          top = @pdf.cursor
          cells.zip(COLUMNS, widths).each do |cell, left, width|
            @pdf.text_box(cell, at: [left, top], width:, height: height + 2, size: SIZE, style:) unless cell.empty?
          end
          @pdf.move_down height + 3
        end

        def saved_pages
          heading(TEXT[:kept], 13)
          @copy[:kept].each { |name, rows| say(format(TEXT[:kept_line], name:, count: rows.length)) }
        end

        def pictures
          return if @pictures.empty?

          heading(TEXT[:pictures], 13)
          @pictures.each { |drawn| picture(drawn) }
        end

        def picture(one)
          high = one[:name].end_with?(".jpg") ? PAGE_HEIGHT : PIECE_HEIGHT
          @pdf.start_new_page if @pdf.cursor < high + 30
          say("#{one[:about]} (#{one[:at][0, 10]})")
          @pdf.image(StringIO.new(one[:bytes]), fit: [@pdf.bounds.width, high])
          @pdf.move_down 8
        rescue Prawn::Errors::UnsupportedImageType
          say("#{one[:name]} can't be shown here.")
        end
      end
    end
  end
end
