# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # A question of a QTI package, version 2 or 3.
      class QtiQuestion
        VALUES = ".//*[local-name()='qti-correct-response' or local-name()='correctResponse']/*"
        # Where points are given for answers, the right ones have the most.
        ENTRIES = ".//*[local-name()='qti-map-entry' or local-name()='mapEntry']"
        KEYS = %w[map-key mapKey].freeze
        POINTS = %w[mapped-value mappedValue].freeze
        CHOICE = /\A(?:qti-)?(?:simple|inline)-?choice\z/i
        FEEDBACK = ".//*[contains(local-name(), 'feedback')]"
        LONGEST = 60

        # @param item [Nokogiri::XML::Element]
        def initialize(item)
          @item = item
        end

        # @return [String] as it is called where it comes from
        def name = (@item["title"].to_s.empty? ? @item["identifier"].to_s : @item["title"])[0, LONGEST]

        # @return [Array<String>] what is right
        def answers
          values = @item.xpath(VALUES).map { |value| value.text.strip }
          (values.empty? ? mapped : values).map { |value| choice(value) }
        end

        private

        def mapped
          points = @item.xpath(ENTRIES).to_h { |entry| [first_text(entry, KEYS), first_text(entry, POINTS).to_f] }
          most = points.values.max
          most.to_f.positive? ? points.select { |_, many| many == most }.keys : []
        end

        def first_text(entry, names) = names.filter_map { |name| entry[name] }.first.to_s

        # Of a choice what is written beside its name, without what is said once it is chosen.
        def choice(value)
          chosen = @item.xpath(".//*[@identifier]").find { |node| node["identifier"] == value && node.name.match?(CHOICE) } or return value
          chosen.dup.tap { |copy| copy.xpath(FEEDBACK).each(&:remove) }.text.strip
        end
      end
    end
  end
end
