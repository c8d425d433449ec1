# frozen_string_literal: true

# Web Content Accessibility Guidelines 2.2, relative luminance and contrast ratio, as the standard defines them.
RSpec.describe "The colours" do
  def luminance(hex)
    red, green, blue = hex.delete("#").scan(/../).map do |part|
      share = part.to_i(16) / 255.0
      share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055)**2.4
    end
    (0.2126 * red) + (0.7152 * green) + (0.0722 * blue)
  end

  def contrast(one, other)
    lighter, darker = [luminance(one), luminance(other)].minmax.reverse
    (lighter + 0.05) / (darker + 0.05)
  end

  # Both sets: the usual one, and that of the wall in a dark room, which changes some of it.
  sets = lambda do
    usual, dim = File.read(File.join(ROOT, "web/src/theme/tokens.scss")).split(/^\.dim \{/)
    named = usual.scan(/^\$([\w-]+): (#\h{6});/).to_h
    found = [usual, dim].map do |text|
      text.scan(/--v-([\w-]+): (?:\#\{\$([\w-]+)\}|(#\h{6}));/).to_h { |name, token, hex| [name, hex || named.fetch(token)] }
    end
    { "light" => found.first, "dark" => found.first.merge(found.last) }
  end

  # The standard's own worked values: black on white 21 to 1, a colour on itself 1 to 1; #767676 on white is the lightest grey that
  # passes 4.5 to 1 (from memory, "Understanding success criterion 1.4.3").
  it "are measured as the standard does" do
    expect(contrast("#000000", "#ffffff")).to be_within(0.001).of(21)
    expect(contrast("#a3372b", "#a3372b")).to eq(1)
    expect([contrast("#767676", "#ffffff"), contrast("#777777", "#ffffff")]).to match([be >= 4.5, be < 4.5])
  end

  sets.call.each do |light, tokens|
    it "of words in a #{light} room stand out from everything that lies behind words, 4.5 to 1 at least (success criterion 1.4.3)" do
      behind = %w[paper card shade hour-tint cover].product(%w[ink quiet hour]) + %w[paper card].product(%w[right misread slip minute])
      behind += %w[past to gap noon].product(%w[ink]) + [%w[misread-tint misread], %w[slip-tint slip], %w[ink paper], %w[night paper]]
      low = behind.to_h { |one, other| ["#{other} on #{one}", contrast(tokens.fetch(one), tokens.fetch(other)).round(2)] }
      expect(low.select { |_, ratio| ratio < 4.5 }).to eq({})
    end

    it "of hands, edges and marks in a #{light} room stand out from what lies behind them, 3 to 1 at least (success criterion 1.4.11)" do
      behind = %w[paper card].product(%w[hour minute ink edge right misread slip])
      low = behind.to_h { |one, other| ["#{other} on #{one}", contrast(tokens.fetch(one), tokens.fetch(other)).round(2)] }
      expect(low.select { |_, ratio| ratio < 3 }).to eq({})
    end
  end
end
