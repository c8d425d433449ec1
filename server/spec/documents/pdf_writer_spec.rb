# frozen_string_literal: true

require "open3"
require "pdf-reader"

# By poppler, another reader of PDF than the one that the other specs use.
RSpec.describe Vantick::Server::Documents::PdfWriter do
  let(:school_class) { make_class(%w[Bo Ida]) }
  let(:file) do
    check = make_check(school_class)
    File.join(folder, "sheet.pdf").tap { |path| File.binwrite(path, plain("/api/checks/#{check['id']}/sheet.pdf").body) }
  end

  def poppler(*command)
    said, trouble, status = Open3.capture3(*command)
    expect([status.success?, trouble]).to eq([true, ""])
    said
  end

  it "writes pages that both readers count alike and find the same words on" do
    reader = PDF::Reader.new(file)
    expect(poppler("pdfinfo", file)[/^Pages:\s+(\d+)/, 1].to_i).to eq(reader.page_count)
    words = reader.pages.flat_map { |page| page.text.scan(/[[:alpha:]][[:alpha:]&-]+/) }.tally
    expect(poppler("pdftotext", file, "-").scan(/[[:alpha:]][[:alpha:]&-]+/).tally).to eq(words)
    expect(words.keys).to include("Quarters", "Name", "Answers")
  end

  # ISO 32000-1: language, title, viewer preferences (12.2) and names of subsets (9.6.4), from memory.
  it "says its language and title, is printed as large as it is, and names its typeface's subsets as the standard has it" do
    told = poppler("pdfinfo", file)
    expect(told).to match(/^Title:\s+Quarters · Curlew/).and match(/^Author:\s+Vantick/)
    objects = PDF::Reader.new(file).objects
    root = objects.deref(objects.trailer[:Root])
    expect(root[:Lang]).to eq("en")
    expect(objects.deref(root[:ViewerPreferences])).to include(PrintScaling: :None, DisplayDocTitle: true)
    expect(poppler("pdffonts", file).lines.drop(2).map { |line| line[/\A\S+/] }).to all(match(/\A[A-Z]{6}\+Andika/))
  end

  it "embeds its typeface, so that a page looks alike wherever it is printed" do
    fonts = poppler("pdffonts", file).lines.drop(2)
    expect(fonts.map { |line| line[/\A\S+/] }).to all(match(/Andika/))
    expect(fonts.map { |line| line.split[-5] }.uniq).to eq(["yes"])
  end
end
