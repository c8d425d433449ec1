# frozen_string_literal: true

RSpec.describe "The children's desk" do
  # Until the end of an example: another one has the browser as it is.
  let(:scripts) { [] }

  after { scripts.each { |identifier| browser.execute_cdp("Page.removeScriptToEvaluateOnNewDocument", identifier:) } }

  def answers = store.db[:answers].order(:id).all

  it "is joined by two children while the teacher watches, and makes one record" do
    school_class
    visit "/devices/new"
    select "Quarters", from: "Step"
    click_button "Start session"
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
      expect(page).to have_css("[role='status']", text: "That isn't a whole time yet.")
      say "ten"
      expect(page).to have_css("h1", text: "Step by step")
      click_button "Next step" while page.has_button?("Next step", wait: 0.5)
      click_button "Keep going"
      expect(page).to have_css("h1.ask")
    end

    expect(page).to have_text("2 of 2 joined, 2 answers")
    find("li button", text: "Bram").click
    expect(page).to have_css(".detail", text: "unreadable")
    click_button "Hide names"
    expect(page).to have_no_text("Anneke").and have_no_text("Bram")
    click_button "Close for all"
    click_button "Close", exact: true
    expect(page).to have_text("Closed. 2 of 2 joined")

    using_session(:anneke) { expect(page).to have_css("h1", text: "We're finished for now.") }
    click_link "See results"
    expect(page).to have_css("tbody tr", text: "Anneke").and have_css("tbody tr", text: "1 answer unreadable")
  end

  it "meets half past as a child has it at home, and the page for parents has that language" do
    made = school_class
    visit "/class/child/#{made[:children].first[:id]}"
    click_button "Change adjustments for Anneke"
    select "Polish", from: "Spoken at home"
    expect(page).to have_text("Polish at home.")
    visit "/class/child/#{made[:children].first[:id]}/parents"
    expect(page).to have_css("section[lang=pl] li", text: "wpół do ósmej").and have_css("[lang=en]", text: "half past seven")
    expect(page).to be_accessible
    desk = open_desk(made[:id], step: "half_past")
    using_session(:anneke) do
      join(desk, "Anneke")
      hour = Vantick::Core::Dial::DialTime.parse(asked(desk, "Anneke")[:time]).hour_ahead
      say("half past #{Vantick::Core::Wording::NumberWords.standard.spell(hour)}")
      expect(page).to have_css("[role='status']", text: "That's right. In class we say: half past")
    end
  end

  it "has buttons for hands that cannot drag, where a teacher set it so" do
    made = school_class
    store.register.adjust(made[:children].first[:id], Vantick::Core::Teaching::Adjustments.new(buttons: true))
    desk = open_exit(made, task: "digital_to_dial", times: ["4:10"])
    join(desk, "Anneke")
    presses = { "Long hand on five minutes" => 2, "Short hand back one number" => 2, "Short hand on a little" => 1 }
    presses.each { |name, times| times.times { click_button name } }
    expect(find("[role='slider']")["aria-valuetext"]).to eq("Short hand at 125 degrees, long hand at 60")
    expect(page).to be_accessible
    [[320, 568], [390, 664], [768, 1024], [1280, 800]].each do |width, height|
      browser.execute_cdp("Emulation.setDeviceMetricsOverride", width:, height:, deviceScaleFactor: 1, mobile: width < 500)
      sizes = browser.execute_script("return [...document.querySelectorAll('.hand-buttons button, .go')].map((one) => {
        const box = one.getBoundingClientRect();
        return [box.width >= 44, box.height >= 43.5, box.left >= 0, box.right <= innerWidth, box.bottom <= innerHeight];
      })")
      expect(sizes.flatten.uniq).to eq([true]), "#{width}x#{height}"
    end
    browser.execute_cdp("Emulation.clearDeviceMetricsOverride")
    send_it
    expect(page).to have_css("[role='status']", text: "Saved.")
    expect(store.db[:answers].get(:verdict)).to eq("right")
  end

  it "is as the teacher set it for one child, and for no other" do
    made = school_class
    visit "/class/child/#{made[:children].first[:id]}"
    click_button "Change adjustments for Anneke"
    ["Larger", "Fewer tasks", "Left-handed"].each { |name| find("label", text: name, match: :first).click }
    expect(page).to have_text("Larger, Fewer tasks, Left-handed.")
    desk = open_desk(made[:id])
    visit "/"
    using_session(:anneke) do
      join(desk, "Anneke")
      expect(page).to have_css("html.larger").and have_css(".left-handed").and have_css(".dot", count: 5)
      expect(find(".looks").native.rect.x).to be > find(".answer").native.rect.x
    end
    using_session(:bram) do
      join(desk, "Bram")
      expect(page).to have_css(".dot", count: 10).and have_no_css("html.larger")
    end
  end

  it "shows how a task is done to a child who asks, and goes on; nothing is held against them" do
    desk = open_desk(school_class[:id])
    visit "/"
    using_session(:anneke) do
      join(desk, "Anneke")
      expect(page).to have_css("h1.ask")
      click_button "Show me"
      expect(page).to have_css("h1", text: "Step by step")
      click_button "Next step" while page.has_button?("Next step", wait: 0.5)
      expect(page).to have_css("li", text: /is: .+\.\z|\AIt is .+\.\z/)
      click_button "Keep going"
      expect(page).to have_css("h1.ask").and have_button("Show me")
      expect(answers).to eq([])
    end
  end

  # By zbar, another reader of such codes than what made it.
  it "is led to by the code on the board, as a device reads it" do
    desk = open_desk(school_class[:id])
    visit "/devices/#{desk['id']}"
    expect(page).to have_css("svg.qr")
    picture = File.join(Dir.mktmpdir, "board.png")
    browser.save_screenshot(picture)
    read, said, status = Open3.capture3("zbarimg", "--quiet", "--raw", picture)
    expect(status).to be_success, said
    expect(read.strip).to match(%r{\Ahttp://.+/join\?code=#{desk['code']}\z})
  end

  # The time that was asked first.
  def asked_before = store.db[:items].first(id: answers.first[:item_id])[:time]

  it "opens where nobody sits, and asks for nothing that it is refused" do
    visit "/join"
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
    expect(page).to have_text("That isn't a whole time yet.")
    cut_network
    say "ten"
    expect(page).to have_css("[role='status']", text: "Saved. We'll check it when we're connected.")
    expect(page).to have_css(".news", text: "No connection. Keep going. Your answers are saved here (1).")
    click_button "Next"
    expect(page).to have_css("h1.ask", text: "Set both hands.")
    find("[role='slider']").send_keys(:arrow_right, :arrow_up)
    click_button "Done"
    expect(page).to have_css(".news", text: "(2)")
    expect(answers.length).to eq(1)

    browser.navigate.refresh # what is kept is kept through this as well, but the page cannot come
    mend_network
    visit "/join"
    expect(page).to have_css("header .visually-hidden", text: "2 of 10 done", visible: :all)
    eventually { expect(answers.map { |answer| answer[:answer] }).to match(["five", /\Ahour=181 minute=6\z/]) }
    expect(store.db[:tries].select_map(:answer)).to eq(["ten"])
    expect(page).to have_css("h1.ask")
    expect(store.db[:turns].exclude(done_at: nil).count).to eq(2)
  end

  it "takes up again by itself when the network comes back in the middle of a task" do
    desk = open_desk(school_class[:id], step: "quarters")
    join(desk, "Anneke")
    cut_network
    say "five"
    expect(page).to have_text("Saved. We'll check it when we're connected.")
    mend_network
    expect(page).to have_css(".news", text: "Connected again: 1 answer is in.")
    expect(answers.map { |answer| answer[:answer] }).to eq(["five"])
  end

  it "is used with keys alone, from the code to the last clock" do
    desk = open_exit(school_class, task: "dial_to_digital", times: %w[7:45 12:15])
    visit "/join"
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
    expect(page).to have_css("h1", text: "All done!")
    expect(answers.map { |answer| answer[:verdict] }).to eq(%w[right right])
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

  it "begins a step that is new to a child with a clock that is shown, then leaves the last part of one to the child" do
    made = school_class
    first = open_desk(made[:id], step: "oclock")
    answer_rightly(first, "Anneke", 2)
    desk = open_desk(made[:id], step: "quarter_to")
    join(desk, "Anneke", sees: "h1")
    expect(page).to have_css("h1", text: "Look at this clock first.").and have_no_css("h1.ask")
    shown = find(".face path.minute")["transform"]
    click_button "Next step" while page.has_button?("Next step", wait: 0.5)
    expect(page).to be_accessible
    click_button "Your turn"
    expect(page).to have_css("h1.ask", text: "I have started. You finish it.")
    expect(find(".looks path.minute")["transform"]).to eq(shown)
    expect(page).to have_css(".place.filled", text: "quarter").and have_css(".place.filled", text: "to")
    expect(page).to have_button("Done", disabled: true)
    said = usual(asked(desk, "Anneke")[:time])
    put("which hour", said.split.last)
    send_it
    expect(page).to have_css("[role='status']", text: "Yes: #{said}.")
    expect(store.db[:items].where(half: 1).select_map(:helped)).to eq([1])
    click_button "Next"
    expect(page).to have_css("h1.ask").and have_no_css(".finish")
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
    send_it until page.has_css?("h1", text: "All done!", wait: 0.5)
    expect(page).to have_text("You can read these: #{usual(asked_before)}")
    click_button "The clocks I can read"
    expect(page).to have_css("h1", text: "The clocks I can read: 1").and have_css("li", text: usual(asked_before))
    click_button "Back"
    click_button "Do more"
    expect(page).to have_css("h1.ask")
    click_button "Leave"
    expect(page).to have_css("[role=alertdialog]").and have_css("h1.ask")
    click_button "Stay"
    expect(page).to have_no_css("[role=alertdialog]")
    click_button "Leave"
    click_button "Yes, leave"
    expect(page).to have_css("h1", text: "who are you?")
    click_button "Change code"
    expect(page).to have_field("Class code", with: "")
    expect(page.evaluate_script("document.activeElement.id")).to eq("code")
  end

  # A browser with a voice, which keeps what it was to say.
  def have_a_voice
    voice = <<~JS
      window.said = [];
      const speech = { getVoices: () => [{ name: "Voice", lang: "en" }], cancel() {}, speak: (words) => window.said.push(words.text),
        addEventListener() {}, removeEventListener() {} };
      Object.defineProperty(window, "speechSynthesis", { value: speech });
    JS
    with_script(voice)
  end

  def with_script(source)
    scripts << browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source:)["identifier"]
  end

  it "reads aloud where the browser has a voice and the child asks for it; nothing else is said" do
    have_a_voice
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

  # A browser that keeps which sounds it played to their end.
  def keep_sounds
    with_script(<<~JS)
      window.heard = [];
      const play = HTMLMediaElement.prototype.play;
      HTMLMediaElement.prototype.play = function () {
        this.addEventListener("ended", () => window.heard.push(this.currentSrc), { once: true });
        return play.call(this);
      };
    JS
  end

  def heard = browser.execute_script("return window.heard").map { |address| File.basename(address) }

  it "reads aloud with the sounds that ship with it where a device has no voice, and loads none before" do
    index = JSON.parse(File.read("web/voice/index.json"))
    keep_sounds
    desk = open_exit(school_class, task: "words_to_digital", times: %w[7:45 3:15])
    join(desk, "Anneke")
    expect(page).to have_button("Read aloud")
    expect(heard).to eq([])
    click_button "Read aloud"
    said = ["write it in digits", "quarter", "to", "eight"].map { |words| index.fetch(words) }
    # Sounds take their time, and more of it on a busy machine.
    Capybara.using_wait_time(60) { eventually { expect(heard).to eq(said) } }
    expect(said.map { |name| File.binread("web/voice/#{name}").bytesize }).to all(be_between(500, 20_000))
  end

  it "remembers at this device who has it read aloud, and reads the words that are chosen" do
    have_a_voice
    desk = open_exit(school_class, task: "dial_to_words", times: %w[7:45 3:15])
    join(desk, "Anneke")
    click_button "Read aloud"
    say("quarter to eight")
    expect(browser.execute_script("return window.said")).to include("quarter", "quarter to", "quarter to eight")
    click_button "Leave"
    click_button "Yes, leave"
    join(desk, "Bram")
    expect(page).to have_css("button[aria-pressed='false']", text: "Read aloud", visible: :all)
    click_button "Leave"
    click_button "Yes, leave"
    join(desk, "Anneke")
    expect(page).to have_css("button[aria-pressed='true']", text: "Read aloud", visible: :all)
  end

  it "is opened for a check and some children only, from the check itself" do
    school = school_class(%w[Anneke Bram Celyn])
    store.checks.add(class_id: school[:id], step: "quarters", task: "dial_to_digital", times: %w[7:45], made_at: now)
    visit "/check"
    click_button "More", exact: false
    within(".dropdown-menu.show") { click_link "Answer on devices" }
    expect(page).to have_checked_field("Exit check", visible: :all)
    choose "Choose…"
    expect(page).to have_button("Start session", disabled: true)
    check "Celyn"
    click_button "Start session"
    expect(page).to have_text("0 of 1 joined")
    browser.action.send_keys("b").perform
    expect(page).to have_css(".board", text: store.db[:desks].get(:code))
    visit "/check"
    click_button "More", exact: false
    expect(page).to have_link("See session")
    visit "/devices/new"
    click_link "Open session"
    expect(page).to have_css("h1", text: "Exit check")
  end

  it "keeps children's pictures covered until the teacher asks, and gives others" do
    school_class
    visit "/devices/keys"
    expect(page).to have_css(".covered[aria-label='hidden']", count: 2)
    click_button "Show the pictures of Anneke"
    before = find(".three:not(.covered)")["aria-label"]
    expect(before).to match(/\A\w+, \w+, \w+\z/)
    click_button "New pictures for Anneke"
    within(".modal") { click_button "New pictures" }
    expect(page).to have_no_css(".three[aria-label='#{before}']")
    expect(store.keys.of_class(1).values.first.join(", ")).to eq(find(".three:not(.covered)")["aria-label"])
  end

  it "says what is wrong with a code, and with pictures" do
    desk = open_desk(school_class[:id])
    visit "/join"
    fill_in "Class code", with: "NNNNN"
    click_button "Go"
    expect(page).to have_css("[role='alert']", text: "There is no open session with the code NNNNN")
    fill_in "Class code", with: desk["code"]
    click_button "Go"
    click_button "Anneke"
    pictures_of(desk, "Anneke").reverse_each { |picture| click_button picture }
    expect(page).to have_css("[role='alert']", text: "Those aren't your pictures.")
  end
end
