# frozen_string_literal: true

RSpec.describe "Where one looks for something" do
  it "is one field: a key opens it, Enter goes to the first that is found", :demo do
    visit "/plan"
    expect(page).to have_css("h2", text: "The ladder")
    browser.action.send_keys("/").perform
    expect(page).to have_field("Search", focused: true)
    fill_in "Search", with: "hana"
    expect(page).to have_css("[aria-label='Found'] a", text: "Hana").and be_accessible
    find_field("Search").send_keys(:enter)
    expect(page).to have_css("h1", text: "Hana").and have_no_css(".modal")
    click_button "Search"
    expect(page).to have_css("[role='dialog'][aria-label='Search']")
    fill_in "Search", with: "half past"
    expect(page).to have_css("[aria-label='Found'] a", text: "Check: Half past")
    fill_in "Search", with: "qqq"
    expect(page).to have_text("Nothing found.")
    find_field("Search").send_keys(:escape)
    expect(page).to have_no_css(".modal")
  end

  it "waits at Enter for what stands in the field, however fast it comes", :demo do
    visit "/plan"
    click_button "Search"
    fill_in "Search", with: "anneke"
    expect(page).to have_css("[aria-label='Found'] a", text: "Anneke")
    find_field("Search").send_keys([:control, "a"], "hana", :enter)
    expect(page).to have_css("h1", text: "Hana").and have_no_css(".modal")
  end

  it "leaves the key alone where something is typed", :demo do
    visit "/sheets"
    visit "/class/register"
    fill_in "Add children", with: "A/B"
    expect(find_field("Add children", exact: false).value).to eq("A/B")
    expect(page).to have_no_css(".modal")
  end

  it "shows a new teacher five steps that tick themselves off, and can be put away" do
    visit "/"
    expect(page).to have_css("h2", text: "Getting started").and have_css("[aria-current='step']", text: "Add your class")
    visit "/check/#{make_check}"
    visit "/"
    expect(page).to have_css("[aria-current='step']", text: "Choose how your class tells the time")
    click_link "Choose how your class tells the time"
    expect(page).to have_css("h1", text: "tells the time")
    visit "/"
    expect(page).to have_css("[aria-current='step']", text: "Enter their answers").and have_css("[aria-label='done']", count: 3)
    page.execute_script("localStorage.clear()") # as another device has it
    visit "/"
    expect(page).to have_css("[aria-label='done']", count: 3)
    click_link "Enter their answers"
    expect(page).to have_css("input[aria-label='Anneke, clock 1']")
    visit "/"
    click_button "Hide"
    expect(page).to have_no_css("h2", text: "Getting started")
    page.execute_script("localStorage.clear()")
    visit "/"
    expect(page).to have_css("h1", text: "is ready").and have_no_css("h2", text: "Getting started")
  end

  it "offers a lesson again that was planned for yesterday and not given", :demo do
    store.db[:lessons].where(given_at: nil).update(day: (today - 1).iso8601)
    visit "/"
    expect(page).to have_text("Planned, not taught yet")
    store.db[:lessons].where(given_at: nil).update(day: (today - 9).iso8601)
    visit "/"
    expect(page).to have_text("Next for Curlew class")
  end

  it "has help for each page at a key, and none where the page has its own", :demo do
    visit "/plan"
    expect(page).to have_css("h2", text: "The ladder")
    browser.action.send_keys("?").perform
    expect(page).to have_css(".modal", text: "Vantick suggests the next step").and be_accessible
    click_button "Close"
    expect(page).to have_no_css(".modal")
    visit "/show"
    expect(page).to have_css("[role='slider']")
    browser.action.send_keys("?").perform
    expect(page).to have_css(".modal-title", text: "Keys", count: 1)
  end
end
