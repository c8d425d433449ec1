# frozen_string_literal: true

require "pdf-reader"

RSpec.describe "A check on paper", :demo do
  # What the button prints, read with another library.
  def printed
    address = find_link("Print")[:href]
    script = "const done = arguments[1]; fetch(arguments[0]).then((told) => told.arrayBuffer())" \
             ".then((bytes) => done(btoa(Array.from(new Uint8Array(bytes), (one) => String.fromCharCode(one)).join(''))))"
    data = Base64.decode64(page.evaluate_async_script(script, address))
    PDF::Reader.new(StringIO.new(data)).pages.map(&:text)
  end

  it "prints a slip for each child, and the answers on paper of their own" do
    visit "/check/3/slips"
    expect(page).to have_css(".sheet-page", minimum: 2).and have_css(".sheet-page text", text: "Anneke")
    pages = printed
    names = Vantick::Demo::TABLE[:children]
    expect(names).to all(satisfy { |name| pages.one? { |text| text.match?(/Name:\s+#{Regexp.escape(name)}/) } })
    answer = Vantick::Core::Wording::Phrase.usual(Vantick::Core::Dial::DialTime.parse(store.db[:items].where(check_id: 3).get(:time)))
    expect(pages.select { |text| text.include?(answer) }).to eq([pages.last])
    expect(pages.length).to be_odd
    expect(pages.sum { |text| text.scan("Name:").length }).to eq(26)
  end

  it "leaves the names out when asked" do
    visit "/check/2/slips"
    expect(page).to have_css(".sheet-page text", text: "Anneke")
    find("label", text: "Names on the slips").click
    expect(page).to have_no_css(".sheet-page text", text: "Anneke")
    text = printed.join
    expect(text).not_to match(/Anneke|Bram/)
    expect(text).to include("Write the time in digits.")
  end
end
