# frozen_string_literal: true

RSpec.describe "A class and what its answers say", :demo do
  it "opens with what the last check says and what to do next" do
    visit "/"
    expect(page).to have_css("h1", text: "6 children seem to name the hour that has passed when they say to.")
    expect(page).to have_css("li", text: "Hana, Kofi: no answers yet").and have_css("li", text: "1 answer could not be read")
    expect(page).to have_css("article", count: 3)
    expect(page).to have_text("Tern Quay School and everyone in it are made up.")
    click_link "Show these three"
    expect(page).to have_css("[data-lens='hour_gap']").and have_css("[role='slider'][aria-valuetext^='7:45']")
  end

  it "tells of each child, own hits first, in the order of the register" do
    visit "/class"
    names = page.all("tbody th").map(&:text)
    expect(names).to eq(Vantick::Demo::TABLE[:children])
    expect(find("tr", text: "Elio")).to have_text("past and to mixed up").and have_text("4 of 4 chances")
    expect(find("tr", text: "Goran")).to have_text("one answer could not be read")
    expect(find("tr", text: "Hana")).to have_text("away")
    expect(find("tr", text: "Freya")).to have_text("all right")
  end

  it "shows the answers of another check when that is chosen" do
    visit "/class"
    expect(page).to have_css("h2", text: "6 children")
    select find("option", text: "Half past, in digits").text, from: "Check"
    expect(page).to have_css("h2", text: "3 children seem to name the hour the short hand is still on its way to.")
    expect(page).to have_current_path("/class/1")
  end

  it "moves between classes, and leaves a check of the other one" do
    make_check(names: %w[Pip])
    visit "/check/3"
    expect(page).to have_css("h1", text: "Quarters, in words")
    find("header button").click
    find("header .dropdown-item", text: "Curlew class", match: :first).click
    expect(page).to have_current_path("/").and have_text("Curlew class is ready")
    visit "/check"
    expect(page).to have_css("article", count: 1)
  end

  it "finds a check again, its slips and its answers, from the list" do
    visit "/check"
    expect(page).to have_css("article", text: /Quarters, in words.*24 of 26 typed in.*1 could not be read/m)
    within(find("article", text: "Half past")) { click_link "Slips" }
    expect(page).to have_css("section.slip", count: 26).and have_css("h2", text: "Answers: Half past, in digits", visible: :all)
    click_link "Type answers in"
    expect(cell("Quill", 1).value).to eq("")
    expect(cell("Anneke", 1)["data-verdict"]).to eq("right")
  end

  it "can be gone through by keyboard alone, from the first screen to a typed answer" do
    visit "/check/3"
    expect(page).to have_css("h1")
    browser.action.send_keys(:tab).perform
    expect(browser.switch_to.active_element.text).to eq("To the page")
    reached = (1..20).find do
      browser.action.send_keys(:tab).perform
      browser.switch_to.active_element.attribute("aria-label") == "Anneke, clock 1"
    end
    expect(reached).to be_truthy
    browser.action.send_keys(:arrow_down, :arrow_down, "3o", :enter).perform
    expect(page).to have_css(".read-back", text: "Celyn, clock 1: 3o reads as three o'clock")
  end

  it "says so when Vantick does not answer, and goes on once it does" do
    visit "/nowhere"
    application = BrowserHelpers::School.app
    BrowserHelpers::School.app = ->(env) { env["PATH_INFO"].start_with?("/api/") ? [503, {}, [""]] : application.call(env) }
    visit "/"
    expect(page).to have_css("h1", text: "Vantick does not answer")
    BrowserHelpers::School.app = application
    click_button "Try again"
    expect(page).to have_css("h1", text: "6 children")
  end
end
