# frozen_string_literal: true

require "nokogiri"

module Vantick
  module Server
    module Formats
      # One item of a QTI package: what is seen, where the answer goes, and what is right.
      class QtiItem
        # The hands of the dial that is looked at, by what a task sees.
        HANDS = { dial: "both", bare_dial: "both", hour_hand: "hour", minute_hand: "minute" }.freeze
        WORDS = %i[digits words time_of_day].freeze

        # @param task [Core::Tasks::Task]
        # @return [Boolean] whether it can be asked in QTI
        def self.fits?(task) = task.notation != :mistake && (HANDS.key?(task.sees) || WORDS.include?(task.sees))

        # @param task [Core::Tasks::Task]
        # @param time [Core::Dial::DialTime]
        # @return [String, nil] the dial that is looked at or drawn on
        def self.picture(task, time)
          drawn = task.notation == :hands
          return unless HANDS.key?(task.sees) || drawn

          page = Documents::Page.new(size: [Qti::SIDE, Qti::SIDE])
          look = { hands: HANDS.fetch(task.sees, "both"), numerals: task.sees == :bare_dial ? "none" : "all" }
          Documents::Dial.new(page, [Qti::SIDE / 2, Qti::SIDE / 2], (Qti::SIDE / 2) - 4, **look).draw(drawn ? nil : time.dial_time.hands)
          Documents::SvgWriter.write(page)
        end

        # @param name [String] a name in XML
        # @param title [String]
        # @param task [Core::Tasks::Task]
        # @param time [Core::Dial::DialTime]
        # @param conventions [Core::Wording::Conventions]
        def initialize(name, title, task, time, conventions)
          @name = name
          @title = title
          @task = task
          @time = time
          @conventions = conventions
          @scoring = QtiScoring.new(task, time, conventions)
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
              QtiProcessing.new(@scoring, value_type, method(:value)).write(xml) unless @scoring.drawn?
            end
          end.to_xml
        end

        private

        def choices = @scoring.choices

        # Names in XML have neither blanks nor signs.
        def value(answer) = choices.any? ? "choice-#{choices.index(answer) + 1}" : answer

        def value_type
          return "file" if @scoring.drawn?

          choices.any? ? "identifier" : "string"
        end

        # A drawing is looked at by a person.
        def response(xml)
          xml.public_send(:"qti-response-declaration", identifier: "RESPONSE", cardinality: "single", "base-type": value_type) do
            next if @scoring.drawn?

            ways = @scoring.right.map { |way| value(way) }
            xml.public_send(:"qti-correct-response") { xml.public_send(:"qti-value", ways.first) }
            xml.public_send(:"qti-mapping", "default-value": "0") do
              ways.each { |way| xml.public_send(:"qti-map-entry", "map-key": way, "mapped-value": "1", "case-sensitive": "false") }
            end
          end
        end

        def outcome(xml)
          scored = @scoring.drawn? ? { "external-scored": "human" } : {}
          xml.public_send(:"qti-outcome-declaration", identifier: "SCORE", cardinality: "single", "base-type": "float",
                                                      "normal-maximum": "1", **scored)
          return if @scoring.drawn?

          xml.public_send(:"qti-outcome-declaration", identifier: QtiProcessing::FEEDBACK, cardinality: "single", "base-type": "identifier")
        end

        def body(xml, picture)
          ask = Core::Desk::DeskTask.for(@task).ask
          return drawing(xml, picture, ask) if @scoring.drawn?

          xml.p { xml.text(picture ? ask : "#{shown} #{ask}") }
          if picture
            xml.p do
              xml.img(src: picture, alt: Qti::TABLE[:alt].fetch(@task.sees, Qti::TABLE[:alt][:dial]), width: Qti::SIDE, height: Qti::SIDE)
            end
          end
          return choosing(xml) if choices.any?

          how = Qti::TABLE[:how][@task.notation] and xml.p(how)
          xml.p { xml.public_send(:"qti-text-entry-interaction", "response-identifier": "RESPONSE", "expected-length": "30") }
        end

        def choosing(xml)
          xml.public_send(:"qti-choice-interaction", "response-identifier": "RESPONSE", "max-choices": "1", shuffle: "false") do
            choices.each { |choice| xml.public_send(:"qti-simple-choice", choice, identifier: value(choice)) }
          end
        end

        def drawing(xml, picture, ask)
          xml.public_send(:"qti-drawing-interaction", "response-identifier": "RESPONSE") do
            xml.public_send(:"qti-prompt", "#{shown}. #{ask}")
            xml.object(data: picture, type: "image/svg+xml", width: Qti::SIDE, height: Qti::SIDE) { xml.text(Qti::TABLE[:alt][:blank]) }
          end
        end

        # What stands in the place of a dial.
        def shown
          return Core::Wording::DayFacts.of(@time, @conventions)[:words] if @task.sees == :time_of_day

          @task.sees == :words ? Core::Wording::Phrase.usual(@time.dial_time, @conventions) : @time.digital(@conventions.sign)
        end
      end
    end
  end
end
