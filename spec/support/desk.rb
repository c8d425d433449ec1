# frozen_string_literal: true

# Children at their devices, each in a browser of their own.
module AtDesk
  PHONE = { width: 390, height: 780, deviceScaleFactor: 1, mobile: true }.freeze

  def school_class(names = %w[Anneke Bram])
    made_at = now
    store.classes.add(name: "Curlew class", school: "Tern Quay School", names:, made_at:, account_id: store.db[:accounts].get(:id))
  end

  # @return [Hash] as the teacher's page has it
  def open_desk(class_id, **how) = ask_as_teacher("/api/classes/#{class_id}/desks", { kind: "practice", **how })

  # A desk at which all have the same times, in order, and nothing is told.
  def open_exit(school_class, task:, times:, step: "quarters")
    check = store.checks.add(class_id: school_class[:id], step:, task:, times:, made_at: now)
    open_desk(school_class[:id], kind: "exit", check_id: check[:id])
  end

  def child_of(desk, name) = store.classes.children(desk["class_id"]).find { |child| child[:name] == name }

  def pictures_of(desk, name) = store.keys.of_class(desk["class_id"]).fetch(child_of(desk, name)[:id])

  # Through the code, the name and the three pictures.
  def join(desk, name, sees: "h1.ask")
    visit "/join?code=#{desk['code']}"
    click_button name
    pictures_of(desk, name).each { |picture| click_button picture }
    expect(page).to have_css("header", text: name)
    expect(page).to have_css(sees)
  end

  # Answers so many tasks rightly, as far as there are some, at a device of their own and past the pages for it.
  def answer_rightly(desk, name, count)
    seat = { code: desk["code"], child_id: child_of(desk, name)[:id], pictures: pictures_of(desk, name) }
    cookie = told("/api/desk/seats", seat, "")["set-cookie"].split(";").first
    count.times do
      turn = JSON.parse(Rack::MockRequest.new(BrowserHelpers::School.app).get("/api/desk/state", "HTTP_COOKIE" => cookie).body)["turn"]
      break if turn.nil?

      answers = turn["items"].map { |item| { id: SecureRandom.uuid, item_id: item["id"], answer: right(turn["task"], item["id"]) } }
      told("/api/desk/answers", { turn_id: turn["id"], answers: }, cookie)
    end
  end

  def right(task_id, item_id)
    task = Vantick::Core::Tasks::Task.find(task_id)
    answer = task.right_answer(task.parse_time(store.db[:items].where(id: item_id).get(:time)))
    task.write(answer, Vantick::Core::Wording::Conventions.default)
  end

  # What the child is asked now, as it stands in the store.
  def asked(desk, name)
    turn = store.db[:turns].where(desk_id: desk["id"], child_id: child_of(desk, name)[:id], done_at: nil).order(:ahead, :id).first
    store.db[:items].first(id: JSON.parse(turn[:item_ids]).first)
  end

  # Builds the sentence: each word from the strip of what it is for. Other ways of answering take the words as they are.
  def say(text)
    if page.has_css?(".sentence-entry", wait: 0)
      places(text).each { |place, words| put(place, words) if words }
    else
      text.split.each { |word| click_button word, exact: true }
    end
    send_it
  end

  def places(text)
    count, side, hour = text.match(/\A(?:(.+?) )?(past|to|o'clock)(?: (.+))?\z/)&.captures
    return { "which hour" => text } unless side
    return { %("past" or "to") => side, "which hour" => count } if side == "o'clock"

    { "how many" => count, %("past" or "to") => side, "which hour" => hour }
  end

  def put(place, words)
    find("button.place", text: place).click
    words.split(/[ -]/).each { |word| within(".strip .choices") { click_button word, exact: true } }
  end

  def send_it = find("button.go:not(:disabled)").click

  def usual(time) = Vantick::Core::Wording::Phrase.usual(Vantick::Core::Dial::DialTime.parse(time))

  # What a device sends arrives a moment after its page says so. (Capybara's own waiting knows nothing of what RSpec raises.)
  def eventually
    ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + Capybara.default_max_wait_time
    begin
      yield
    rescue RSpec::Expectations::ExpectationNotMetError
      raise if Process.clock_gettime(Process::CLOCK_MONOTONIC) > ends

      sleep 0.05
      retry
    end
  end

  def cut_network = browser.network_conditions = { offline: true, latency: 0, throughput: 0 }

  def mend_network = browser.delete_network_conditions

  # As if held in the hand.
  def on_a_phone(width: 390, height: 780)
    browser.execute_cdp("Emulation.setDeviceMetricsOverride", **PHONE, width:, height:)
    yield
  ensure
    browser.execute_cdp("Emulation.clearDeviceMetricsOverride")
  end

  # What can be pressed and is smaller than a fingertip, 44 pixels either way.
  def too_small
    browser.execute_script(<<~JS)
      return [...document.querySelectorAll("button, a, input, [role=slider]")].filter((one) => one.offsetParent !== null)
        .map((one) => [one.textContent.trim() || one.getAttribute("aria-label"), one.getBoundingClientRect()])
        .filter(([, box]) => box.width < 43.9 || box.height < 43.9).map(([name]) => name)
    JS
  end

  # What does not fit into the window, by name.
  def outside
    browser.execute_script(<<~JS)
      const seen = [...document.querySelectorAll("button, h1, .dial, .line, .shown")].filter((one) => one.getClientRects().length);
      return seen.filter((one) => {
        const box = one.getBoundingClientRect();
        return box.left < -1 || box.top < -1 || box.right > innerWidth + 1 || box.bottom > innerHeight + 1;
      }).map((one) => one.textContent.trim() || one.className.baseVal);
    JS
  end
end

RSpec.configure { |config| config.include AtDesk, type: :feature }
