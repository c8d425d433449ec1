# frozen_string_literal: true

require "pdf-reader"

RSpec.describe "Sheets", :demo do
  def page_text = find(".sheet-page", match: :first).text

  it "are shown as they will print while settings change, and kept with a code by which answers are typed in" do
    visit "/sheets"
    expect(page).to have_css(".sheet-page svg", minimum: 1).and have_text("What these 8 clocks can show")
    choose "Draw the hands"
    expect(page).to have_css(".sheet-page text", text: "Draw both hands.")
    select "Roman", from: "Numbers"
    expect(page).to have_css(".sheet-page text", text: "XII", minimum: 4)
    fill_in "How many", with: "40"
    expect(page).to have_css("[role='alert']", text: "1 to 16 exercises")
    click_button "Take 16"
    expect(page).to have_field("How many", with: "16").and have_css(".sheet-page", count: 2)
    fill_in "How many", with: "4"
    expect(page).to have_no_css("[role='alert']").and have_css(".sheet-page text", text: "4.")
    click_button "Answers"
    expect(page).to have_css(".sheet-page text", text: "Answers: Quarters")
    click_button "Make and print"
    code = find(".made strong").text
    visit "/check"
    fill_in "Code on a sheet", with: code.downcase
    click_button "Open"
    expect(cell("Anneke", 1)).to be_visible
    cell("Anneke", 1).click
    expect(page).to have_css(".drawings svg", minimum: 2)
    browser.action.send_keys("1", :enter).perform
    expect(page).to have_css("input[aria-label='Anneke, clock 1'][data-verdict='right']")
    browser.action.send_keys("2", :enter).perform
    expect(page).to have_css("input[aria-label='Anneke, clock 2'][data-verdict='misread']")
  end

  it "have other times for each child, and say so where a code is not known" do
    visit "/sheets?kind=slips"
    check "Different clocks for each child"
    expect(page).to have_css(".sheet-page text", text: "Bram")
    uncheck "Print names"
    expect(page).to have_no_css(".sheet-page text", text: "Bram")
    check "Print names"
    expect(page).to have_css(".sheet-page text", text: "Bram")
    click_button "Make and print"
    expect(page).to have_css("[role='status'] [role='progressbar']")
    click_link "Enter answers"
    expect(page).to have_css("th", text: "Clock 1").and have_css("input", minimum: 130)
    visit "/check"
    fill_in "Code on a sheet", with: "K7RDC"
    click_button "Open"
    expect(page).to have_css("[role='alert']", text: "K7RDC isn't a sheet's code. A letter is wrong.")
  end

  it "print a game with its key, and call out its times in the order of the key" do
    visit "/sheets?kind=bingo&step=fives"
    expect(page).to have_css(".sheet-page text", text: "Bingo", minimum: 26)
    set = find_field("Set").value
    select "of any mistake", from: "Near misses"
    click_button "Key"
    key = find(".sheet-page text", text: /\ACall the times in this order/).find(:xpath, "..").all("text").map(&:text)
    expect(key.join(" ")).to include("Set #{set}, 20 clocks.")
    words = key.grep(/\A[a-z-]+ (past|to) \w+\z|o'clock/)
    click_link "Call out"
    click_button "Call the first time"
    expect(page).to have_css(".call", text: words[0])
    browser.action.send_keys(:escape).perform
    find("h1").click
    browser.action.send_keys(:right).perform
    expect(page).to have_css(".call", text: words[1]).and have_css(".told", text: words[0])
    click_button "Back"
    expect(page).to have_css(".call", text: words[0]).and have_no_css(".told")
    click_link "Back to sheets"
    expect(page).to have_field("Set", with: set)
    fill_in "How many clocks", with: "8"
    expect(page).to have_css("[role='alert']", text: "9 to 30 clocks")
  end

  it "tell stories of the class's own day, with a key and other stories when asked for" do
    visit "/sheets?kind=stories&step=quarters"
    stories = -> { all(".sheet-page text", text: /\?\z/).map(&:text) }
    expect(page).to have_css(".sheet-page text", text: "Read the clock. Then answer.")
    before = stories.call
    expect(before).not_to be_empty
    click_button "New stories"
    # One of the new ones may be an old one.
    page.document.synchronize { raise Capybara::ExpectationNotMet, "the stories are the old ones" if [[], before].include?(stories.call) }
    click_button "Key"
    expect(page).to have_css(".sheet-page text", text: "These are your class's own times.")
    choose "Our day in order"
    expect(page).to have_css(".sheet-page text", text: "1. ")
  end

  it "have as much help as the record says for each child, and another where the teacher wants it" do
    visit "/sheets?kind=levels&step=quarters"
    find("summary", text: "Choose each child's level of help").click
    select "help on all", from: "Anneke"
    expect(page).to have_css(".sheet-page text", text: /\Apast\z/, minimum: 8)
    select "no help", from: "Anneke"
    expect(page).to have_no_css(".sheet-page text", text: /\Apast\z/)
    check "All levels for everyone"
    expect(page).to have_no_css("summary", text: "Choose each child's level").and have_css(".sheet-page", minimum: 4)
    expect(page).to have_css(".sheet-page text",
                             text: "Quarters · With help").and have_css(".sheet-page text", text: "Quarters · On your own")
  end

  it "have help on the clocks of those who need it, on sheets that differ" do
    visit "/sheets?kind=read&step=minutes_to"
    expect(page).to have_no_text("Help on the clock for those who need it")
    check "Different clocks for each child"
    check "Help on the clock for those who need it"
    expect(page).to have_text("Right answers count for less there.")
    expect(page).to have_css(".sheet-page text", text: /\Ato\z/, minimum: 1)
    click_button "Make and print"
    expect(page).to have_css(".made strong")
    expect(store.db[:items].exclude(helped: nil).count).to be > 26
  end

  it "say what is printed on which sides, and how much paper it takes; it is kept for the next time" do
    visit "/sheets?kind=draw"
    check "Different clocks for each child"
    select "sheets only", from: "Print"
    select "on both sides", from: "Sides of the paper"
    expect(page).to have_text("26 sheets of paper")
    select "sheets and answers", from: "Print"
    expect(page).to have_no_text("26 sheets of paper").and have_text(/\d+ sheets of paper/)
    select "on one side", from: "Sides of the paper"
    visit "/check/3/slips"
    expect(page).to have_select("Sides of the paper", selected: "on one side")
  end

  it "go round without names: a child gets the letter that they worked on" do
    made = ask_as_teacher("/api/classes/1/sheets", kind: "read", step: "quarters", count: 2, versions: "each", names: false)
    visit "/check/#{made['check_id']}"
    select "B", from: "Sheet of Anneke"
    expect(page).to have_select("Sheet of Bram", selected: "A")
    expect(page).to have_select("Sheet of Anneke", selected: "B")
  end

  it "print material without answers, such as a dial to make with its caution" do
    visit "/sheets"
    choose "A clock to make"
    expect(page).to have_css(".sheet-page text", text: "make the hole yourself")
    expect(page).to have_link("Print", href: /material\.pdf/)
  end

  it "give a dial alone for a teacher's own papers, and say what is no time" do
    visit "/sheets"
    fill_in "Time (empty for no hands)", with: "19:45"
    expect(page).to have_css("[role='alert']", text: "Type a time like 7:45")
    expect(page).to have_button("SVG", disabled: true).and have_button("PNG", disabled: true)
    fill_in "Time (empty for no hands)", with: "4:49"
    expect(page).to have_button("PNG", disabled: false)
  end

  it "take the hands as they are drawn, where no picture fits" do
    made = ask_as_teacher("/api/classes/1/sheets", kind: "draw", step: "quarters", count: 2)
    visit "/check/#{made['check_id']}"
    cell("Anneke", 2).click
    click_button "Your drawing"
    expect(page).to have_css("input[aria-label='Anneke, clock 2'][data-verdict='right']")
    expect(cell("Anneke", 2).value).to eq("right")
  end

  describe "typing in" do
    it "undoes, judges by hand with one key, and lists what unreadable" do
      visit "/check/3"
      click_button "Goran, clock 4"
      browser.action.send_keys("!").perform
      expect(page).to have_css(".read-back", text: "marked by you").and have_no_button("Goran, clock 4")
      cell("Hana", 1).click
      browser.action.send_keys("3o", :enter).perform
      expect(page).to have_css("input[aria-label='Hana, clock 1'][data-verdict]")
      browser.action.key_down(:control).send_keys("z").key_up(:control).perform
      expect(page).to have_no_css("input[aria-label='Hana, clock 1'][data-verdict]")
    end

    it "takes a table from a spreadsheet, all of it or nothing" do
      visit "/check/3"
      find("summary", text: "From a spreadsheet").click
      fill_in "table", with: "Hana,3o,9o\nNobody,1o"
      click_button "Add answers"
      expect(page).to have_css("#table-wrong", text: 'Row 2: no child in the class is called "Nobody"')
      fill_in "table", with: "Hana,3o,9o"
      click_button "Add answers"
      expect(page).to have_text("Answers added.").and have_css("input[aria-label='Hana, clock 2'][data-verdict]")
    end
  end
end
