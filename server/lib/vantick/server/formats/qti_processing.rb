# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # How a QTI item is scored, and which sentence a child is told, as the standard's response processing says it.
      class QtiProcessing
        FEEDBACK = "FEEDBACK"
        MATCH = { "string" => [:"qti-string-match", { "case-sensitive": "false" }], "identifier" => [:"qti-match", {}] }.freeze

        # @param scoring [QtiScoring]
        # @param type [String] of the response, one of {MATCH}'s keys
        # @param value [Proc] gives what stands in a response for an answer
        def initialize(scoring, type, value)
          @scoring = scoring
          @type = type
          @value = value
        end

        # @param xml [Nokogiri::XML::Builder] within an item
        def write(xml)
          right, other = @scoring.beside
          xml.public_send(:"qti-response-processing") { xml.public_send(:"qti-response-condition") { branches(xml, right, other) } }
          [right, *@scoring.misreadings, other].each { |choice| sentence(xml, choice) }
        end

        private

        # What is right by the mapping, then each mistake, then the rest. Of an empty answer nothing is told.
        def branches(xml, right, other)
          xml.public_send(:"qti-response-if") do
            xml.public_send(:"qti-is-null") { response(xml) }
            score(xml, "0")
          end
          mapped(xml, right)
          @scoring.misreadings.each { |misreading| mistake(xml, misreading) }
          xml.public_send(:"qti-response-else") { outcomes(xml, "0", other) }
        end

        def mapped(xml, right)
          xml.public_send(:"qti-response-else-if") do
            xml.public_send(:"qti-gt") do
              xml.public_send(:"qti-map-response", identifier: "RESPONSE")
              base(xml, "float", "0")
            end
            outcomes(xml, "1", right)
          end
        end

        def mistake(xml, one)
          match, more = MATCH.fetch(@type)
          xml.public_send(:"qti-response-else-if") do
            xml.public_send(:"qti-or") do
              one.answers.each do |answer|
                xml.public_send(match, more) do
                  response(xml)
                  base(xml, @type, @value.call(answer))
                end
              end
            end
            outcomes(xml, "0", one)
          end
        end

        def response(xml) = xml.public_send(:"qti-variable", identifier: "RESPONSE")

        def base(xml, type, value) = xml.public_send(:"qti-base-value", value, "base-type": type)

        def score(xml, value) = xml.public_send(:"qti-set-outcome-value", identifier: "SCORE") { base(xml, "float", value) }

        def outcomes(xml, points, one)
          score(xml, points)
          xml.public_send(:"qti-set-outcome-value", identifier: FEEDBACK) { base(xml, "identifier", one.name) }
        end

        def sentence(xml, one)
          xml.public_send(:"qti-modal-feedback", "outcome-identifier": FEEDBACK, identifier: one.name, "show-hide": "show") do
            xml.public_send(:"qti-content-body") { xml.p(one.sentence) }
          end
        end
      end
    end
  end
end
