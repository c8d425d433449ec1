# frozen_string_literal: true

# WCAG 2.2 AA, through axe-core, on every view.
RSpec.describe "Every view can be used by everyone", :demo do
  # What is wrong with a page as it lies in its window: outside, covered, cut, one word over another, parts and headings.
  walk = File.read(File.expand_path("../support/walk.js", __dir__)).freeze

  define_method(:faults) { browser.execute_script(walk) }

  # What the browser had to say since it was asked last: errors of the page, and requests that failed.
  def complaints = browser.logs.get(:browser).map(&:message)

  # "Loading…": what is looked at is the page, not the wait for it.
  def waiting = /\b[A-Z]\w+ing\b[^\n…]*…/

  def windows
    { "a small phone" => [320, 640], "a phone" => [390, 844], "a tablet held upright" => [768, 1024], "a laptop" => [1280, 800],
      "the wall" => [1920, 1080] }
  end

  def keep_within_every_window(address)
    windows.each do |device, (width, height)|
      browser.execute_cdp("Emulation.setDeviceMetricsOverride", width:, height:, deviceScaleFactor: 1, mobile: width < 500)
      # Some parts lay themselves out anew when they hear of the window.
      page.document.synchronize { raise Capybara::ExpectationNotMet, "#{address} on #{device}: #{faults}" if faults.any? }
    end
  ensure
    browser.execute_cdp("Emulation.clearDeviceMetricsOverride")
  end

  # Where in the bar a page is, by how its address begins.
  places = { "/plan" => "Plan", "/show" => "Show", "/sheets" => "Sheets", "/check" => "Check" }

  # Some to an example, so that the browser is begun anew less often; in the night all of them.
  { "of the class" => %w[/ /class /results/3 /class/child/5 /class/child/5/parents /class/groups /class/weeks /class/register /class/new],
    "of a lesson" => %w[/plan /plan/term /plan/2 /plan/2/run /plan/2/boards /plan/step/hands],
    "in front of the class" => %w[/show?times=7:45,8:23&lens=halves,hour_gap,minute_numbers /show?lens=day,sweep,quarters,hand_lines
                                  /show?lens=two_dials /show?board=1 /show?lens=hour_line /show/compare],
    "on paper" => %w[/sheets /sheets/call?kind=bingo&step=fives&seed=3 /check /check/new /check/3 /check/3/slips /check/paper],
    "of desks and accounts" => %w[/devices/new /devices/keys /account /settings /nothing/here],
    "of the school" => %w[/school /school/list /class/child/21/support] }.each do |name, addresses|
    it "the pages #{name} are clean, and right at every width" do
      complaints # of an example before
      Thorough.some(addresses, 3).each do |address|
        visit address
        expect(page).to have_css("h1")
        expect(page).to have_no_text(waiting)
        expect(page).to be_accessible, address
        place = places[address[%r{\A/\w+}]]
        expect(page).to have_css("header [aria-current='page']", text: place, visible: :all) if place
        keep_within_every_window(address)
        expect(complaints).to eq([]), address
      end
    end
  end

  # The other English, with the longest words that a class can choose.
  it "the pages fit in American English, too" do
    longest = { english: :american, past_word: :after, to_word: :before, separator: :point, fifteens: :plain }
    store.classes.change(1, conventions: Vantick::Core::Wording::Conventions.new(**longest).to_h)
    all = %w[/ /plan /plan/term /plan/2 /results/3 /class/child/5 /class/groups /check/3 /settings
             /sheets?kind=read /show?times=7:45&lens=halves,hour_gap,minute_numbers]
    Thorough.some(all, 4).each do |address|
      visit address
      expect(page).to have_css("h1", visible: :all)
      expect(page).to have_no_text(waiting)
      keep_within_every_window(address)
    end
  end

  it "the desk is clean for a child, and as it happens for the teacher" do
    desk = ask_as_teacher("/api/classes/1/desks", kind: "practice", step: "quarters")
    using_session(:child) do
      visit "/join"
      expect(page).to have_field("Class code").and be_accessible
      fill_in "Class code", with: desk["code"]
      click_button "Go"
      expect(page).to have_button("Anneke").and be_accessible
      click_button "Anneke"
      expect(page).to be_accessible
      pictures_of(desk, "Anneke").each { |picture| click_button picture }
      expect(page).to have_css("h1.ask").and be_accessible
      # What can be pressed has a look of its own at the desk, and nothing else has it.
      keys = "return [...document.querySelectorAll('.plain, .key')].map((one) => one.localName)"
      expect(browser.execute_script(keys)).to all(eq("button"))
      put("which hour", "five")
      expect(page).to have_css(".place.filled").and be_accessible
      send_it
      expect(page).to have_button("Try again", disabled: true).and be_accessible
      say "ten"
      expect(page).to have_css("h1", text: "Step by step").and be_accessible
    end
    answer_rightly(desk, "Bram", 10)
    visit "/devices/#{desk['id']}"
    expect(page).to have_css(".child", text: "Bram")
    out = "return [...document.querySelectorAll('.child > button > *')].filter((part) => " \
          "part.getBoundingClientRect().right > part.parentElement.getBoundingClientRect().right).map((part) => part.className)"
    expect(find(".child", text: "Bram").all(".marks > *").length).to eq(10)
    expect(browser.execute_script(out)).to eq([])
    click_button(text: "Anneke")
    expect(page).to have_css(".detail").and be_accessible
    click_button "Board"
    expect(page).to be_accessible
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

  it "stays clean on the wall of a dark room, with larger words" do
    visit "/show?times=7:45&lens=halves,hour_gap&board=1"
    expect(page).to have_css(".board [role='slider']")
    size = -> { find(".reading .name", match: :first).native.style("font-size").to_f }
    before = size.call
    browser.action.send_keys("e", "w", "k").perform
    # What is not for the children has faded by then.
    expect(page).to have_css(".board.idle.dim.words-2 .text.big").and be_accessible
    expect(size.call).to be > before * 1.3
    browser.action.send_keys("w", "w", "e").perform
    expect(page).to have_css(".board.words-1:not(.dim)")
  end

  it "a term is clean with its plan, and with nothing planned" do
    visit "/plan/term"
    expect(page).to have_button("Plan the term").and be_accessible
    click_button "Plan the term"
    expect(page).to have_css(".said", text: /of 26 will know/, wait: 40).and be_accessible
  end

  it "stays clean ungeared, with the keys on their card, and stage by stage" do
    visit "/show?times=7:45"
    expect(page).to have_css("[role='slider']")
    browser.action.send_keys("u").send_keys(:arrow_up, :arrow_up, :arrow_up, :arrow_up, :arrow_up, :arrow_up, :arrow_up).perform
    expect(page).to have_text("Readable, but not exact")
    expect(page).to be_accessible
    browser.action.send_keys("?").perform
    expect(page).to be_accessible
    visit "/plan/2/run"
    expect(page).to have_text("Opening")
    %w[3 4 5 6 e].each do |key|
      browser.action.send_keys(key, " ").perform
      expect(page).to be_accessible
    end
  end

  it "is clean in its dialogs and menus, each with a name" do
    opens = {
      "/" => [-> { browser.action.send_keys("/").perform }, ".modal [type='search'], .modal input"],
      "/class/register" => [-> { click_button "Erase Elio…" }, ".modal"],
      "/check" => [-> { first(:button, text: /More/).click }, ".dropdown-menu.show"],
      "/settings" => [-> { find(".class-menu button").click }, ".class-menu .dropdown-menu.show"],
      "/show" => [-> { browser.action.send_keys("?").perform }, ".modal"]
    }
    opens.each do |address, (open, shown)|
      visit address
      expect(page).to have_no_text(waiting)
      expect(page).to have_css("h1", visible: :all)
      open.call
      expect(page).to have_css(shown).and be_accessible
      all(".modal", wait: 0).each { |dialog| expect(dialog["aria-label"] || dialog["aria-labelledby"]).to be_truthy }
    end
  end
end
