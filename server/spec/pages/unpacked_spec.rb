# frozen_string_literal: true

require_relative "drawn_pages"

# Files taken apart by poppler and libvips, in a process of their own.
RSpec.describe Vantick::Server::Pages::Unpacked do
  include DrawnPages

  def pages(file, **how)
    path = File.join(folder, "file")
    File.binwrite(path, file)
    described_class.new(path, **how).to_enum(:each).map do |count, page|
      [count, page&.number, page&.picture&.width, page&.picture&.height]
    end
  end

  it "takes a file apart page by page, at the same size whatever it was, from the one that is wanted" do
    jpegs = [sheet, sheet.resize(0.6), sheet.resize(1.3)].map { |one| one.jpegsave_buffer(Q: 80) }
    pdf = Vantick::Copier.pdf(jpegs)
    expect(pages(pdf).map { |page| page.first(2) }).to eq([[3, nil], [3, 1], [3, 2], [3, 3]])
    expect(pages(pdf, from: 3).map { |page| page[1] }).to eq([nil, 3])
    expect(pages(pdf).drop(1).map { |page| page[3] }.uniq).to eq([1754])
  end

  it "takes photographs the right way up, by what the phone says of them, and pictures with colours and without paper behind" do
    lying = sheet.rot90.copy
    lying = lying.mutate { |drawn| drawn.set_type!(GObject::GINT_TYPE, "orientation", 8) }
    expect(pages(lying.jpegsave_buffer).last).to match([1, 1, be_within(3).of(1240), 1754])
    clear = sheet.bandjoin([sheet, sheet, sheet]).copy(interpretation: :srgb)
    expect(pages(clear.pngsave_buffer).last).to match([1, 1, be_within(3).of(1240), 1754])
  end
end
