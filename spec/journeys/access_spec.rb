# frozen_string_literal: true

# WCAG 2.2 AA, through axe-core, on every view.
RSpec.describe "Every view can be used by everyone", :demo do
  { "home" => "/", "show" => "/show?times=7:45,8:23&lens=halves,hour_gap,minute_numbers", "checks" => "/check", "new check" => "/check/new",
    "typing in" => "/check/3", "slips" => "/check/3/slips", "class" => "/class/3", "new class" => "/class/new",
    "plan" => "/plan", "a lesson" => "/plan/2", "a lesson given" => "/plan/2/run", "settings" => "/settings",
    "sheets" => "/sheets", "children" => "/class", "a child" => "/class/child/5", "groups" => "/class/groups", "weeks" => "/class/weeks",
    "the day" => "/show?lens=day,sweep,quarters,hand_lines", "two dials" => "/show?lens=two_dials", "the board" => "/show?board=1",
    "nowhere" => "/nothing/here" }.each do |name, address|
    it "#{name} is clean" do
      visit address
      expect(page).to have_css("h1")
      expect(page).to have_no_text("Opening Vantick")
      expect(page).to be_accessible
    end
  end

  it "stays clean while an answer is refused and the reading is open" do
    visit "/show"
    expect(page).to have_css("[role='slider']")
    browser.action.send_keys("    ").perform
    expect(page).to be_accessible
    visit "/check/3"
    cell("Hana", 1).send_keys("x" * 201, :enter)
    expect(page).to have_css("td [role='alert']")
    expect(page).to be_accessible
  end

  it "stays clean ungeared, with the keys on their card, and stage by stage" do
    visit "/show?times=7:45"
    expect(page).to have_css("[role='slider']")
    browser.action.send_keys("u").send_keys(:arrow_up, :arrow_up, :arrow_up, :arrow_up, :arrow_up, :arrow_up, :arrow_up).perform
    expect(page).to have_text("Readable, not exact")
    expect(page).to be_accessible
    browser.action.send_keys("?").perform
    expect(page).to be_accessible
    visit "/plan/2/run"
    expect(page).to have_text("To begin")
    %w[3 4 5 6 e].each do |key|
      browser.action.send_keys(key, " ").perform
      expect(page).to be_accessible
    end
  end

  it "does not scroll sideways on a phone" do
    browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: 390, height: 844, deviceScaleFactor: 1, mobile: true)
    whole = { "/" => "article", "/show" => ".reading", "/plan" => ".lessons li", "/plan/2" => "button.stage", "/settings" => ".example",
              "/check" => "article", "/check/new" => "figure", "/check/3" => "aside h2",
              "/class/3" => "tbody th" }
    whole.each do |address, last|
      visit address
      expect(page).to have_css(last)
      expect(browser.execute_script("return document.documentElement.scrollWidth")).to be <= 390, address
    end
  ensure
    browser.execute_cdp("Emulation.clearDeviceMetricsOverride")
  end
end
