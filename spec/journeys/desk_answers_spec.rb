# frozen_string_literal: true

# Every way in which a child answers at a desk.
RSpec.describe "Answering at a desk" do
  def answers = store.db[:answers].order(:id).all

  it "has hands that are set by touch, each by itself" do
    desk = open_exit(school_class, task: "digital_to_dial", times: %w[7:45 3:00])
    on_a_phone do
      join(desk, "Bram")
      expect(page).to have_css(".shown", text: "7:45")
      dial = find("[role='slider']").native
      turn(dial, from: 0, to: 270, radius: 0.4)
      turn(dial, from: 180, to: 232.5, radius: 0.2)
      click_button "Done"
      expect(page).to have_css("[role='status']", text: "Saved. Keep going!")
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
    expect(page).to have_css("h1", text: "Step by step").and have_css(".face path.minute[transform='rotate(12)']")
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

  # What is asked now becomes this.
  def ask(desk, name, time:, task: "words_to_dial", sees: ".shown", **look)
    item = asked(desk, name)
    store.db[:items].where(id: item[:id]).update(time:, task:, example: nil, half: nil, **look)
    store.db[:turns].where(item_ids: "[#{item[:id]}]").update(task:)
    visit page.current_path
    expect(page).to have_css(sees)
  end

  it "has four clocks of which one is found, by keys as well" do
    desk = open_desk(school_class[:id], step: "quarters")
    join(desk, "Anneke")
    ask(desk, "Anneke", time: "6:45", variant: "find", helped: 1)
    expect(page).to have_css("h1.ask", text: "Which clock is right?").and have_css(".choice .dial", count: 4)
    expect(page).to be_accessible
    wrong = all(".choice button").find { |clock| clock.has_no_css?("path.hour[transform='rotate(202.5)']", wait: 0) }
    wrong.click
    click_button "Done"
    expect(page).to have_css("[role='status'].again").and have_button("Try again", disabled: true)
    find(".choice button:has(path.hour[transform='rotate(202.5)']):has(path.minute[transform='rotate(270)'])").send_keys(:enter)
    send_it
    expect(page).to have_css("[role='status']", text: "Yes: quarter to seven.")
    expect(store.db[:tries].get(:verdict)).to eq("right")
  end

  it "offers four answers after a wrong one" do
    desk = open_desk(school_class[:id], step: "quarters")
    join(desk, "Anneke")
    time = Vantick::Core::Dial::DialTime.parse(asked(desk, "Anneke")[:time])
    say(usual(Vantick::Core::Dial::DialTime.from_index(time.index + 60).to_s))
    expect(page).to have_button("Try again", disabled: true)
    say(usual(time.to_s))
    click_button "Next"
    expect(page).to have_css("h1.ask", text: "Which clock is right?")
    ask(desk, "Anneke", time: "6:35", sees: ".face .dial", task: "dial_to_words", variant: "choose", helped: 1)
    expect(page).to have_css(".pad .key", count: 4).and have_no_css(".strip")
    expect(page).to be_accessible
    click_button usual("6:35")
    send_it
    expect(page).to have_css("[role='status']", text: "Yes: twenty-five to seven.")
  end

  it "has a clock that is wrong, for the child to fix" do
    desk = open_desk(school_class[:id], step: "quarters")
    join(desk, "Anneke")
    ask(desk, "Anneke", time: "6:45", variant: "fix")
    expect(page).to have_css("h1.ask", text: "This clock is wrong. Fix it.").and have_button("Done", disabled: true)
    expect(page).to have_no_css(".entry path.hour[transform='rotate(202.5)']")
    turned = -> { find(".entry path.hour")["transform"][/[\d.]+/].to_f }
    (0..60).find { turned.call.round == 202 || find("[role='slider']").send_keys(turned.call < 202 ? :arrow_up : :arrow_down).nil? }
    (0..60).find { find(".entry path.minute")["transform"] == "rotate(270)" || find("[role='slider']").send_keys(:arrow_right).nil? }
    send_it
    expect(page).to have_css("[role='status']", text: "Yes: quarter to seven.")
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
    expect(page).to have_css("[role='status']", text: "Yes: all pairs match.")
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

  # The right answer to an item, as a device sends it.
  def right_to(item)
    task = Vantick::Core::Tasks::Task.find(item[:task])
    time = task.parse_time(item[:time])
    return "hour=#{time.hour_hand_degrees} minute=#{time.minute_hand_degrees}" if task.notation == :hands
    return "#{item[:misreading]}; #{usual(item[:time])}" if task.notation == :mistake

    task.write(task.right_answer(time))
  end

  # Answers whatever comes rightly, and begins again where a round is over, until there is a task of the kind.
  def skip_to(entry)
    visit "/join"
    until page.has_css?("main.#{entry}", wait: 0.5)
      turn = store.db[:turns].where(done_at: nil).order(:ahead, :id).first
      items = turn ? store.db[:items].where(id: JSON.parse(turn[:item_ids])).all : []
      answers = items.map { |item| { id: SecureRandom.uuid, item_id: item[:id], answer: right_to(item) } }
      page.execute_script(<<~JS)
        const send = (where, body) => fetch(where, { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body) });
        await #{turn ? "send('/api/desk/answers', #{JSON.generate({ turn_id: turn[:id], answers:, late: true })})" : "send('/api/desk/rounds', {})"};
      JS
      visit "/join"
      expect(page).to have_css("h1.ask").or have_button("Do more")
    end
  end

  it "fits a phone either way up, in fingertips, with every way of answering" do
    group = school_class
    windows = [[390, 780], [844, 390], [768, 1024]]
    [%w[dial_to_words minutes], %w[dial_to_digital fives], %w[words_to_dial fives], %w[hour_only quarters],
     %w[minute_only fives]].each do |task, step|
      time = Vantick::Core::Curriculum::Step.find(step).pool.find { |one| one.minute > 36 }.to_s
      join(open_exit(group, task:, times: [time], step:), "Anneke")
      windows.each do |width, height|
        on_a_phone(width:, height:) { expect([task, width, too_small, outside]).to eq([task, width, [], []]) }
      end
    end
  end
end
