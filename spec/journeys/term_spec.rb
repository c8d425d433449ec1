# frozen_string_literal: true

RSpec.describe "A term", :demo do
  let(:monday) { today - ((today.wday - 1) % 7) + 7 }

  def press(*keys) = browser.action.send_keys(*keys).perform

  def set_term(aim: "Fives", weeks: 8, first: monday)
    visit "/plan"
    click_link "Plan term"
    expect(page).to have_css("h1", text: "The term of Curlew class")
    last = first + (weeks * 7) - 3
    { "First day" => first, "Last day" => last, "By" => last }.each { |name, day| fill_in name, with: day }
    select aim, from: "Goal for everyone"
    yield if block_given?
    click_button "Plan the term"
    expect(page).to have_css(".term-grid").and have_button("Days and goal")
  end

  def lessons = page.all(".term-grid .lesson").map { |one| one["aria-label"] }

  # What each lesson is about, without its day.
  def steps = lessons.map { |text| text.split(", ")[1] }

  def lesson(at) = page.all(".term-grid .lesson")[at]

  def forecast = find(".said", text: /about \d+ of 26 will know/, wait: 40).text

  it "begins with finding out where each child is, for a class of which nothing is known, and foretells nothing yet" do
    visit "/"
    made = store.classes.add(name: "Plover", school: "Tern Quay School", names: %w[Arlo Beth Cees], made_at: "2026-03-02T08:00:00Z",
                             account_id: store.db[:accounts].get(:id))
    visit "/plan/term?class=#{made[:id]}"
    expect(page).to have_css("h1", text: "The term of Plover")
    { "First day" => monday, "Last day" => monday + 53, "By" => monday + 53 }.each { |name, day| fill_in name, with: day }
    click_button "Plan the term"
    expect(page).to have_css(".said", text: "too early to say", wait: 40)
    expect(lessons.first).to include("find out first")
    expect(page).to have_text("It ends with one page that finds out where each child is.")
    click_link "Print the page"
    expect(page).to have_checked_field("Where each child is")
  end

  it "is planned at once from a calendar file, with how likely it holds and what would help" do
    file = File.join(Dir.mktmpdir, "school.ics")
    off = (monday + 14).strftime("%Y%m%d")
    File.write(file, ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//x//EN", "BEGIN:VEVENT", "UID:1", "DTSTART;VALUE=DATE:#{off}",
                      "DTEND;VALUE=DATE:#{(monday + 21).strftime('%Y%m%d')}", "SUMMARY:Half-term", "END:VEVENT", "BEGIN:VEVENT", "UID:2",
                      "DTSTART:#{off}T090000Z", "DTEND:#{off}T100000Z", "SUMMARY:Meeting", "END:VEVENT", "BEGIN:VEVENT", "UID:3",
                      "DTSTART;VALUE=DATE:#{(monday + 2).strftime('%Y%m%d')}", "SUMMARY:Sports day", "END:VEVENT", "BEGIN:VEVENT", "UID:4",
                      "DTSTART;VALUE=DATE:#{(monday + 4).strftime('%Y%m%d')}", "SUMMARY:Maker day", "END:VEVENT",
                      "END:VCALENDAR", ""].join("\r\n"))
    set_term(weeks: 8, aim: "Minutes") do
      attach_file "Or from the school's calendar file (.ics)", file
      expect(page).to have_text("3 entries found in school.ics.").and have_unchecked_field("Sports day", exact: false)
      expect(page).to be_axe_clean.according_to(*BrowserHelpers::AXE_TAGS)
      uncheck "Maker day", exact: false
      click_button "Add 1 entry"
      expect(page).to have_field("Days off 1, name", with: "Half-term").and have_no_button("Add 1 entry")
      # What was said of a name holds next time.
      attach_file "Or from the school's calendar file (.ics)", file
      expect(page).to have_unchecked_field("Maker day", exact: false).and have_button("Add none")
      within(".found") { click_button "Cancel" }
      find_field("Days off 1, name").find(:xpath, "..").click_button "Delete days off Half-term"
      attach_file "Or from the school's calendar file (.ics)", file
      # What is ticked counts, also where it is not added by itself.
      expect(page).to have_button("Add 1 entry")
      expect(page).to have_text("Not added: Meeting. It is part of a day, not a whole day.")
    end
    expect(lessons.length).to eq(21)
    expect(steps).to include("Quarters", "spare")
    expect(forecast).to match(/will know minutes, likely \d+ to \d+\./)
    click_button "What would help?"
    expect(page).to have_css("[aria-label='What would help'] li", text: /Ten minutes on devices twice a week: /, wait: 60)
    expect(page).to have_css("h2", text: steps.first).and have_css(".lesson-card p", text: "The first lesson after a break")
    again = lessons.index { |label| label.match?(/lesson \d+, in (words|digits)/) }
    lesson(again).click
    expect(page).to have_css(".lesson-card p", text: /\A\d+ of 26 know it by now\. .*[Ii]t is in (words|digits)\.\z/)
    lesson(0).click
    click_button "Plan lesson"
    expect(page).to have_css("button.stage", count: 6)
    expect(page).to be_axe_clean.according_to(*BrowserHelpers::AXE_TAGS)
  end

  it "has a lesson dragged to another day, and the plan before put back" do
    set_term
    before = steps
    from, to = [lesson(1), lesson(4)].map(&:native)
    browser.action.move_to(from).click_and_hold.move_by(8, 4).move_to(to).move_by(2, 2).release.perform
    moved = before.dup
    moved.insert(4, moved.delete_at(1))
    eventually { expect(steps.first(7)).to eq(moved.first(7)) }
    click_button "Undo"
    eventually { expect(steps).to eq(before) }
    expect(page).to have_no_button("Undo")
  end

  it "plans round a week of illness, using what was left open, and says what is likely before and after" do
    set_term
    forecast
    open = steps.count("spare")
    lesson(1).click
    click_button "No lessons that week"
    expect(page).to have_css(".changed", text: /No lessons in the week of .*; \d+ other lessons change\./)
    expect(steps.first(3).uniq).to eq(["no lesson"])
    expect(steps.count("spare")).to be < open
    forecast
    lesson(0).click
    click_button "Teach it after all"
    eventually { expect(steps.first).not_to eq("no lesson") }
  end

  it "goes back by a key with its days and its aim, and skips what is left of this week" do
    set_term(first: today - 7)
    before = lessons
    click_button "Days and goal"
    select "Quarters", from: "Goal for everyone"
    click_button "Add days off"
    expect(find_field("Days off 1, from").value).to eq((today - ((today.wday - 1) % 7)).iso8601)
    fill_in "Days off 1, from", with: monday + 7
    expect(find_field("Days off 1, to").value).to eq((monday + 11).iso8601)
    fill_in "Days off 1, to", with: monday
    click_button "Plan the term"
    expect(page).to have_text("Row 1 of the days off ends before it starts")
    fill_in "Days off 1, to", with: monday + 11
    click_button "Plan the term"
    expect(page).to have_css(".changed", text: "The term has new days or a new goal")
    expect(lessons).not_to eq(before)
    browser.action.key_down(:control).send_keys("z").key_up(:control).perform
    expect(page).to have_css(".changed", text: "The last change is undone")
    eventually { expect(lessons).to eq(before) }
    click_button "No lessons this week"
    expect(page).to have_css(".changed", text: "No lessons this week;").and have_no_button("No lessons this week")
  end

  it "is changed with keys alone, which are never lost" do
    set_term
    before = steps
    lesson(1).send_keys(:enter)
    find(:button, "Later").send_keys(:enter)
    eventually { expect(steps.first(3)).to eq(before.values_at(0, 2, 1)) }
    expect(page).to have_css(".lesson[aria-pressed='true'][aria-label*='moved']")
    eventually { expect(browser.execute_script("return document.activeElement === document.body")).to be(false) }
    find(:button, "Pin to this day").send_keys(:enter)
    expect(page).to have_css(".lesson[aria-pressed='true'][aria-label*='pinned']")
    eventually { expect(browser.execute_script("return document.activeElement === document.body")).to be(false) }
    select "O'clock", from: "Change step"
    click_button "Set"
    expect(page).to have_css(".lesson[aria-pressed='true'][aria-label*=\"O'clock\"]")
  end

  it "changes with a check, says why, and lets home begin with its lesson" do
    set_term(first: today - 1)
    before = steps
    check = store.checks.add(class_id: 1, step: "half_past", task: "dial_to_words", times: %w[3:30 4:30 7:30 9:30 11:30],
                             made_at: now)
    given = store.classes.find(1).children.product(check.items).map do |child, item|
      row = { uuid: SecureRandom.uuid, item_id: item[:id], child_id: child[:id], answer: "ten past one" }
      [row, Vantick::Server::Store::MarkedAnswers.judged(item, row[:answer], Vantick::Core::Wording::Conventions.default)]
    end
    store.answers.add_all(given, answered_at: now)
    visit "/plan/term"
    expect(page).to have_css(".changed", text: /: \d+ children don't know this yet/)
    expect(steps).not_to eq(before)
    click_button "Undo"
    eventually { expect(steps).to eq(before) }
    store.db[:lessons].delete
    visit "/"
    expect(page).to have_text(/Today's lesson|Next lesson/)
    click_button "Open"
    expect(page).to have_css("button.stage", count: 6)
  end

  it "says so where no lesson is left, and is removed" do
    set_term(first: today - 70, weeks: 9)
    expect(page).to have_text("No lessons are left before")
    click_button "Days and goal"
    click_button "Delete term"
    within(".modal") { click_button "Delete term" }
    expect(page).to have_button("Plan the term")
  end

  it "takes sixty lessons and thirty-two children" do
    store.register.add(1, (1..6).map { |at| "Child#{at}" }, "2026-01-05T08:00:00Z")
    set_term(weeks: 22)
    expect(lessons.length).to be > 60
    expect(find(".said", text: /of 32 will know/, wait: 60)).to be_visible
  end
end
