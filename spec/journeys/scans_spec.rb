# frozen_string_literal: true

require_relative "../../demo/copier/copier"

RSpec.describe "Paper", :demo do
  before { Vantick::Demo.new(store, now: Vantick::Server::Clock.now).stack }

  it "goes from the copier's file to findings, with few keys for what is not sure" do
    visit "/check"
    click_link "Read paper"
    click_button "Try a made-up stack"
    expect(page).to have_css("[role='status']", text: /25 pages, 1\d\d of 150 answers read, \d+ to check/, wait: 480)
    expect(page).to have_text("No paper from Kofi.").and have_text("Page 26: Mila's page was read before")
    waiting = find_link(text: /Check \d+/).text[/\d+/].to_i
    alone = store.db[:scan_pieces].where(sure: 1).count
    expect([waiting + alone, alone]).to eq([150, store.db[:answers].where(item_id: read_items).count])
    click_link "Check #{waiting}"
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
    expect(page).to have_text("All done.")
    agree_at_once
    click_link "See results", match: :first
    expect(page).to have_text("Away or not entered: Kofi")
  end

  # What was read is looked at side by side, as if the reader had not been sure of six.
  def agree_at_once
    six = store.db[:scan_pieces].where(sure: 1).limit(6).select_map(:id)
    store.db[:scan_pieces].where(id: six).update(settled_at: nil)
    visit page.current_path
    expect(page).to have_button("6 answers are right").and have_css(".all img", count: 9)
    expect(page).to be_accessible
    first(".all button").click
    expect(page).to have_css(".all button[aria-pressed='true']", count: 1)
    # One that the reader was sure of.
    expect(page).to have_css("h2", text: "Read and marked already")
    all(".all")[1].first("button").click
    click_button "5 answers are right"
    expect(page).to have_css("img.piece").and have_text("1 of 2")
    expect(store.db[:scan_pieces].where(id: six, settled_at: nil).count).to eq(1)
    browser.action.send_keys("1").perform
    expect(page).to have_text("2 of 2")
    answers = store.db[:answers].count
    browser.action.send_keys("2").perform
    expect(page).to have_text("All done.")
    expect(store.db[:answers].count).to eq(answers + 1)
  end

  # A child's sheet as it comes from the copier, everything right on it.
  def scanned(check, child_id)
    sheet = Vantick::Server::Pages::Printing.of_check(check, store.classes.find(1)).drawn_sheet(check, only: child_id)
    answers = check.items.map { |item| "#{item[:misreading]}; half past three" }
    written = Vantick::Copier.written(sheet.pages, answers, Vantick::Copier::ChildHand.new(Random.new(3)))
    scanner = Vantick::Copier::Scanner.new(Random.new(4))
    File.join(Dir.mktmpdir, "sheet.pdf").tap { |file| File.binwrite(file, Vantick::Copier.pdf(written.map { |page| scanner.scan(page) })) }
  end

  it "has the cause that a child ticked chosen already, so that the time alone is typed" do
    made = ask_as_teacher("/api/classes/1/sheets", kind: "spot", task: "spot_mistake", step: "quarters", count: 3)
    check = store.checks.find(made["check_id"])
    visit "/check/paper"
    attach_file "Files from the copier or a phone", scanned(check, 1)
    click_link "Check 3", wait: 120
    by_time = check.items.sort_by { |item| item[:id] }
    by_time.each_with_index do |item, at|
      expect(page).to have_text("#{at + 1} of 3")
      ticked = Vantick::Core::Reading::Misreading.find(item[:misreading]).texts_in(Vantick::Core::Wording::Conventions.default)[:they]
      expect(page).to have_checked_field(ticked).and have_css("input[type='radio']", count: 3, visible: :all)
      expect(page).to be_accessible if at.zero?
      browser.action.send_keys(:enter).perform
      expect(page).to have_text("#{at + 1} of 3")
      browser.action.send_keys(at.zero? ? "half past nothing" : item[:time], :enter).perform
    end
    expect(page).to have_text("All done.")
    browser.action.send_keys(:escape).perform
    expect(page).to have_field("What Anneke wrote", with: by_time.last[:time])
    browser.action.send_keys(:escape, :escape).perform
    other = all("input[type='radio']", visible: :all).find { |one| !one.checked? }
    other.sibling("label").click
    fill_in "What Anneke wrote", with: by_time.first[:time]
    click_button "Next"
    expect(page).to have_text("2 of 3")
    expect(store.db[:answers].where(item_id: check.items.map { |item| item[:id] }).count).to eq(4)
    current = store.answers.current([check.id])[check.id].sort_by(&:item_id)
    expect(current.map(&:verdict)).to eq(%w[right_time_only right right])
  end

  it "is refused in words where a file is none, and stays until it is removed" do
    visit "/check/paper"
    file = File.join(Dir.mktmpdir, "list.pdf")
    File.write(file, "no paper at all")
    attach_file "Files from the copier or a phone", file
    expect(page).to have_css("[role='alert']", text: "This isn't a PDF or a picture", wait: 60)
    click_button "Delete"
    click_button "Delete file"
    expect(page).to have_no_css("h2", text: "list.pdf")
  end

  def read_items = store.db[:items].where(check_id: store.db[:checks].max(:id)).select(:id)
end
