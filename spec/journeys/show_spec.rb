# frozen_string_literal: true

RSpec.describe "Showing a clock" do
  def dial = find("[role='slider'][aria-label^='The clock']")

  def time = dial["aria-valuetext"][/\A[\d:]+/]

  # A point of the window at an angle from the middle of the dial, in degrees clockwise from the twelve.
  def point(degrees, share: 0.3)
    box = browser.execute_script(<<~JS, dial.native)
      const box = arguments[0].getBoundingClientRect();
      return [box.x + box.width / 2, box.y + box.height / 2, Math.min(box.width, box.height)];
    JS
    turn = degrees * Math::PI / 180
    [(box[0] + (box[2] * share * Math.sin(turn))).round, (box[1] - (box[2] * share * Math.cos(turn))).round]
  end

  # Takes the long hand at one minute and leads it through others, by mouse or by finger.
  def drag(kind, *minutes)
    pointer = Selenium::WebDriver::Interactions.pointer(kind, name: kind.to_s)
    first, *others = minutes.map { |minute| point(minute * 6) }
    pointer.create_pointer_move(duration: 0.05, x: first[0], y: first[1])
    pointer.create_pointer_down(:left)
    others.each { |x, y| pointer.create_pointer_move(duration: 0.1, x:, y:) }
    pointer.create_pointer_up(:left)
    browser.send(:bridge).send_actions([pointer.encode])
  end

  def press(*keys) = browser.action.send_keys(*keys).perform

  # Keys are heard once the dial is there.
  def show(query)
    visit "/show?#{query}"
    expect(page).to have_css("[role='slider']")
  end

  before { show "times=7:45,12:45,3:40" }

  it "turns the short hand with the long one, by mouse, across the hour and back" do
    expect(time).to eq("7:45")
    drag(:mouse, 45, 52, 58, 5, 10)
    expect(time).to eq("8:10")
    expect(page).to have_css("path.hour[transform='rotate(245)']").and have_css("path.minute[transform='rotate(60)']")
    drag(:mouse, 10, 2, 57, 50)
    expect(time).to eq("7:50")
  end

  it "turns by finger" do
    drag(:touch, 45, 40, 33)
    expect(time).to eq("7:33")
  end

  it "stays where it is when something else than the long hand is taken" do
    drag(:mouse, 10, 20, 30)
    expect(time).to eq("7:45")
  end

  it "turns by keyboard: a minute, five with Shift, an hour" do
    dial.click
    press(:arrow_right)
    expect(time).to eq("7:46")
    browser.action.key_down(:shift).send_keys(:arrow_right, :arrow_right, :arrow_left).key_up(:shift).perform
    expect(time).to eq("7:51")
    press(:page_up, :page_up, :page_up, :page_up, :page_up, :arrow_left)
    expect(time).to eq("12:50")
    press(:page_down)
    expect(time).to eq("11:50")
  end

  it "keeps the reading covered until asked, then gives it in steps, and covers it for the next time" do
    expect(page).to have_css(".cover", count: 5).and have_no_text("quarter to eight")
    press(" ")
    expect(page).to have_text("The short hand has passed the 7. It is going to the 8.").and have_css(".cover", count: 4)
    press(" ", " ", " ")
    expect(page).to have_text("quarter to eight")
    click_button "Show next line"
    expect(page).to have_css(".text.big", text: "7:45").and have_no_css(".cover")
    click_button "Clock 2"
    expect(time).to eq("12:45")
    expect(page).to have_css(".cover", count: 5)
    press("k")
    expect(page).to have_text("quarter to one")
    press(:arrow_right)
    expect(page).to have_text("fourteen minutes to one")
  end

  # What each lens changes in the picture, by its key.
  lenses = { "n" => "[data-lens='minute_numbers']", "s" => "[data-lights] .sweep", "p" => "[data-lens='halves']",
             "q" => "[data-lens='quarters']", "g" => "[data-lens='hour_gap']", "l" => "[data-lens='hand_lines']",
             "v" => "[data-lens='hour_line']", "t" => "[data-lens='two_dials']", "d" => "[data-lens='day']", "i" => ".turned .roman" }
  taken_off = { "x" => ".turned .numerals", "m" => ".turned .tick", "h" => ".turned .hand.minute", "j" => ".turned .hand.hour" }

  it "lays each lens over the dial by its key and takes it off" do
    show "times=8:23"
    lenses.each do |key, drawn|
      press(key)
      expect(page).to have_css(drawn).and have_css("[role='switch'][aria-checked='true']", count: 1)
      press(key)
      expect(page).to have_no_css(drawn)
    end
    taken_off.each do |key, hidden|
      press(key)
      expect(page).to have_no_css(hidden).and have_css("[role='switch'][aria-checked='true']", count: 1)
      press(key)
      expect(page).to have_css(hidden)
    end
  end

  it "shows one hand at a time, whichever was asked for last" do
    press("h", "j", "t")
    expect(page).to have_css("[role='switch'][aria-checked='true']", count: 1, text: "Two clocks")
    expect(page).to have_css("[data-lens='two_dials'] svg", count: 2)
    press("t")
    expect(page).to have_css(".turned .hand.hour").and have_css(".turned .hand.minute")
  end

  it "lights up what each step speaks of, and counts along the dial as core does" do
    show "times=4:49"
    press(" ")
    expect(page).to have_css(".turned .hand.hour.lit").and have_css(".turned .gap")
    press(" ")
    expect(page).to have_text("Count back from the 12 in fives: 5, 10.")
    expect(page.all("[data-lights] text").map(&:text)).to eq(%w[5 10])
    press(" ")
    expect(page.all("[data-lights] text").map(&:text)).to eq(%w[11])
    press("s")
    expect(page.all("[data-lights] text").map(&:text)).to start_with(%w[5 10 11])
  end

  it "says, ungeared, what is wrong with the picture, and puts the hour hand right" do
    press("u")
    expect(page).to have_text("This clock is right")
    12.times { press(:arrow_up) }
    expect(page).to have_text("Misleading").and have_text("At 7:45 it belongs three quarters of the way from the 7 to the 8.")
    expect(page).to have_text("name the next hour before the hour hand gets there")
    press("r")
    expect(page).to have_text("This clock is right")
    expect(page).to have_css("path.hour[transform='rotate(232.5)']")
    drag(:mouse, 45, 30)
    expect(page).to have_css("path.minute[transform='rotate(180)']").and have_text("At 7:30")
    press("u")
    expect(page).to have_css("path.hour[transform='rotate(225)']")
    expect(time).to eq("7:30")
  end

  it "asks the server for nothing while a hand is dragged" do
    browser.execute_script("performance.clearResourceTimings()")
    drag(:mouse, 45, 52, 58, 5, 10)
    expect(browser.execute_script("return performance.getEntriesByType('resource').length")).to eq(0)
  end

  it "goes through a sequence by key, takes typed times into it, and puts it in another order" do
    press(".")
    expect(time).to eq("12:45")
    press(".", ".")
    expect(time).to eq("7:45")
    press(",")
    expect(time).to eq("3:40")
    click_button "Earlier"
    expect(page.all("button[aria-label^='Clock'] svg").map { |dial| dial["data-time"] }).to eq(%w[7:45 3:40 12:45])
    fill_in "Times to add", with: "9:20, 19:45"
    click_button "Add"
    expect(page).to have_css("[role='alert']", text: "19:45 is not a time on the clock")
    fill_in "Times to add", with: "9:20"
    click_button "Add"
    expect(page).to have_css("button[aria-label^='Clock']", count: 4)
    select "Half past", from: "Choose clocks for a step"
    expect(page).to have_css("button[aria-label^='Clock']", count: 10)
    expect(Vantick::Core::Curriculum::Step.find(:half_past).pool.map(&:to_s)).to include(time)
    click_button "Delete"
    expect(page).to have_css("button[aria-label^='Clock']", count: 9)
  end

  it "lets time go on by fives with its words covered, and stops at the next hour" do
    show "times=7:50"
    press("a")
    expect(page).to have_button("Stop").and have_css(".cover").and have_no_text("five to eight")
    expect(page).to have_css("path.minute[transform='rotate(0)']")
    expect(time).to eq("8:00")
    expect(page).to have_button("Move on in fives").and have_css(".cover")
  end

  it "stops before the hand moves on and asks what it will say, then moves and lets the class check" do
    show "times=7:00"
    press("a")
    expect(page).to have_css("path.minute[transform='rotate(30)']")
    press(" ")
    expect(page).to have_css("[role='status']", text: "What will it say in five minutes?")
    held = time
    press(" ")
    expect(page).to have_css(".cover").and have_no_text("What will it say")
    hour, minute = held.split(":").map(&:to_i)
    expect(time).to eq(format("%<hour>d:%<minute>02d", hour:, minute: minute + 5))
    press(" ")
    expect(page).to have_text("past")
  end

  it "has a timer that is a clock: it goes on while another page is looked at, and ends without a sound" do
    show "times=7:00"
    press("z")
    within("section[aria-label='Timer']") do
      click_button "5", exact: true
      expect(page).to have_css("[role='timer']", text: "5 minutes").and have_css(".shade path")
    end
    Vantick::Server::Clock.set(Vantick::Server::Clock.now + 330)
    Moment.tell(browser)
    show "times=7:00"
    press("z")
    expect(page).to have_css("[role='timer']", text: "Time is up.").and have_no_css(".shade path")
    click_button "Another"
    expect(page).to have_text("How many minutes?")
  end

  it "keeps the half of the day as the hands pass noon, and says it" do
    show "times=11:55&lens=day"
    press("k")
    expect(page).to have_text("five to twelve in the morning").and have_text("11:55 a.m.")
    browser.action.key_down(:shift).send_keys(:arrow_right).key_up(:shift).perform
    expect(page).to have_text("12:00 noon").and have_text("A digital clock shows 12:00 p.m., or 12:00.")
    press(:arrow_right)
    expect(page).to have_text("one minute past twelve in the afternoon").and have_text("12:01 p.m.")
  end

  it "fills the board with the dial, and has its keys on a card" do
    width = -> { browser.execute_script("return document.querySelector('.turned .face').getBoundingClientRect().width") }
    before = width.call
    press("b")
    expect(page).to have_css(".show.board")
    expect(width.call).to be > before * 1.08
    press("?")
    expect(page).to have_css("[role='dialog']", text: "fix the hour hand")
    press(:escape, :escape)
    expect(page).to have_no_css("[role='dialog']").and have_no_css(".show.board")
  end

  it "gives other ways to say it on request" do
    expect(page).to have_no_text("quarter of eight")
    press("o")
    expect(page).to have_text("fifteen to eight").and have_text("quarter of eight")
  end

  it "shows what core computed, at every quarter of the dial" do
    Vantick::Core::Dial::DialTime.all.each_slice(90).map(&:first).each do |shown|
      show "times=#{shown}"
      expect(page).to have_css("path.hour[transform='rotate(#{format('%g', shown.hour_hand_degrees)})']")
      expect(dial["aria-valuetext"]).to eq("#{shown.digital}, #{Vantick::Core::Wording::Phrase.usual(shown)}")
    end
  end

  it "makes the words on the board as large as leaves room for the tools" do
    room = "const box = document.querySelector('.board .right'); return box.scrollHeight - box.clientHeight"
    size = -> { find(".reading .text.big", match: :first).native.style("font-size").to_f }
    sizes = %w[7:45 11:37&lens=day].map do |address|
      visit "/show?times=#{address}&board=1"
      expect(page).to have_css(".board [role='slider']")
      browser.action.send_keys("k").perform
      expect(page).to have_css(".reading .text.big", minimum: 2)
      eventually { expect(browser.execute_script(room)).to eq(0) }
      size.call
    end
    expect(sizes.first).to be > sizes.last
  end

  describe "two of them to compare" do
    before do
      visit "/show/compare?times=8:20,7:45"
      find(".told .cover", match: :first)
    end

    it "covers which is earlier and how long it is, until each is asked for" do
      expect(page).to have_css(".told .cover", minimum: 4).and have_no_css(".told .text")
      press(" ")
      expect(page).to have_css(".told .text", text: "Quarter to eight is earlier.", count: 1)
      press(" ", " ", " ")
      expect(page).to have_css(".told .text", text: "Together: 35 minutes.")
      all("[role='slider']").last.click
      press(:page_down)
      expect(page).to have_no_css(".told .text").and have_css(".told .cover")
      press(" ")
      expect(page).to have_css(".told .text", text: "Quarter to seven is earlier.")
    end

    it "has the hour below each clock, which goes with the long hand" do
      marks = -> { all(".unrolled .marker").map { |mark| mark["transform"][/[\d.]+/].to_f } }
      expect(marks.call).to eq([200, 450])
      all("[role='slider']").first.click
      browser.action.key_down(:shift).send_keys(:arrow_right).key_up(:shift).perform
      expect(page).to have_css(".unrolled .marker[transform='translate(250 0)']")
    end

    it "brings another pair of the step" do
      select "Quarters", from: "Step"
      find("h1").click
      press("n")
      expect(page).to have_no_css("[role='slider'][aria-valuetext^='8:20']")
      times = all("[role='slider']").map { |dial| dial["aria-valuetext"][/\A[\d:]+/] }
      expect(times.uniq.length).to eq(2)
      expect(times.map { |time| time[/\d+\z/].to_i % 15 }).to eq([0, 0])
    end
  end
end
