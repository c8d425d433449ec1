# frozen_string_literal: true

require "nokogiri"

module Vantick
  module Server
    module Formats
      # One item of a QTI package: what is seen, where the answer goes, and what is right.
      class QtiItem
        DRAWN = "drawing"

        # @param task [Core::Marking::Task]
        # @param time [Core::Dial::DialTime]
        # @return [String, nil] the dial that is looked at or drawn on
        def self.picture(task, time)
          return unless %i[dial hour_hand].include?(task.sees) || task.notation == :hands

          page = Documents::Page.new(size: [Qti::SIDE, Qti::SIDE])
          hands = task.notation == :hands ? nil : time.dial_time.hands
          Documents::Dial.new(page, [Qti::SIDE / 2, Qti::SIDE / 2], (Qti::SIDE / 2) - 4, **only(task)).draw(hands)
          Documents::SvgWriter.write(page)
        end

        def self.only(task) = task.sees == :hour_hand ? { hands: "hour" } : {}
        private_class_method :only

        def initialize(name, title, task, time, conventions)
          @name = name
          @title = title
          @task = task
          @time = time
          @conventions = conventions
        end

        # @param picture [String, nil] the name of its file
        # @return [String]
        def xml(picture)
          Nokogiri::XML::Builder.new(encoding: "UTF-8") do |xml|
            xml.public_send(:"qti-assessment-item", xmlns: Qti::TABLE[:namespace], identifier: @name, title: @title, label: @task.id,
                                                    adaptive: "false", "time-dependent": "false", "xml:lang": "en") do
              response(xml)
              outcome(xml)
              xml.public_send(:"qti-item-body") { body(xml, picture) }
              xml.public_send(:"qti-response-processing", template: Qti::TABLE[:scoring]) unless drawn?
            end
          end.to_xml
        end

        private

        def drawn? = @task.notation == :hands

        # The right answer, and every other way of writing it.
        def ways
          right = drawn? ? @time.to_s : @task.write(@task.right_answer(@time), @conventions)
          return [right] unless @task.notation == :words

          [right, *Core::Wording::Phrase.all(@time.dial_time, @conventions)].uniq
        end

        # A drawing is looked at by a person; the time it should show goes with it.
        def response(xml)
          type = drawn? ? "file" : "string"
          xml.public_send(:"qti-response-declaration", identifier: "RESPONSE", cardinality: "single", "base-type": type) do
            next if drawn?

            xml.public_send(:"qti-correct-response") { xml.public_send(:"qti-value", ways.first) }
            xml.public_send(:"qti-mapping", "default-value": "0") do
              ways.each { |way| xml.public_send(:"qti-map-entry", "map-key": way, "mapped-value": "1", "case-sensitive": "false") }
            end
          end
        end

        def outcome(xml)
          scored = drawn? ? { "external-scored": "human" } : {}
          xml.public_send(:"qti-outcome-declaration", identifier: "SCORE", cardinality: "single", "base-type": "float",
                                                      "normal-maximum": "1", **scored)
        end

        def body(xml, picture)
          ask = Qti::TABLE[:ask].fetch(@task.notation, Qti::TABLE[:ask][:other])
          xml.p { xml.text(drawn? || picture ? ask : "#{shown} #{ask}") }
          return drawing(xml, picture) if drawn?

          xml.p { xml.img(src: picture, alt: Qti::TABLE[:alt].fetch(@task.sees), width: Qti::SIDE, height: Qti::SIDE) } if picture
          xml.p { xml.public_send(:"qti-text-entry-interaction", "response-identifier": "RESPONSE", "expected-length": "30") }
        end

        def drawing(xml, picture)
          xml.public_send(:"qti-drawing-interaction", "response-identifier": "RESPONSE") do
            xml.public_send(:"qti-prompt", shown)
            xml.object(data: picture, type: "image/svg+xml", width: Qti::SIDE, height: Qti::SIDE) { xml.text(Qti::TABLE[:alt][:blank]) }
          end
        end

        # What stands in the place of a dial.
        def shown
          @task.sees == :words ? Core::Wording::Phrase.usual(@time.dial_time, @conventions) : @time.digital(@conventions.sign)
        end
      end
    end
  end
end
