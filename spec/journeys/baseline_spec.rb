# frozen_string_literal: true

# From the first day to a place for each child: on devices, on paper, or as the teacher knows it.
RSpec.describe "Where each child is" do
  it "is found on devices: from Home to the step, with one try for each clock" do
    school_class
    visit "/"
    within(".card", text: "Where are they on the ladder?") { click_link "On devices" }
    expect(page).to have_checked_field("Find where each child is")
    click_button "Start session"
    expect(page).to have_css("h1", text: "Where each child is")
    desk = { **store.db[:desks].first.transform_keys(&:to_s) }

    using_session(:anneke) do
      join(desk, "Anneke")
      expect(page).to have_css("header .visually-hidden", text: "0 of 12 done", visible: :all)
      enter_wrong(desk)
      expect(page).to have_css("[role='status']")
      click_button "Next"
      expect(page).to have_css("header .visually-hidden", text: "1 of 12 done", visible: :all)
    end
    answer_rightly(desk, "Bram", 12)
    expect(page).to have_css("li", text: /Bram.*up to minutes/m)
    click_link "Check"
    expect(page).to have_css("article", text: "Where each child is")
  end

  # An hour that is not asked, in whichever way the child answers.
  def enter_wrong(desk)
    hour = (Vantick::Core::Dial::DialTime.parse(asked(desk, "Anneke")[:time]).hour % 12) + 1
    return say(usual("#{hour}:00")) if page.has_css?(".sentence-entry", wait: 0)

    "#{hour}00".chars.each { |digit| click_button digit, exact: true }
    send_it
  end

  it "is on paper one page of twelve clocks" do
    school_class
    visit "/"
    within(".card", text: "Where are they on the ladder?") { click_link "On paper" }
    expect(page).to have_checked_field("Where each child is").and have_field("How many", with: "12")
    expect(page).to have_no_field("Step", exact: true)
    expect(page).to have_css("svg text", text: "What can you read?")
  end

  it "is what the teacher knows from last year, said for the class and taken back" do
    school_class
    visit "/"
    select "Quarters", from: "Had this last year, up to"
    click_button "Save"
    expect(page).to have_css("[role='status']", text: "The class had this last year, up to quarters.")
    expect(store.db[:said].select_map(%i[step known])).to eq([["quarters", 1]] * 2)
    click_button "Undo"
    expect(page).to have_field("Had this last year, up to")
    expect(store.db[:said].count).to eq(0)
  end

  it "is asked of a child who has no answers, from the child's own page" do
    id = school_class[:id]
    child = store.classes.children(id).first
    visit "/class/child/#{child[:id]}"
    expect(page).to have_text("No answers yet. Twelve clocks show where Anneke is.")
    within(".page") { click_link "On devices" }
    expect(page).to have_checked_field("Anneke").and have_unchecked_field("Bram")
  end

  describe "when a child is away" do
    it "is told with one tap in the grid or one key, and taken back" do
      visit "/check/#{make_check}"
      click_button "Bram was away"
      expect(page).to have_css("button[aria-label='Bram was away'][aria-pressed='true']")
      expect(store.db[:away].count).to eq(1)
      cell("Anneke", 1).send_keys("hp3", :enter)
      expect(page).to have_no_button("Anneke was away")
      cell("Bram", 1).send_keys("_")
      expect(page).to have_css("button[aria-label='Bram was away'][aria-pressed='false']")
      eventually { expect(store.db[:away].count).to eq(0) }
    end

    it "is told at the end of a lesson" do
      id = school_class[:id]
      lesson = ask_as_teacher("/api/classes/#{id}/lessons", { day: Date.jd(Vantick::Server::Store::SchoolDay.today).iso8601,
                                                              step: "half_past", minutes: 40, seed: 1 })
      visit "/plan/#{lesson['id']}/run"
      expect(page).to have_css("h1, h2")
      browser.action.send_keys("e").perform
      within("fieldset", text: "Who was away?") { click_button "Bram" }
      expect(page).to have_css("button[aria-pressed='true']", text: "Bram")
      expect(store.db[:away].count).to eq(1)
    end
  end
end
