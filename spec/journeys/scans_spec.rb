# frozen_string_literal: true

RSpec.describe "Paper", :demo do
  before { Vantick::Demo.new(store, now: Time.now).stack }

  it "goes from the copier's file to findings, with few keys for what is not sure" do
    visit "/check"
    click_link "Read paper"
    click_button "Try it with a made-up stack"
    expect(page).to have_css("[role='status']", text: /25 pieces of paper, 1\d\d of 150 answers read, \d+ to look at/, wait: 480)
    expect(page).to have_text("No paper from Kofi.").and have_text("Page 26: Mila's page was read before")
    waiting = find_link(text: /Look at \d+/).text[/\d+/].to_i
    alone = store.db[:scan_pieces].where(sure: 1).count
    expect([waiting + alone, alone]).to eq([150, store.db[:answers].where(item_id: read_items).count])
    click_link "Look at #{waiting}"
    expect(page).to have_css("img.piece").and have_text("1 of #{waiting}")
    browser.action.send_keys("1").perform
    expect(page).to have_text("2 of #{waiting}")
    browser.action.send_keys(:escape).perform
    expect(page).to have_text("1 of #{waiting}")
    browser.action.send_keys("2").perform
    expect(page).to have_text("2 of #{waiting}")
    (2..waiting).each do |number|
      expect(page).to have_text("#{number} of #{waiting}")
      browser.action.send_keys("1").perform
    end
    expect(page).to have_text("All looked at.")
    click_link "What the answers say", match: :first
    expect(page).to have_text("No answers yet: Kofi")
  end

  it "is refused in words where a file is none, and stays until it is removed" do
    visit "/check/paper"
    file = File.join(Dir.mktmpdir, "list.pdf")
    File.write(file, "no paper at all")
    attach_file "Files from the copier or a phone", file
    expect(page).to have_css("[role='alert']", text: "This is no PDF, JPEG or PNG file", wait: 60)
    click_button "Remove"
    click_button "Remove it"
    expect(page).to have_no_css("h2", text: "list.pdf")
  end

  def read_items = store.db[:items].where(check_id: store.db[:checks].max(:id)).select(:id)
end
