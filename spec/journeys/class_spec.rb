# frozen_string_literal: true

require "pdf-reader"

RSpec.describe "A class and what its answers say", :demo do
  it "opens with what the last check says and what to do next" do
    visit "/"
    expect(page).to have_css("li", text: '5 children seem to use the hour that has passed after "to"')
    expect(page).to have_text("Next for Curlew class").or have_text("Your next lesson")
    expect(page).to have_css("li", text: "Hana, Kofi: away or not entered; 1 answer unreadable")
    expect(page).to have_css("article", count: 1).and have_link("All checks")
    expect(page).to have_text("Tern Quay School and everyone in it is made up.")
    click_link "Show 3 clocks that help"
    expect(page).to have_css("[data-lens='hour_gap']").and have_css("[role='slider'][aria-valuetext^='7:45']")
  end

  it "asks what Home begins with once, together with the page, and has few files of scripts" do
    visit "/?class=1"
    expect(page).to have_css("li", text: "5 children seem to use")
    asked = page.evaluate_script("performance.getEntriesByType('resource').map((one) => new URL(one.name).pathname)")
    first = %w[/api/session /api/dial /api/catalogue /api/classes/1/news]
    expect(asked.tally.slice(*first)).to eq(first.to_h { |path| [path, 1] })
    scripts = asked.each_index.select { |at| asked[at].end_with?(".js") }
    expect(scripts.length).to be_between(4, 20)
    # All of it is asked before Home's own script.
    expect(first.map { |path| asked.index(path) }.max).to be < asked.index { |path| path.include?("/HomeView") }
  end

  it "tells of each child, own hits first, in the order of the register" do
    visit "/results/3"
    names = page.all("tbody th").map(&:text)
    expect(names).to eq(Vantick::Demo::TABLE[:children])
    expect(find("tr", text: "Elio")).to have_text('"past" and "to" mixed up').and have_text("3 of 3 times it could show")
    expect(find("tr", text: "Goran")).to have_text("1 answer unreadable")
    expect(find("tr", text: "Hana")).to have_text("away")
    expect(find("tr", text: "Freya")).to have_text("all right")
  end

  it "shows the answers of another check when that is chosen" do
    visit "/results/3"
    expect(page).to have_css("h2", text: "5 children")
    select find("option", text: "Half past, in digits").text, from: "Check"
    expect(page).to have_css("h2", text: "3 children seem to name the next hour before the hour hand gets there.")
    expect(page).to have_current_path("/results/1?class=1")
  end

  it "moves between classes, and leaves a check of the other one" do
    make_check(names: %w[Pip])
    visit "/check/3"
    expect(page).to have_css("h1", text: "Quarters, in words")
    find("header .dropdown-toggle").click
    find("header .dropdown-item", text: "Curlew class", match: :first).click
    expect(page).to have_current_path("/?class=2").and have_text("Curlew class is ready")
    page.go_back
    expect(page).to have_css("h1", text: "Quarters, in words").and have_current_path("/check/3?class=1")
    visit "/check/4"
    expect(page).to have_current_path("/check/4?class=2")
    click_link "Check"
    expect(page).to have_current_path("/check?class=2").and have_css("article", count: 1)
  end

  it "finds a child by typing its name, in the order of the pile, and says who is missing" do
    visit "/check/#{make_check(names: %w[Anneke Bram Celyn Dara])}"
    fill_in "Whose slip?", with: "ce"
    find_field("Whose slip?").send_keys(:enter)
    expect(browser.switch_to.active_element.attribute("aria-label")).to eq("Celyn, clock 1")
    3.times { browser.switch_to.active_element.send_keys("qp7", :enter) }
    expect(page).to have_css(".how-far", text: "1 of 4 done. Missing: Anneke, Bram, Dara.")
    expect(browser.switch_to.active_element.attribute("id")).to eq("whose")
    browser.switch_to.active_element.send_keys("q", :enter)
    expect(page).to have_css("[role=alert]", text: "No child has that name.")
  end

  it "finds a check again, its slips and its answers, from the list" do
    visit "/check"
    expect(page).to have_css("article", text: /Quarters, in words.*24 of 26 entered.*1 unreadable/m)
    within(find("article", text: "Half past")) do
      click_button "More", exact: false
      click_link "Slips"
    end
    expect(page).to have_css(".sheet-page", minimum: 2).and have_css(".sheet-page text", text: "Answers: Half past", visible: :all)
    click_link "Enter answers"
    expect(cell("Quill", 1).value).to eq("")
    expect(page).to have_css("input[aria-label='Anneke, clock 1'][data-verdict='right']")
  end

  it "can be gone through by keyboard alone, from the first screen to a typed answer" do
    visit "/"
    expect(page).to have_css("h1")
    browser.action.send_keys(:tab).perform
    expect(browser.switch_to.active_element.text).to eq("Skip to content")
    visit "/check/3"
    eventually { expect(browser.switch_to.active_element.attribute("aria-label")).to match(/, clock 1\z/) }
    browser.action.send_keys("@", "Anneke", :enter).perform
    eventually { expect(browser.switch_to.active_element.attribute("aria-label")).to eq("Anneke, clock 1") }
    browser.action.send_keys(:arrow_down, :arrow_down, "3o", :enter).perform
    expect(page).to have_css(".read-back", text: "Celyn, clock 1: 3o reads as three o'clock")
  end

  it "says so when Can't reach Vantick, and goes on once it does" do
    visit "/nowhere"
    application = BrowserHelpers::School.app
    BrowserHelpers::School.app = ->(env) { env["PATH_INFO"].start_with?("/api/") ? [503, {}, [""]] : application.call(env) }
    visit "/"
    expect(page).to have_css("h1", text: "Can't reach Vantick")
    BrowserHelpers::School.app = application
    click_button "Try again"
    expect(page).to have_css("li", text: "5 children seem to use the hour that has passed")
  end

  it "shows children by steps, and opens a child's record with the very dials behind a misreading" do
    visit "/class"
    expect(page).to have_css("tr.child", count: 26).and have_css("tr", text: /Lena.*Quarter to.*needs help here/m)
    expect(page).to have_css("tr.part", text: /\A\d+ children need help with a step/)
    click_link "Elio"
    expect(page).to have_css("h1", text: "Elio").and have_text('Likely: "past" and "to" mixed up.')
    expect(page).to have_css("h3", text: '"past" and "to" mixed up').and have_text("times it could show")
    expect(page).to have_css(".dials svg", minimum: 2).and have_css(".can svg", minimum: 3)
    expect(page).to have_css(".spark").and have_text("Has it gone?")
    answers = store.db[:answers].where(child_id: store.db[:children].where(name: "Elio").select(:id)).count
    expect(page).to have_css("table tr", count: answers)
    click_link "Show 3 clocks for this"
    expect(page).to have_css("[role='slider']")
  end

  it "puts children into groups for tomorrow, moves one by hand, and leads to a lesson for them" do
    visit "/class/groups"
    expect(page).to have_css(".groups section", minimum: 3)
    before = find(".groups section:nth-child(2)").all("li").length
    child = find(".groups section:nth-child(1)").first("li a").text
    select "2", from: "Move #{child} to another group"
    expect(page).to have_css(".groups section:nth-child(2) li", count: before + 1).and have_css(".groups section:nth-child(2)", text: child)
    click_button "Reset groups"
    expect(page).to have_css(".groups section:nth-child(2) li", count: before)
    within(find(".groups section:nth-child(1)")) { click_button "Plan lesson" }
    expect(page).to have_css("button.stage", count: 6)
  end

  it "keeps groups as they were put together, and opens sheets, lessons and desks for exactly those children" do
    visit "/class/groups"
    child = find(".groups section:nth-child(1)").first("li a").text
    select "2", from: "Move #{child} to another group"
    expect(page).to have_text("made today")
    visit "/class/groups"
    expect(page).to have_css(".groups section:nth-child(2)", text: child)
    names = find(".groups section:nth-child(1)").all("li a").map(&:text).sort
    within(find(".groups section:nth-child(1)")) { click_button "Plan lesson" }
    expect(page).to have_text("For #{names.join(', ')}.")
    page.go_back
    within(find(".groups section:nth-child(1)")) { click_link "Use devices" }
    expect(page).to have_css("h1", text: "Answer on devices")
    expect(all(".children input:checked").length).to eq(names.length)
    page.go_back
    within(find(".groups section:nth-child(1)")) { click_link "Make sheet" }
    expect(page).to have_text("For #{names.join(', ')}.")
    click_button "For the whole class"
    expect(page).to have_no_button("For the whole class")
  end

  it "tells the parents what a child can read, is learning, and what helps, with no counts and nobody else" do
    id = store.db[:children].where(name: "Elio").get(:id)
    visit "/class/child/#{id}"
    click_link "For the parents"
    expect(page).to have_css("h1", text: "Elio and the clock").and have_css("h2", text: "What helps").and be_accessible
    others = store.classes.all.first.children.map { |child| child[:name] } - ["Elio"]
    text = find("#main").text
    expect(others.select { |name| text.match?(/\b#{name}\b/) }).to eq([])
    expect(text).not_to match(/\d+ of \d+|%/)
    # What helps at home is another sentence than what helps in class.
    expect(text).to include('Point to the side from 12 down to 6: "past".')
    expect(PDF::Reader.new(StringIO.new(Base64.decode64(browser.print_page))).pages.length).to eq(1)
  end

  it "shows a child's answers of one month, or those behind one misreading" do
    id = store.db[:children].where(name: "Elio").get(:id)
    visit "/class/child/#{id}"
    rows = -> { find_all("section[aria-labelledby='all-head'] tr") }
    all_rows = rows.call.length
    months = find("select[aria-label='Which month']").all("option").map(&:text)
    counts = months.drop(1).map do |month|
      select month, from: "Which month"
      rows.call.length
    end
    expect([counts.length, counts.sum]).to match([be > 1, all_rows])
    select "All months", from: "Which month"
    select '"past" and "to" mixed up', from: "Which mistake"
    expect(rows.call).to include(have_text('"past" and "to" mixed up')).and all(have_text('"past" and "to" mixed up'))
  end

  it "prints a lesson, groups and the clocks shown on a page each, without what is only for the screen" do
    { "/plan/2" => "In these words", "/class/groups" => "Group 1",
      "/show?times=7:45,3:40,12:45" => "quarter to eight" }.each do |address, words|
      visit address
      expect(page).to have_css("h1")
      expect(page).to have_button("Print").and have_text(:all, words)
      pages = PDF::Reader.new(StringIO.new(Base64.decode64(browser.print_page))).pages
      expect(pages.first.text).to include(words)
      expect(pages.length).to eq(1), "#{address}: #{pages.length} pages"
      expect(pages.map(&:text).join).not_to include("Copy to next week")
    end
  end

  it "looks back week by week" do
    visit "/class/weeks"
    expect(page).to have_css("h2", text: "Who is secure").and have_css("li", text: /old hour used with "to"\s+5 children/)
    beside = "return [...document.querySelectorAll('.rows li')].map((row) => [row.querySelector('.name'), row.querySelector('strong')])" \
             ".filter(([, now]) => now).map(([name, now]) => now.getBoundingClientRect().top < name.getBoundingClientRect().bottom)"
    on_a_phone { eventually { expect(browser.execute_script(beside)).to include(true).and all(be(true)) } }
  end
end
