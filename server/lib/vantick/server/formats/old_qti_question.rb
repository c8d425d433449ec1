# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # A question of QTI 1.2, as learning platforms still export it (IMS, 2002; from memory).
      class OldQtiQuestion
        ITEMS = "//*[local-name()='item' and .//*[local-name()='presentation']]"
        # A condition that gives points, and what it asks for.
        CONDITIONS = ".//*[local-name()='respcondition'][.//*[local-name()='setvar' and number(text()) > 0]]"
        EQUALS = ".//*[local-name()='conditionvar']//*[local-name()='varequal'][not(ancestor::*[local-name()='not'])]"
        LABEL = ".//*[local-name()='response_label']"
        TEXT = ".//*[local-name()='mattext']"

        # @param item [Nokogiri::XML::Element]
        def initialize(item)
          @item = item
        end

        # @return [String] as it is called where it comes from
        def name = (@item["title"].to_s.empty? ? @item["ident"].to_s : @item["title"])[0, QtiQuestion::LONGEST]

        # @return [Array<String>] what is right
        def answers
          @item.xpath(CONDITIONS).flat_map { |condition| condition.xpath(EQUALS).map { |value| choice(value.text.strip) } }.uniq
        end

        private

        # What is written beside a choice may be HTML.
        def choice(value)
          label = @item.xpath(LABEL).find { |candidate| candidate["ident"] == value } or return value
          Nokogiri::HTML(label.xpath(TEXT).map(&:text).join(" ")).text.strip
        end
      end
    end
  end
end
