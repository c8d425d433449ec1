# frozen_string_literal: true

require "nokogiri"

# A small player of QTI items, of a make of its own: it does what an item's response processing says, and knows nothing of clocks.
class QtiPlayer
  # @param xml [String] an item
  def initialize(xml)
    @item = Nokogiri::XML(xml, &:strict).remove_namespaces!
  end

  # @param response [String, nil] what was chosen or typed
  # @return [Array(String, String)] the score, and what is shown
  def play(response)
    @response = response
    @outcomes = {}
    @item.xpath("//qti-response-processing/qti-response-condition").each { |condition| run(condition) }
    shown = @item.at_xpath("//qti-modal-feedback[@identifier='#{@outcomes['FEEDBACK']}'][@show-hide='show']")
    [@outcomes["SCORE"], shown&.text.to_s.strip]
  end

  COMPARED = {
    "qti-is-null" => :nil?.to_proc,
    "qti-gt" => ->(left, right) { left.to_f > right.to_f },
    "qti-match" => ->(left, right) { left == right },
    "qti-string-match" => ->(left, right) { left.to_s.casecmp?(right) }
  }.freeze

  private

  def run(condition)
    branch = condition.elements.find { |element| element.name == "qti-response-else" || true?(element.elements.first) } or return
    branch.xpath("qti-set-outcome-value").each { |set| @outcomes[set["identifier"]] = value(set.elements.first) }
  end

  def true?(node)
    return node.elements.any? { |element| true?(element) } if node.name == "qti-or"

    COMPARED.fetch(node.name).call(*node.elements.map { |element| value(element) })
  end

  def value(node)
    case node.name
    when "qti-variable" then @response
    when "qti-base-value" then node.text
    when "qti-map-response" then mapped
    else raise "no such value: #{node.name}"
    end
  end

  def mapped
    entry = @item.xpath("//qti-map-entry").find { |one| one["map-key"].casecmp?(@response.to_s) }
    entry ? entry["mapped-value"] : @item.at_xpath("//qti-mapping/@default-value").value
  end
end
