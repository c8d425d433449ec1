# frozen_string_literal: true

require "nokogiri"

module Vantick
  module Server
    module Formats
      # Times in a QTI package or in a single item of one, version 3 or older: of each item the answer that is right, where it is a time.
      class QtiTimes
        # What was found: the times in order, and of each item without one its name and why.
        Found = Struct.new(:times, :words, :left_out)
        VALUES = ".//*[local-name()='qti-correct-response' or local-name()='correctResponse']/*"
        ITEMS = "//*[local-name()='qti-assessment-item' or local-name()='assessmentItem']"

        # @param bytes [String] a zip, or one item
        # @return [Found]
        # @raise [Core::Error]
        def self.read(bytes)
          files = Bundle.zip?(bytes) ? Bundle.read(bytes) : { "item.xml" => bytes }
          items = files.select { |name, _| name.end_with?(".xml") }.flat_map { |name, text| items(name, text) }
          raise Core::Error.new("This file has no question (QTI item).", field: :file) if items.empty?

          new(items).found
        end

        # Nothing is fetched, and nothing outside of the file is looked at.
        def self.items(name, text)
          Nokogiri::XML(text, &:nonet).tap { |doc| raise Nokogiri::XML::SyntaxError, "empty" unless doc.root }.xpath(ITEMS).to_a
        rescue Nokogiri::XML::SyntaxError
          raise Core::Error.new("#{name} is not XML that can be read.", field: :file)
        end
        private_class_method :items

        def initialize(items)
          @items = items
        end

        def found
          read = @items.map { |item| [item, right(item)] }
          given = read.filter_map { |_, answer| answer if answer.is_a?(Core::Wording::Given) }
          left_out = read.reject { |_, answer| answer.is_a?(Core::Wording::Given) }.map { |item, why| { item: item_name(item), why: } }
          Found.new(given.map(&:time).uniq, given.any? && given.none?(&:digits?), left_out)
        end

        private

        # @return [Core::Wording::Given, String] the time, or why there is none
        def right(item)
          values = item.xpath(VALUES).map { |value| choice(item, value.text.strip) }
          return "it has no right answer" if values.empty?
          return "it has #{values.length} right answers" if values.length > 1

          Core::Wording::AnswerReader.read(values.first).find { |given| given.slips.empty? } ||
            "“#{values.first[0, 40]}” is not a time on the clock"
        end

        # Of a choice what is written beside its name.
        def choice(item, value)
          chosen = item.xpath(".//*[@identifier]").find { |one| one["identifier"] == value && one.name.match?(/simple-?choice/i) }
          chosen ? chosen.text.strip : value
        end

        def item_name(item) = (item["title"].to_s.empty? ? item["identifier"].to_s : item["title"])[0, 60]
      end
    end
  end
end
