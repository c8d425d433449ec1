# frozen_string_literal: true

RSpec.describe "The children's desk" do
  def answers = store.db[:answers].order(:id).all

  it "is joined by two children while the teacher watches, and makes one record" do
    school_class
    visit "/desks/new"
    select "Quarters", from: "Step"
    click_button "Open the desks"
    expect(page).to have_css("[aria-label='How to join'].large", text: "Code")
    desk = { **store.db[:desks].first.transform_keys(&:to_s) }

    using_session(:anneke) do
      join(desk, "Anneke")
      said = usual(asked(desk, "Anneke")[:time])
      say(said)
      expect(page).to have_css("[role='status']", text: "Yes: #{said}.")
      click_button "Next"
      expect(page).to have_css("h1.ask")
    end
    using_session(:bram) do
      join(desk, "Bram")
      say "five"
      expect(page).to have_css("[role='status']", text: "That is not a whole time yet.")
      say "ten"
      expect(page).to have_css("h1", text: "Look, step by step")
      click_button "Next step" while page.has_button?("Next step", wait: 0.5)
      click_button "Go on"
      expect(page).to have_css("h1.ask")
    end

    expect(page).to have_text("2 of 2 joined, 2 answers")
    find("li button", text: "Bram").click
    expect(page).to have_css(".detail", text: "could not be read")
    click_button "Hide names"
    expect(page).to have_no_text("Anneke").and have_no_text("Bram")
    click_button "Close for all"
    click_button "Close", exact: true
    expect(page).to have_text("Closed. 2 of 2 joined")

    using_session(:anneke) { expect(page).to have_css("h1", text: "The desk is closed.") }
    click_link "What the answers say"
    expect(page).to have_css("tbody tr", text: "Anneke").and have_css("tbody tr", text: "1 answer could not be read")
  end

  # By zbar, another reader of such codes than what made it.
  it "is led to by the code on the board, as a device reads it" do
    desk = open_desk(school_class[:id])
    visit "/desks/#{desk['id']}"
    expect(page).to have_css("svg.qr")
    picture = File.join(Dir.mktmpdir, "board.png")
    browser.save_screenshot(picture)
    read, said, status = Open3.capture3("zbarimg", "--quiet", "--raw", picture)
    expect(status).to be_success, said
    expect(read.strip).to match(%r{\Ahttp://.+/desk\?code=#{desk['code']}\z})
  end

  # The time that was asked first.
  def asked_before = store.db[:items].first(id: answers.first[:item_id])[:time]

  it "opens where nobody sits, and asks for nothing that it is refused" do
    visit "/desk"
    expect(page).to have_css("h1")
    refused = browser.execute_script(<<~JS)
      return performance.getEntriesByType("resource").filter((one) => one.responseStatus >= 400).map((one) => one.name);
    JS
    expect(refused).to eq([])
  end

  it "goes on while the network is away, and every answer arrives once" do
    desk = open_desk(school_class[:id], step: "quarters")
    join(desk, "Anneke")
    say "five"
    expect(page).to have_text("That is not a whole time yet.")
    cut_network
    say "ten"
    expect(page).to have_css("[role='status']", text: "Kept on this device. It is marked when the network is back.")
    expect(page).to have_css(".news", text: "No network just now. Go on: your answers are kept here (1).")
    click_button "Next"
    expect(page).to have_css("h1.ask", text: "Set both hands.")
    find("[role='slider']").send_keys(:arrow_right, :arrow_up)
    click_button "Done"
    expect(page).to have_css(".news", text: "(2)")
    expect(answers.length).to eq(1)

    browser.navigate.refresh # what is kept is kept through this as well, but the page cannot come
    mend_network
    visit "/desk"
    expect(page).to have_css("header .visually-hidden", text: "2 of 10 done", visible: :all)
    eventually { expect(answers.map { |one| one[:answer] }).to match(["five", /\Ahour=181 minute=6\z/]) }
    expect(store.db[:tries].select_map(:answer)).to eq(["ten"])
    expect(page).to have_css("h1.ask")
    expect(store.db[:turns].exclude(done_at: nil).count).to eq(2)
  end

  it "takes up again by itself when the network comes back in the middle of a task" do
    desk = open_desk(school_class[:id], step: "quarters")
    join(desk, "Anneke")
    cut_network
    say "five"
    expect(page).to have_text("Kept on this device.")
    mend_network
    expect(page).to have_css(".news", text: "The network is back: 1 answer is in.")
    expect(answers.map { |one| one[:answer] }).to eq(["five"])
  end

  it "has hands that are set by touch, each by itself" do
    desk = open_exit(school_class, task: "digital_to_dial", times: %w[7:45 3:00])
    on_a_phone do
      join(desk, "Bram")
      expect(page).to have_css(".shown", text: "7:45")
      dial = find("[role='slider']").native
      turn(dial, from: 0, to: 270, radius: 0.4)
      turn(dial, from: 180, to: 232.5, radius: 0.2)
      click_button "Done"
      expect(page).to have_css("[role='status']", text: "Kept. Go on.")
    end
    expect(answers.first).to include(verdict: "right", child_id: child_of(desk, "Bram")[:id])
  end

  it "puts the hands that a child set right before its eyes" do
    desk = open_desk(school_class[:id], step: "quarters")
    join(desk, "Anneke")
    say(usual(asked(desk, "Anneke")[:time]))
    click_button "Next"
    expect(page).to have_css("h1.ask", text: "Set both hands.")
    wanted = Vantick::Core::Dial::DialTime.parse(asked(desk, "Anneke")[:time]).hands
    2.times do
      find("[role='slider']").send_keys(:arrow_right)
      send_it
    end
    expect(page).to have_css("h1", text: "Look, step by step").and have_css(".face path.minute[transform='rotate(12)']")
    expect(page).to have_css(".face path.minute[transform='rotate(#{wanted.minute_degrees.to_i})']")
    expect(page).to have_css(".face path.hour[transform='rotate(#{format('%g', wanted.hour_degrees)})']")
  end

  # A finger from one place on the dial to another.
  def turn(dial, from:, to:, radius:)
    box = dial.rect
    place = lambda do |degrees|
      turned = degrees * Math::PI / 180
      [box.x + (box.width / 2) + (box.width * radius * Math.sin(turned)),
       box.y + (box.height / 2) - (box.height * radius * Math.cos(turned))].map(&:round)
    end
    finger = browser.action(devices: [Selenium::WebDriver::Interactions.pointer(:touch, name: "finger")])
    finger.move_to_location(*place[from]).pointer_down(:left)
    (1..6).each { |part| finger.move_to_location(*place[from + ((to - from) * part / 6.0)]) }
    finger.pointer_up(:left).perform
  end

  it "is used with keys alone, from the code to the last clock" do
    desk = open_exit(school_class, task: "dial_to_digital", times: %w[7:45 12:15])
    visit "/desk"
    expect(page).to have_field("Class code")
    press(*desk["code"].downcase.chars, :enter)
    expect(page).to have_css("h1", text: "who are you?")
    press(:tab, :tab, :enter)
    expect(page).to have_css("h1", text: "Bram: your three pictures")
    pictures_of(desk, "Bram").each { |picture| go_to("button[aria-label='#{picture}']") }
    expect(page).to have_css("h1.ask")
    press("7", ":", "4", "6", :backspace, "5", :enter)
    expect(page).to have_button("Next")
    press(:enter)
    expect(page).to have_css("header .visually-hidden", text: "1 of 2 done", visible: :all)
    press("1", "2", ".", "1", "5", :enter)
    expect(page).to have_button("Next")
    press(:enter)
    expect(page).to have_css("h1", text: "That was the last one.")
    expect(answers.map { |one| one[:verdict] }).to eq(%w[right right])
  end

  def press(*keys) = browser.action.send_keys(*keys).perform

  # With the Tab key, however far it is, and in.
  def go_to(css)
    40.times do
      press(:tab)
      break if browser.execute_script("return document.activeElement.matches(arguments[0])", css)
    end
    press(:enter)
  end

  it "takes an hour, minutes with past or to, a length, and a half of the day" do
    group = school_class
    [%w[hour_only quarters 7:45 7], ["minute_only", "fives", "7:45", "quarter to"], %w[numeral_to_minutes fives_facts 12:20 20],
     %w[day_half day_halves 19:30 p.m.]].each do |task, step, time, words|
      join(open_exit(group, task:, times: [time], step:), "Anneke")
      say words
      expect(page).to have_button("Next")
      expect(answers.last).to include(verdict: "right"), task
    end
  end

  it "builds a sentence from strips: a count of two words with its minutes, and an hour with o'clock behind it" do
    group = school_class
    [["minutes", "8:23", "twenty-three minutes past eight"], ["quarters", "3:00", "three o'clock"]].each do |step, time, words|
      join(open_exit(group, task: "dial_to_words", times: [time], step:), "Anneke")
      say words
      expect(page).to have_button("Next")
      expect(store.db[:answers].order(:id).last).to include(verdict: "right", answer: words.tr("-", " "))
    end
  end

  it "matches clocks with cards, and asks what went wrong before what time it is" do
    desk = open_desk(school_class[:id], step: "fives")
    join(desk, "Anneke")
    skip_to("pairs")
    turn = store.db[:turns].where(done_at: nil, ahead: 0).first
    expect(page).to have_css("button[aria-label^='Clock'] svg", count: JSON.parse(turn[:item_ids]).length)
    expect(outgrown).to eq([])
    JSON.parse(turn[:item_ids]).each_with_index do |id, place|
      all("button[aria-label^='Clock']")[place].click
      click_button store.db[:items].first(id:)[:time], exact: true
    end
    send_it
    expect(page).to have_css("[role='status']", text: "Yes: they all belong together.")
    skip_to("mistake")
    item = asked(desk, "Anneke")
    click_button Vantick::Core::Reading::Misreading.find(item[:misreading]).texts[:they]
    say usual(item[:time])
    expect(page).to have_css("[role='status']", text: "Yes: #{usual(item[:time])}")
  end

  # Clocks that are larger than the card they lie on.
  def outgrown = page.evaluate_script(<<~JS)
    [...document.querySelectorAll("button[aria-label^='Clock']")].filter((card) => {
      const [one, other] = [card, card.querySelector("svg")].map((part) => part.getBoundingClientRect());
      return other.width > one.width || other.height > one.height;
    }).map((card) => card.ariaLabel)
  JS

  # Answers whatever comes with nothing that is right, until there is a task of the kind.
  def skip_to(entry)
    visit "/desk"
    until page.has_css?("main.#{entry}", wait: 0.5)
      page.execute_script(<<~JS)
        const state = await (await fetch("/api/desk/state")).json();
        const id = () => crypto.randomUUID();
        const answers = state.turn.items.map((item) => ({ id: id(), item_id: item.id, answer: "no" }));
        await fetch("/api/desk/answers", { method: "POST", headers: { "content-type": "application/json" },
          body: JSON.stringify({ turn_id: state.turn.id, answers, late: true }) });
      JS
      visit "/desk"
      expect(page).to have_css("h1.ask")
    end
  end

  it "shows the clocks that a child can read, and begins once more" do
    desk = open_desk(school_class[:id], step: "quarters")
    join(desk, "Anneke")
    say(usual(asked(desk, "Anneke")[:time]))
    click_button "Next"
    expect(page).to have_css("h1.ask", text: "Set both hands.")
    store.db[:turns].exclude(done_at: nil).update(done_at: (Vantick::Server::Clock.now - 400).iso8601)
    find("[role='slider']").send_keys(:arrow_right)
    send_it
    # The same again is no second try.
    expect(page).to have_button("Try again", disabled: true)
    find("[role='slider']").send_keys(:arrow_right)
    send_it
    send_it until page.has_css?("h1", text: "That was the last one.", wait: 0.5)
    expect(page).to have_text("You can read these: #{usual(asked_before)}")
    click_button "The clocks I can read"
    expect(page).to have_css("h1", text: "The clocks I can read: 1").and have_css("li", text: usual(asked_before))
    click_button "Back"
    click_button "Once more"
    expect(page).to have_css("h1.ask")
    click_button "Leave"
    expect(page).to have_css("[role=alertdialog]").and have_css("h1.ask")
    click_button "Stay"
    expect(page).to have_no_css("[role=alertdialog]")
    click_button "Leave"
    click_button "Yes, leave"
    expect(page).to have_css("h1", text: "who are you?")
    click_button "Another code"
    expect(page).to have_field("Class code", with: "")
    expect(page.evaluate_script("document.activeElement.id")).to eq("code")
  end

  it "reads aloud where the browser has a voice and the child asks for it; nothing else is said" do
    voice = <<~JS
      window.said = [];
      const speech = { getVoices: () => [{ name: "Voice", lang: "en" }], cancel() {}, speak: (words) => window.said.push(words.text),
        addEventListener() {}, removeEventListener() {} };
      Object.defineProperty(window, "speechSynthesis", { value: speech });
    JS
    browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: voice)
    desk = open_exit(school_class, task: "words_to_digital", times: %w[7:45 3:15])
    join(desk, "Anneke")
    expect(browser.execute_script("return window.said")).to eq([])
    click_button "Read aloud"
    expect(browser.execute_script("return window.said")).to eq(["Write it in digits. quarter to eight"])
    click_button "Read aloud"
    press("7", ":", "4", "5")
    click_button "Done"
    expect(page).to have_button("Next")
    expect(browser.execute_script("return window.said.length")).to eq(1)
  end

  it "is opened for a check and some children only, from the check itself" do
    school = school_class(%w[Anneke Bram Celyn])
    store.checks.add(class_id: school[:id], step: "quarters", task: "dial_to_digital", times: %w[7:45], made_at: now)
    visit "/check"
    click_link "To the desks"
    expect(page).to have_checked_field("An exit check", visible: :all)
    choose "Choose…"
    expect(page).to have_button("Open the desks", disabled: true)
    check "Celyn"
    click_button "Open the desks"
    expect(page).to have_text("0 of 1 joined")
    browser.action.send_keys("b").perform
    expect(page).to have_css(".board", text: store.db[:desks].get(:code))
    visit "/check"
    expect(page).to have_link("At the desks")
    visit "/desks/new"
    click_link "Go there"
    expect(page).to have_css("h1", text: "Exit check")
  end

  it "keeps children's pictures covered until the teacher asks, and gives others" do
    school_class
    visit "/desks/keys"
    expect(page).to have_css(".covered[aria-label='covered']", count: 2)
    click_button "Show the pictures of Anneke"
    before = find(".three:not(.covered)")["aria-label"]
    expect(before).to match(/\A\w+, \w+, \w+\z/)
    click_button "Give others to Anneke"
    within(".modal") { click_button "Give others" }
    expect(page).to have_no_css(".three[aria-label='#{before}']")
    expect(store.keys.of_class(1).values.first.join(", ")).to eq(find(".three:not(.covered)")["aria-label"])
  end

  it "says what is wrong with a code, and with pictures" do
    desk = open_desk(school_class[:id])
    visit "/desk"
    fill_in "Class code", with: "NNNNN"
    click_button "Go"
    expect(page).to have_css("[role='alert']", text: "There is no open desk with the code NNNNN")
    fill_in "Class code", with: desk["code"]
    click_button "Go"
    click_button "Anneke"
    pictures_of(desk, "Anneke").reverse_each { |picture| click_button picture }
    expect(page).to have_css("[role='alert']", text: "Those are not your pictures.")
  end

  it "fits a phone either way up, in fingertips, with every way of answering" do
    group = school_class
    windows = [[390, 780], [844, 390], [768, 1024]]
    [%w[dial_to_words minutes], %w[dial_to_digital fives], %w[words_to_dial fives], %w[hour_only quarters],
     %w[minute_only fives]].each do |task, step|
      time = Vantick::Core::Teaching::Step.find(step).pool.find { |one| one.minute > 36 }.to_s
      join(open_exit(group, task:, times: [time], step:), "Anneke")
      windows.each do |width, height|
        on_a_phone(width:, height:) { expect([task, width, too_small, outside]).to eq([task, width, [], []]) }
      end
    end
  end
end
