# frozen_string_literal: true

RSpec.describe "A class's own ways of saying a time", :demo do
  it "are chosen with a living example, and followed by Show and the answers read back" do
    visit "/settings"
    expect(page).to have_css(".said", text: "quarter to eight")
    choose "of"
    expect(page).to have_css(".said", text: "quarter of eight").and have_text("Saved.")
    choose "the minutes"
    expect(page).to have_css("li:first-child", text: "The long hand is on the 9")
    visit "/show?times=7:45"
    expect(page).to have_css("[role='slider']")
    browser.action.send_keys("k").perform
    expect(page).to have_text("quarter of eight")
    visit "/check/3"
    expect(cell("Hana", 1)).to be_visible
    cell("Hana", 1).send_keys("quarter before 8", :enter)
    expect(page).to have_css("aside", text: "quarter of eight")
  end

  # Each choice is sent from what the one before has left: the second is not kept without the first.
  it "keep two choices that are pressed one right after the other" do
    visit "/settings"
    expect(page).to have_css(".said", text: "quarter to eight")
    browser.execute_script(<<~JS)
      for (const text of ["of", "dot, 7.45"])
        [...document.querySelectorAll("label")].find((label) => label.innerText.trim() === text).click();
    JS
    expect(page).to have_css(".said", text: "quarter of eight").and have_css(".living, .beside", text: "7.45")
    eventually { expect(store.classes.find(1).conventions.values.map(&:to_s)).to include("of", "point") }
  end

  it "choose American English: words, dates and paper follow, and the day is typed as such a class says it" do
    visit "/settings"
    choose "American"
    choose "after"
    expect(page).to have_css(".said", text: "quarter to eight").and have_text("Saved.")
    expect(page).to have_field("Time 1", with: "6:30 a.m.")
    fill_in "Time 1", with: "7 p.m."
    fill_in "What happens, 1", with: "choir"
    click_button "Save day"
    expect(page).to have_css("[role='status']", text: "Saved.").and have_field("Time 6", with: "7:00 p.m.")
    expect(store.classes.find(1).day).to include(include(time: "19:00", what: "choir"))
    visit "/check"
    expect(page).to have_css("article", text: /\w{3}, \w{3} \d/)
    visit "/sheets?kind=make"
    expect(page).to have_css(".sheet-page text", text: "brass fastener")
    visit "/sheets?kind=read"
    expect(find("select:has(option[value='letter'])").value).to eq("letter")
  end

  it "put minute numbers down both sides where the class counts so" do
    visit "/settings"
    choose "5 to 30 down both sides"
    expect(page).to have_text("Saved.")
    visit "/show?lens=minute_numbers"
    numbers = page.all("[data-lens='minute_numbers'] text").map(&:text)
    expect(numbers.tally.values_at("25", "5", "30")).to eq([2, 2, 1])
  end

  it "hold the class's own day, with what is wrong said beside it and nothing lost" do
    visit "/settings"
    click_button "Add a line"
    fill_in "Time 8", with: "half nine"
    fill_in "What happens, 8", with: "assembly"
    click_button "Save day"
    expect(page).to have_css("[role='alert']", text: "isn't a time of day. Type it like 8:45")
    expect(find("input[aria-label='What happens, 8']").value).to eq("assembly")
    fill_in "Time 8", with: "9:05"
    click_button "Save day"
    expect(page).to have_css("[role='status']", text: "Saved.")
    visit "/show?lens=day"
    expect(page).to have_button("assembly").and have_button("the lamp is lit")
    click_button "assembly"
    expect(find("[role='slider'][aria-label^='The clock']")["aria-valuetext"]).to start_with("9:05 a.m.")
  end
end
