# frozen_string_literal: true

require "nokogiri"

module Vantick
  module Server
    module Formats
      # One item of a QTI package: what is seen, where the answer goes, and what is right.
      class QtiItem
        # The hands of the dial that is looked at, by what a task sees.
        HANDS = { dial: "both", dials_and_cards: "both", bare_dial: "both", hour_hand: "hour", minute_hand: "minute" }.freeze
        WORDS = %i[digits words time_of_day].freeze

        # @param task [Core::Marking::Task]
        # @return [Boolean] whether it can be asked in QTI
        def self.fits?(task) = task.notation != :mistake && (HANDS.key?(task.sees) || WORDS.include?(task.sees))

        # @param task [Core::Marking::Task]
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

        # @return [Array<String>] all that can be answered, where that is little enough to choose from
        def choices
          return [] if drawn? || @task.whole_time?

          @choices ||= @task.times.map { |time| @task.right_answer(time) }.uniq.first(Qti::MOST_CHOICES + 1).map { |one| write(one) }
          @choices.length > Qti::MOST_CHOICES ? [] : @choices
        end

        def write(answer) = @task.write(answer, @conventions)

        def choice?(answer) = choices.include?(answer)

        # Names in XML have neither blanks nor signs.
        def choice_id(answer) = "choice-#{choices.index(answer) + 1}"

        # The right answer, and every other way of writing it.
        def ways
          right = drawn? ? @time.to_s : write(@task.right_answer(@time))
          return [choice_id(right)] if choice?(right)
          return [right] unless @task.notation == :words

          [right, *Core::Wording::Phrase.all(@time.dial_time, @conventions)].uniq
        end

        # A drawing is looked at by a person; the time it should show goes with it.
        def response(xml)
          type = drawn? ? "file" : "string"
          type = "identifier" if choices.any?
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
          return drawing(xml, picture) if drawn?

          xml.p { xml.text(picture ? ask : "#{shown} #{ask}") }
          if picture
            xml.p do
              xml.img(src: picture, alt: Qti::TABLE[:alt].fetch(@task.sees, Qti::TABLE[:alt][:dial]), width: Qti::SIDE, height: Qti::SIDE)
            end
          end
          return choosing(xml) if choices.any?

          xml.p { xml.public_send(:"qti-text-entry-interaction", "response-identifier": "RESPONSE", "expected-length": "30") }
        end

        def choosing(xml)
          xml.public_send(:"qti-choice-interaction", "response-identifier": "RESPONSE", "max-choices": "1", shuffle: "false") do
            choices.each { |one| xml.public_send(:"qti-simple-choice", one, identifier: choice_id(one)) }
          end
        end

        def drawing(xml, picture)
          xml.public_send(:"qti-drawing-interaction", "response-identifier": "RESPONSE") do
            xml.public_send(:"qti-prompt", shown)
            xml.object(data: picture, type: "image/svg+xml", width: Qti::SIDE, height: Qti::SIDE) { xml.text(Qti::TABLE[:alt][:blank]) }
          end
        end

        # What stands in the place of a dial.
        def shown
          return Core::Dial::DayFacts.of(@time, @conventions)[:words] if @task.sees == :time_of_day

          @task.sees == :words ? Core::Wording::Phrase.usual(@time.dial_time, @conventions) : @time.digital(@conventions.sign)
        end
      end
    end
  end
end
