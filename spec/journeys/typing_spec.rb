# frozen_string_literal: true

RSpec.describe "Typing answers in" do
  before { visit "/check/#{make_check}" }

  it "reads each answer back with its verdict, by shape and word" do
    cell("Anneke", 1).send_keys("harf past 3", :enter)
    expect(page).to have_css(".read-back", text: /harf past 3 reads as half past three.*right, spelling or form slip \(spelling\)/m)
    expect(page).to have_css("input[aria-label='Anneke, clock 1'][data-verdict='right_writing_slip']")
    expect(cell("Anneke", 1)["aria-description"]).to eq("right, spelling or form slip")
    browser.switch_to.active_element.send_keys("qt7", :enter)
    expect(page).to have_css(".read-back", text: /qt7 reads as quarter to seven.*wrong, the minutes are right \(old hour used with "to"\)/m)
    expect(cell("Anneke", 2).value).to eq("quarter to 7")
    cell("Anneke", 2).click
    expect(cell("Anneke", 2).value).to eq("qt7")
  end

  # What is left from a panel to each edge of the window.
  def room
    page.execute_script(<<~JS)
      const box = document.querySelector(".panel").getBoundingClientRect();
      return [box.left, innerWidth - box.right, box.top, innerHeight - box.bottom];
    JS
  end

  # As a reader of paper or a picture puts it there: typed, "=" is a key of its own.
  def put(cell, text)
    cell.click
    page.execute_script("arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('input'))", cell, text)
    cell.send_keys(:enter)
  end

  it "shows hands that were drawn as clocks, with no angle in words, and what they may be where there is room" do
    id = make_check(task: "digital_to_dial", times: %w[9:00 5:30 3:45 12:30 2:15 8:45])
    visit "/check/#{id}"
    put(cell("Anneke", 1), "hour=269.1 minute=0.5")
    put(cell("Anneke", 2), "hour=40 minute=20")
    expect(page).to have_css("input[aria-label='Anneke, clock 1'][data-verdict='right']")
    expect([cell("Anneke", 1), cell("Anneke", 2)].map(&:value)).to eq(%w[right wrong])
    expect(page).to have_css(".cell svg", minimum: 2).and have_css(".read-back svg")
    expect(page).to have_no_text("hour=").and have_no_text("qp7")
    [["Anneke", 1], ["Bram", 6]].each do |child, clock|
      page.execute_script("arguments[0].focus()", cell(child, clock))
      expect(page).to have_css(".panel .drawings li", minimum: 3)
      eventually { expect(room).to all(be >= 0) }
    end
    cell("Bram", 6).send_keys("2", :enter)
    expect(page).to have_css("input[aria-label='Bram, clock 6'][data-verdict='misread']")
    expect(cell("Bram", 6).value).to eq("hands mixed up")
    visit "/class/child/#{store.db[:answers].get(:child_id)}"
    expect(page).to have_css("td", text: "9:00").and have_css("td strong svg").and have_no_text("hour=")
  end

  it "offers what an unreadable answer may mean, to be taken by key or by press" do
    cell("Anneke", 1).send_keys("ten past fine", :enter)
    expect(page).to have_css(".read-back", text: /ten past fine.*unreadable.*ten past five\?.*ten past nine\?/m)
    browser.action.key_down(:alt).send_keys("2").key_up(:alt).perform
    expect(page).to have_css(".read-back", text: /reads as ten past nine/).and have_no_text("Did the child mean")
    # From then on it is Anneke's nine, and nobody else's.
    cell("Anneke", 2).send_keys("five past fine", :enter)
    expect(page).to have_css(".read-back", text: /reads as five past nine/)
    cell("Bram", 1).send_keys("ten past fine", :enter)
    expect(page).to have_text("Did the child mean")
    click_button "ten past five"
    typed = ["ten past fine", "ten past nine", "five past fine", "ten past fine", "ten past five"]
    eventually { expect(store.db[:answers].order(:id).select_map(:answer)).to eq(typed) }
  end

  # Most slips are right: only what is wrong is typed.
  it "has the keys where typing begins, and takes the rest of a slip as right or as empty with one key" do
    focused = -> { browser.switch_to.active_element.attribute("aria-label") }
    eventually { expect(focused.call).to eq("Anneke, clock 1") }
    browser.action.send_keys(:enter, "qt7", "=").perform
    eventually { expect(focused.call).to eq("Bram, clock 1") }
    browser.action.send_keys("#").perform
    expect(page).to have_css("input[data-verdict='right']", count: 2).and have_css("input[data-verdict='misread']", count: 1)
    expect(page).to have_text("2 of 2 done.")
    eventually { expect(store.db[:answers].where(answer: "-").count).to eq(3) }
    browser.action.key_down(:control).send_keys("z").key_up(:control).perform
    eventually { expect(store.db[:answers].order(:id).select_map(:answer).last).to eq("") }
    click_link "See results"
    expect(page).to have_css("li", text: "Blank: Bram").and have_css("tr", text: /Bram\s+blank/)
    expect(page).to have_no_text("Away or not entered")
  end

  it "goes on with Enter, back with Shift and Enter, up and down with arrows, and leaves as it was with Escape" do
    focused = -> { browser.switch_to.active_element.attribute("aria-label") }
    cell("Anneke", 3).send_keys("qt1", :enter)
    expect(focused.call).to eq("Bram, clock 1")
    browser.switch_to.active_element.send_keys(%i[shift enter])
    expect(focused.call).to eq("Anneke, clock 3")
    browser.switch_to.active_element.send_keys(:arrow_down)
    expect(focused.call).to eq("Bram, clock 3")
    browser.switch_to.active_element.send_keys(:arrow_up, "other", :escape, :enter)
    expect(page).to have_css("input[data-verdict='right']", count: 1)
    expect(store.db[:answers].select_map(:answer)).to eq(["qt1"])
  end

  it "corrects an answer and keeps the first one in the record" do
    cell("Bram", 2).send_keys("qt7", :enter)
    expect(page).to have_css("input[data-verdict='misread']")
    cell("Bram", 2).click
    browser.switch_to.active_element.send_keys("qt8", :enter)
    expect(page).to have_css("input[data-verdict='right']")
    expect(store.db[:answers].order(:id).select_map(:answer)).to eq(%w[qt7 qt8])
  end

  it "keeps what was typed when it cannot be taken, and says why at the cell" do
    long = "x" * 10_000
    browser.execute_script(<<~JS, cell("Bram", 1).native, long)
      arguments[0].focus(); arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event("input"));
    JS
    browser.switch_to.active_element.send_keys(:enter)
    expect(page).to have_css("[role='alert']", text: "The answer is too long: 10000 characters")
    expect(cell("Bram", 1).value).to eq(long)
    cell("Bram", 1).click
    browser.switch_to.active_element.send_keys(:backspace, "hp3", :enter)
    expect(page).to have_css("input[data-verdict='right']").and have_no_css("td [role='alert']")
  end

  it "keeps answers while the server does not answer, through a reload, and sends each once it is back" do
    expect(cell("Anneke", 1)).to be_visible
    browser.network_conditions = { offline: true, latency: 0, throughput: 0 }
    cell("Anneke", 1).send_keys("hp3", :enter)
    browser.switch_to.active_element.send_keys("qt7", :enter)
    expect(page).to have_css("[role='alert']", text: "2 saved here")
    expect(store.db[:answers].count).to eq(0)
    browser.delete_network_conditions
    browser.navigate.refresh
    expect(page).to have_css("input[data-verdict='misread']").and have_css("input[data-verdict='right']")
    expect(store.db[:answers].select_map(:answer)).to eq(%w[hp3 qt7])
  end

  it "removes a check with its answers, and brings it back with them" do
    item_id = store.db[:items].get(:id)
    child_id = store.db[:children].get(:id)
    ask_as_teacher("/api/checks/1/answers", id: SecureRandom.uuid, item_id:, child_id:, answer: "half past three")
    visit "/check"
    expect(page).to have_css("article", text: "1 of 2 entered")
    click_button "More", exact: false
    click_button "Delete"
    expect(page).to have_no_css("article").and have_css("[role='status']", text: "with 1 answer")
    visit "/check/1"
    expect(page).to have_text("This check can't be opened")
    click_link "All checks"
    find("summary", text: "Deleted lately: 1").click
    click_button "Restore", exact: false
    expect(page).to have_css("article", text: "1 of 2 entered")
  end
end
