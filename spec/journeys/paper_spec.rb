# frozen_string_literal: true

require "pdf-reader"

RSpec.describe "A check on paper", :demo do
  # What the browser prints, read back with another library.
  def printed
    data = browser.execute_cdp("Page.printToPDF", paperWidth: 8.27, paperHeight: 11.69, printBackground: false)["data"]
    PDF::Reader.new(StringIO.new(Base64.decode64(data))).pages.map(&:text)
  end

  it "prints a slip for each child, and the answers on a page of their own" do
    visit "/check/3/slips"
    expect(page).to have_css("section.slip", count: 26)
    pages = printed
    names = Vantick::Demo::TABLE[:children]
    expect(names).to all(satisfy { |name| pages[0...-1].one? { |text| text.include?(name) } })
    answer = Vantick::Core::Wording::Phrase.usual(Vantick::Core::Dial::DialTime.parse(store.db[:items].where(check_id: 3).get(:time)))
    expect(pages.select { |text| text.include?(answer) }).to eq([pages.last])
    expect(pages.last).not_to match(/Name:/)
    expect(pages.length).to be_between(9, 14)
  end

  it "leaves the names out when asked, and the page's controls always" do
    visit "/check/2/slips"
    find("label", text: "Names on the slips").click
    text = printed.join
    expect(text).not_to match(/Anneke|Type answers in|Curlew class/)
    expect(text).to include("Write the time in digits.")
  end
end
