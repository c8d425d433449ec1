# frozen_string_literal: true

# From the first screen to results, as a teacher goes.
RSpec.describe "A class, a check, and results" do
  def make_class(names)
    visit "/"
    click_link "Add class"
    fill_in "Class name", with: "Heron class"
    fill_in "Children, one on each line", with: names.join("\n")
    click_button "Add class"
  end

  def make_check
    expect(page).to have_css("figure svg[data-time]", count: 5)
    chosen = page.all("figure svg").map { |dial| dial["data-time"] }
    click_button "Make check"
    expect(page).to have_css(".sheet-page text", text: "Name:", count: 3)
    chosen
  end

  # What a child says who names the passed hour with to, as a quick code; all else right.
  def code(time, misread:)
    shown = Vantick::Core::Dial::DialTime.parse(time)
    return "#{shown.hour_passed}o" if shown.side == :oclock
    return "#{{ 15 => 'q', 30 => 'h' }[shown.minute]}p#{shown.hour_passed}" if shown.side == :past

    "qt#{misread ? shown.hour_passed : shown.hour_ahead}"
  end

  # Types a row of answers and goes on to the next child with Enter alone.
  def type_row(times, misread:)
    times.each { |time| browser.switch_to.active_element.send_keys(code(time, misread:), :enter) }
  end

  it "leads from the first screen to three times to show tomorrow, through a reload in the middle" do
    make_class(%w[Anneke Bram Celyn])
    times = make_check
    click_link "Enter answers"
    cell("Anneke", 1).click
    type_row(times, misread: false)
    type_row(times, misread: true)
    expect(page).to have_css("input[data-verdict='misread']", minimum: 1)
    browser.switch_to.active_element.send_keys("q")

    browser.navigate.refresh
    expect(page).to have_css("input[data-verdict='right']", minimum: 5)
    expect(cell("Celyn", 1).value).to eq("q")
    # It may have been on its way when the page was loaded again.
    expect(page).to have_css("input[aria-label='Bram, clock 5'][data-verdict='misread']")

    cell("Celyn", 1).click
    type_row(times, misread: true)
    expect(page).to have_css("aside", text: "2 children seem to use the hour that has passed after \"to\"")
    click_link "See results"
    expect(page).to have_css("tr", text: /Bram.*old hour used with "to".*\d of \d times it could show/m)
    expect(page).to have_css("tr", text: /Anneke.*5 of 5/m)
    click_link "Show these clocks"
    expect(page).to have_css("button[aria-label^='Clock']", count: 3)
    expect(page).to have_css("[data-lens='hour_gap']")
  end

  it "shows what a check can tell while it is chosen, and other times when asked", :demo do
    visit "/check/new"
    expect(page).to have_css("section", text: /shows? every common mistake|\d of \d common mistakes/)
    chosen = -> { page.evaluate_script("[...document.querySelectorAll('figure svg')].map((dial) => dial.dataset.time).join()") }
    before = chosen.call
    click_button "New clocks"
    expect(page).to(satisfy("show other times") { (1..40).any? { sleep(0.1) && chosen.call != before } })
    select "Minutes", from: "Step"
    expect(page).to have_css("tr", text: "small marks left out")
  end

  it "keeps a form's entries and names the field that is wrong", :demo do
    visit "/check/new"
    fill_in "How many clocks", with: "500"
    expect(page).to have_css(".field [role='alert']", text: "A check can have 1 to 12 clocks.")
    expect(page).to have_button("Make check", disabled: true)
    expect(find_field("How many clocks").value).to eq("500")
    fill_in "How many clocks", with: "4"
    expect(page).to have_css("figure", count: 4)

    visit "/class/new"
    fill_in "Class name", with: "Heron class"
    click_button "Add class"
    expect(page).to have_css(".field [role='alert']", text: "Type at least one child's name")
    fill_in "Children, one on each line", with: "Bo\nBo"
    expect(page).to have_text("Bo is now Bo 2")
    fill_in "Children, one on each line", with: "B\u202Eo"
    click_button "Add class"
    expect(page).to have_css(".field [role='alert']", text: "hidden characters")
    expect(find_field("Class name").value).to eq("Heron class")
  end

  it "waits for a page that cannot be fetched, and opens it as soon as Vantick answers again", :demo do
    visit "/"
    expect(page).to have_css("h1", text: "Quarter to")
    browser.execute_cdp("Network.clearBrowserCache") # what another example has fetched is there without a network
    cut_network
    click_link "Plan"
    expect(page).to have_css("[role='alert']", text: "Can't reach Vantick right now. This page will open as soon as it's back.")
    expect(page).to have_button("Stay here").and have_css("h1", text: "Quarter to")
    mend_network
    expect(page).to have_css("h2", text: "The ladder").and have_no_css(".unreached")
  end

  it "says what is empty and where to go" do
    visit "/"
    expect(page).to have_css("h1", text: "Start with a class")
    visit "/class"
    expect(page).to have_link("Add class")
    { "/plan" => "Add class", "/sheets" => "Add class", "/settings" => "Add class" }.each do |address, way|
      visit address
      expect(page).to have_link(way), address
    end
    visit "/plan/99"
    expect(page).to have_css("[role='alert']", text: "There is no lesson 99.")
    visit "/plan/99/run"
    expect(page).to have_link("Back to Plan")
    visit "/check/99"
    expect(page).to have_css("[role='alert']", text: "There is no check 99.")
    visit "/nowhere/at/all"
    expect(page).to have_css("h1", text: "There is no page here")
  end
end
