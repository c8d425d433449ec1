# frozen_string_literal: true

require "cgi"

module Vantick
  module Server
    module Documents
      # Writes a page as SVG 1.1, the same marks as in the PDF.
      module SvgWriter
        ANCHORS = { left: "start", center: "middle", right: "end" }.freeze
        LETTERS = { move: "M", line: "L", curve: "C" }.freeze

        class << self
          # @param page [Page]
          # @param embedded [Boolean] whether the typeface goes with it, where nothing is known of the machine that shows it
          # @return [String]
          def write(page, embedded: false)
            width, height = [page.width, page.height].map { |length| number(length) }
            size = %(width="#{width}" height="#{height}" viewBox="0 0 #{width} #{height}")
            marks = page.marks.map { |mark| mark(mark) }.join
            %(<svg xmlns="http://www.w3.org/2000/svg" version="1.1" #{size} font-family="Andika, sans-serif">#{if embedded
                                                                                                                 typeface(page)
                                                                                                               end}#{marks}</svg>)
          end

          private

          # The letters that the page has, of either weight.
          def typeface(page)
            texts = page.marks.grep(Page::Text)
            faces = { true => 700, false => 400 }.filter_map do |bold, weight|
              letters = texts.select { |text| text.bold == bold }.map(&:text).join
              face(Letters.of(bold).subset(letters), weight) unless letters.empty?
            end
            "<style>#{faces.join}</style>" if faces.any?
          end

          def face(file, weight)
            "@font-face{font-family:Andika;font-weight:#{weight};src:url(data:font/ttf;base64,#{[file].pack('m0')})}"
          end

          def mark(mark)
            case mark
            when Page::Line then line(mark)
            when Page::Circle then circle(mark)
            when Page::Path then %(<path d="#{outline(mark.steps)}"#{paint(mark)}/>)
            when Page::Text then text(mark)
            end
          end

          def circle(mark)
            x, y = mark.center.map { |place| number(place) }
            %(<circle cx="#{x}" cy="#{y}" r="#{number(mark.radius)}"#{paint(mark)}/>)
          end

          def line(mark)
            dash = %( stroke-dasharray="#{mark.dash}") if mark.dash
            ends = %w[x1 y1 x2 y2].zip([*mark.from, *mark.to]).map { |name, value| %(#{name}="#{number(value)}") }.join(" ")
            %(<line #{ends} stroke="##{mark.color}" stroke-width="#{number(mark.width)}"#{dash}/>)
          end

          def paint(mark)
            stroke = mark.stroke ? %( stroke="##{mark.stroke}" stroke-width="#{number(mark.width)}") : ""
            %( fill="#{mark.fill ? "##{mark.fill}" : 'none'}"#{stroke})
          end

          def outline(steps) = steps.map { |kind, *places| LETTERS.fetch(kind) + places.map { |place| number(place) }.join(" ") }.join

          def text(mark)
            bold = ' font-weight="700"' if mark.bold
            place = %(x="#{number(mark.x)}" y="#{number(mark.y)}" text-anchor="#{ANCHORS.fetch(mark.align)}"#{turned(mark)})
            %(<text #{place} font-size="#{number(mark.points)}" fill="##{mark.color}"#{bold}>#{CGI.escapeHTML(mark.text)}</text>)
          end

          def turned(mark)
            %( transform="rotate(#{number(mark.degrees)} #{number(mark.x)} #{number(mark.y)})") unless mark.degrees.to_i.zero?
          end

          def number(value) = format("%<value>g", value: value.to_f.round(2))
        end
      end
    end
  end
end
