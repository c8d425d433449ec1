# frozen_string_literal: true

RSpec.describe "Showing a clock" do
  def dial = find("[role='slider'][aria-label^='The dial']")

  def time = dial["aria-valuetext"][/\A[\d:]+/]

  # A point of the window at an angle from the middle of the dial, in degrees clockwise from the twelve.
  def point(degrees, share: 0.3)
    box = browser.execute_script(<<~JS, dial.native)
      const box = arguments[0].getBoundingClientRect();
      return [box.x + box.width / 2, box.y + box.height / 2, box.width];
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

  before { visit "/show?times=7:45,12:45,3:40" }

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
    expect(page).to have_css(".cover", count: 4).and have_no_text("quarter to eight")
    press(" ")
    expect(page).to have_text("The short hand has passed the 7 and is on its way to the 8.").and have_css(".cover", count: 3)
    press(" ", " ")
    expect(page).to have_text("quarter to eight")
    click_button "Uncover the next step"
    expect(page).to have_css(".text.big", text: "7:45").and have_no_css(".cover")
    click_button "Clock 2"
    expect(time).to eq("12:45")
    expect(page).to have_css(".cover", count: 4)
    press("k")
    expect(page).to have_text("quarter to one")
    press(:arrow_right)
    expect(page).to have_text("fourteen minutes to one")
  end

  it "lays each lens over the dial by its key and takes it off" do
    { "n" => "minute_numbers", "p" => "halves", "g" => "hour_gap" }.each do |key, lens|
      press(key)
      expect(page).to have_css("[data-lens='#{lens}']").and have_css("[role='switch'][aria-checked='true']", count: 1)
      press(key)
      expect(page).to have_no_css("[data-lens='#{lens}']")
    end
  end

  it "shows what core computed, at every quarter of the dial" do
    Vantick::Core::DialTime.all.each_slice(90).map(&:first).each do |shown|
      visit "/show?times=#{shown}"
      expect(page).to have_css("path.hour[transform='rotate(#{format('%g', shown.hour_hand_degrees)})']")
      expect(dial["aria-valuetext"]).to eq("#{shown.digital}, #{Vantick::Core::Phrase.usual(shown)}")
    end
  end
end
