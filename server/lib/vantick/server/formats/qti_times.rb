# frozen_string_literal: true

require "nokogiri"

module Vantick
  module Server
    module Formats
      # Times in a QTI package or in a single item of one, from version 1.2 on: of each item the answer that is right, where it is a time.
      class QtiTimes
        # What was found: the times in order, and of each item without one its name and why.
        Found = Struct.new(:times, :words, :left_out)
        XML = /\.xml\z/i
        ITEMS = "//*[local-name()='qti-assessment-item' or local-name()='assessmentItem']"
        # Which file each question of a test is in, in its order.
        REFS = "//*[local-name()='qti-assessment-item-ref' or local-name()='assessmentItemRef']/@href"

        # Another program's 7.45 is no slip, whatever sign the class uses.
        ANY_SIGN = %i[separator].freeze

        # @param bytes [String] a zip, or one item
        # @return [Found]
        # @raise [Core::Error]
        def self.read(bytes)
          files = Bundle.zip?(bytes) ? Bundle.read(bytes, folders: true, only: XML) : { "item.xml" => bytes }
          documents = files.to_h { |name, text| [name, document(name, text)] }
          items = ordered(documents).flat_map { |document| items(document) }
          raise Core::Error.new("This file has no question (QTI item).", field: :file) if items.empty?

          new(items).result
        end

        # Nothing is fetched, and nothing outside of the file is looked at.
        def self.document(name, text)
          Nokogiri::XML(text, &:nonet).tap { |doc| raise Nokogiri::XML::SyntaxError, "empty" unless doc.root }
        rescue Nokogiri::XML::SyntaxError
          raise Core::Error.new("#{name} is not XML that can be read.", field: :file)
        end

        # As a test has them; what no test names comes after, by its name.
        def self.ordered(documents)
          named = documents.flat_map do |name, document|
            document.xpath(REFS).map { |href| File.expand_path(href.value, "/#{File.dirname(name)}").delete_prefix("/") }
          end
          documents.sort_by { |name, _| [named.index(name) || named.length, name] }.map(&:last)
        end

        def self.items(document)
          found = document.xpath(ITEMS).map { |item| QtiQuestion.new(item) }
          found.empty? ? document.xpath(OldQtiQuestion::ITEMS).map { |item| OldQtiQuestion.new(item) } : found
        end
        private_class_method :document, :ordered, :items

        # @param items [Array<QtiQuestion, OldQtiQuestion>]
        def initialize(items)
          @items = items
        end

        def result
          read = @items.map { |item| [item, right(item.answers)] }
          given = read.filter_map { |_, answer| answer if answer.is_a?(Core::Wording::ParsedAnswer) }
          left_out = read.reject { |_, answer| answer.is_a?(Core::Wording::ParsedAnswer) }.map { |item, why| { item: item.name, why: } }
          Found.new(given.map(&:time).uniq, given.any? && given.none?(&:digits?), left_out)
        end

        private

        # @return [Core::Wording::ParsedAnswer, String] the time, or why there is none
        def right(values)
          return "it has no right answer" if values.empty?

          read = values.map { |value| Core::Wording::AnswerReader.read(value).find { |given| (given.slips - ANY_SIGN).empty? } }
          return "“#{values.first[0, 40]}” is not a time on the clock" if values.one? && read.first.nil?
          # Several ways to write one time are one answer.
          return read.first if read.all? && read.map(&:time).uniq.one?

          "it has #{values.length} right answers"
        end
      end
    end
  end
end
