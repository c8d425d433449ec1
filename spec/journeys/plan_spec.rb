# frozen_string_literal: true

RSpec.describe "Planning a lesson and giving it", :demo do
  def press(*keys) = browser.action.send_keys(*keys).perform

  def dials(stage) = find("button.stage", text: stage).all("svg").map { |dial| dial["data-time"] }

  def minutes = page.all("button.stage .minutes").map { |text| text.text.to_i }

  # The lesson that is open, as the server has it.
  def kept = store.lessons.find(page.current_path[/\d+/].to_i)

  def plan_next(step = "Quarter to", why = "children still use the hour that has passed after \"to\"")
    visit "/plan"
    expect(page).to have_css("h1", text: step).and have_text(why)
    click_button "Plan lesson"
    expect(page).to have_css("button.stage", count: 6)
  end

  it "proposes the next step with its reason, and shows each step with what goes with it" do
    visit "/plan"
    expect(page).to have_css("button[aria-pressed='true']", text: "Quarter to").and have_text("Builds on quarter past.")
    find("ol.ladder button", text: "Fives past").click
    expect(page).to have_css("h2", text: "Fives past").and have_text("CCSS 2.MD.C.7, England year 2").and have_text("26 not yet")
    find(".rung button", text: "Counting by fives").click
    expect(page).to have_css("h2", text: "Counting by fives")
  end

  it "has a lesson on the two hands, which has no times" do
    visit "/plan"
    find("ol.ladder button", text: "The two hands").click
    click_link "Open lesson: the two hands"
    expect(page).to have_css("h1", text: "The two hands").and have_text("40 minutes").and have_text("a split pin for each child")
    expect(page).to have_css("li h2", minimum: 5).and have_button("Print lesson")
    click_link "Print a clock to make"
    expect(page).to have_checked_field("A clock to make")
  end

  it "plans forty minutes to scale, changes them, and undoes it" do
    visit "/plan"
    find("ol.ladder button", text: "Fives to").click
    click_button "Plan lesson: fives to"
    expect(page).to have_css("button.stage", count: 6)
    expect(minutes).to eq([4, 4, 8, 7, 11, 6])
    widths = page.all("button.stage").map { |stage| stage.native.size.width }
    expect(widths[4] / widths[0].to_f).to be_between(2.2, 3)
    before = dials("Exit check")
    find("button.stage", text: "Exit check").click
    first(:button, title: "Swap").click
    expect(page).to have_button("Undo", disabled: false)
    expect(dials("Exit check").drop(1)).to eq(before.drop(1))
    expect(dials("Exit check").first).not_to eq(before.first)
    click_button "Undo"
    # The button rests while it is undone, too.
    eventually { expect(dials("Exit check")).to eq(before) }
    expect(page).to have_button("Undo", disabled: true)
  end

  it "moves minutes between stages with the keyboard, says what no longer fits, and takes it back" do
    plan_next
    line = find("[role='separator'][aria-label='Between Alone and Exit check']")
    line.send_keys(:arrow_right)
    expect(page).to have_css("button.stage", text: "12 min")
    line.send_keys(:arrow_right)
    expect(page).to have_css("button.stage", text: "13 min")
    expect(minutes.sum).to eq(40)
    expect(page).to have_text("Doesn't fit any more: Exit check")
    click_button "Undo", match: :first
    expect(page).to have_css("button.stage", text: "12 min")
    fill_in "Minutes", with: "90\t"
    expect(page).to have_css("[role='alert']", text: "5 to 75 minutes")
    fill_in "Minutes", with: "30\t"
    expect(page).to have_no_css("button.stage", text: "8 min")
    expect(kept[:plan][:minutes]).to eq(30)
  end

  it "says how children work and what to ask them all, and takes another way" do
    plan_next
    find("button.stage", text: "Together").click
    expect(page).to have_text("Ask all, before they work together")
    expect(page).to have_text("Look for:")
    ["Tell your partner", "Show me on boards"].each { |way| select way, from: "Way to work" }
    expect(page).to have_text("Write the time and hide it.")
    expect(page).to have_css("li", text: "a board and a pen for each child")
    eventually { expect(kept[:plan][:activities]).to eq({ together: "show_boards" }) }
    fill_in "Minutes", with: "5\t"
    expect(page).to have_css("button.stage", count: 2)
    fill_in "Minutes", with: "40\t"
    expect(page).to have_css("button.stage", count: 6)
  end

  it "takes a typed time, pins it, and keeps it when all else is chosen anew and copied to next week" do
    plan_next
    find("button.stage", text: "Exit check").click
    first(:button, title: "Type another time").click
    typed = find("input[aria-label^='New time for']")
    typed.set("4:99")
    typed.send_keys(:enter)
    expect(page).to have_css("[role='alert']", text: "4:99")
    typed.set("4:49")
    typed.send_keys(:enter)
    expect(page).to have_css("li.pinned", text: "4:49").and have_text("from minutes to")
    click_button "Choose all again"
    expect(page).to have_css("li.pinned", text: "4:49")
    day = Date.parse(kept[:day])
    lesson = kept[:id]
    click_button "Copy to next week"
    expect(page).to have_no_css("input[type='date'][value='#{day}']").and have_css("li.pinned", text: "4:49")
    expect(page).to have_css("input[type='date']") { |field| field.value == (day + 7).to_s }
    expect(kept[:id]).not_to eq(lesson)
  end

  it "is given by key to the exit check, and what was not reached is in the next recap" do
    plan_next
    alone = dials("Alone")
    click_link "Start lesson"
    expect(page).to have_css(".run .large")
    press(" ", " ", " ", " ")
    # Hours are counted before fives are: three hops from the twelve.
    expect(page).to have_css(".said", text: "3")
    press("3")
    expect(page).to have_css(".cover", minimum: 4)
    press(" ", " ")
    expect(page).to have_css(".text").and have_css(".turned svg")
    press(:page_down)
    expect(page).to have_css(".cover").and have_text("Write the time and hide it.")
    press(" ")
    expect(page).to have_css(".answer")
    press("5", "m")
    expect(page).to have_css("[role='checkbox']", minimum: 3).and have_css(".together svg", count: alone.length)
    press(:page_down)
    click_button "Enter answers"
    expect(page).to have_css("input[aria-label$='clock 5']", minimum: 26)
    page.go_back
    expect(page).to have_button("Print exit check")
    press("e")
    expect(page).to have_text("End of the lesson")
    click_button "End lesson", exact: false
    expect(page).to have_css("li", text: "taught")
    plan_next("Quarter to", "The second lesson on this")
    expect(page).to have_text("Carried over from last lesson:")
    expect(dials("Review")).not_to be_empty
  end

  it "counts boards that go up, says what to do and what to ask next, and keeps it with the lesson" do
    plan_next
    id = page.current_path[/\d+/]
    click_link "Start lesson"
    expect(page).to have_css(".run .large")
    press("3", "b")
    within(".boards") do
      expect(page).to have_css("li", minimum: 3).and have_button("What next?", disabled: true)
      within(all("li")[1]) { click_button "most" }
      click_button "What next?"
      expect(page).to have_css("p", text: /\AThey .+\./).and have_css("button", text: /Ask \d+:\d\d next/)
    end
    before = page.find("[role='slider']")["aria-valuetext"]
    click_button "Ask", exact: false
    eventually { expect(page.find("[role='slider']")["aria-valuetext"]).not_to eq(before) }
    visit "/plan/#{id}/boards"
    expect(page).to have_text("What the class showed").and have_text(/: most\./)
    first("button.clock").click
    expect(page).to have_css(".boards li", minimum: 3)
  end

  it "says so where there is no other time to swap for" do
    plan_next
    find("button.stage", text: "Exit check").click
    before = dials("Exit check")
    first(:button, title: "Swap").click
    expect(page).to have_css("[role='alert']", text: "Every other time is already in this lesson.")
    expect(dials("Exit check")).to eq(before)
  end

  # A quarter of a turn on, with the pointer: keys are the lesson's.
  def turn_long_hand(dial, time)
    box = dial.native.rect
    place = lambda do |minute|
      turn = minute * Math::PI / 30
      [box.x + (box.width * (0.5 + (0.3 * Math.sin(turn)))), box.y + (box.height * (0.5 - (0.3 * Math.cos(turn))))].map(&:round)
    end
    minute = time[/\d+\z/].to_i
    browser.action.move_to_location(*place[minute]).pointer_down.move_to_location(*place[minute + 7])
           .move_to_location(*place[minute + 15]).pointer_up.perform
  end

  it "follows a dial that is turned while the lesson is given, and goes back to the lesson's own clock" do
    visit "/plan/1/run"
    expect(page).to have_css("h1", text: "Quarters", visible: :all)
    press("3")
    dial = find("[role='slider']")
    own = dial["aria-valuetext"][/\A[\d:]+/]
    turn_long_hand(dial, own)
    turned = dial["aria-valuetext"][/\A[\d:]+/]
    expect(turned).not_to eq(own)
    click_button "Show next line", match: :first while page.has_button?("Show next line", wait: 0.5)
    expect(page).to have_text(usual(turned)).and have_no_text(usual(own))
    click_button "Back to the lesson's clock"
    expect(find("[role='slider']")["aria-valuetext"]).to start_with(own)
  end

  # What is on the wall: the stage, and the clock of the item.
  def on_the_wall
    [find("h1", visible: :all).text(:all)[/: (.*)/, 1], page.all(".run .stage svg[data-time]", wait: 0).first&.[]("data-time")]
  end

  it "goes back by a key to the clock that was there, also across the edge of a stage", :demo do
    visit "/plan/1/run"
    expect(page).to have_css("h1", text: "Quarters", visible: :all)
    walked = [on_the_wall]
    until walked.last.first != walked.first.first
      press(:arrow_right)
      eventually { expect(on_the_wall).not_to eq(walked.last) }
      walked << on_the_wall
    end
    walked[0..-2].reverse_each do |before|
      press(:arrow_left)
      eventually { expect(on_the_wall).to eq(before) }
    end
  end

  it "is removed, and comes back at once or days later" do
    visit "/plan"
    expect(page).to have_css(".lessons li", count: 2)
    lessons = all(".lessons li").map(&:text)
    first(:button, "Delete").click
    expect(page).to have_css(".lessons li", count: 1).and have_css("[role='status']", text: "Deleted: ")
    within("[role='status']") { click_button "Restore" }
    expect(page).to have_css(".lessons li", count: 2).and have_no_css("[role='status']", text: "Deleted: ")
    first(:button, "Delete").click
    expect(page).to have_css(".lessons li", count: 1)
    visit "/plan"
    find("summary", text: "Deleted lately: 1").click
    click_button "Restore", exact: false
    expect(page).to have_css(".lessons li", count: 2)
    expect(all(".lessons li").map(&:text)).to eq(lessons)
  end

  it "is found by its step and its month, once there are many" do
    4.times { |week| ask_as_teacher("/api/classes/1/lessons", day: (today + (7 * week)).iso8601, step: "fives", minutes: 40, seed: 1) }
    visit "/plan"
    expect(page).to have_css(".lessons li", count: 6)
    select "Fives", from: "Which step"
    expect(page).to have_css(".lessons li", count: 4).and have_no_css(".lessons li", text: "Quarter")
    select today.prev_month(2).strftime("%B %Y"), from: "Which month"
    expect(page).to have_text("No lessons found.")
    visit "/check"
    expect(page).to have_css("article", count: 3)
  end

  it "lists and proposes nothing without a class" do
    store.db[:lessons].delete
    visit "/plan"
    expect(page).to have_text("No lessons yet. Plan the one above")
  end
end
