# frozen_string_literal: true

# Without a mouse: the keys stay where they are, or go to what has come in the place of what they were on.
RSpec.describe "With keys alone", :demo do
  def press(*keys) = browser.action.send_keys(*keys).perform

  # What the keys are on, as it is called.
  def here
    browser.execute_script(<<~JS).gsub(/\s+/, " ").strip
      const one = document.activeElement;
      return one === document.body ? "nowhere" : one.getAttribute("aria-label") || one.title || one.innerText || one.id || one.tagName;
    JS
  end

  # With Tab, however far it is.
  def go_to(name)
    80.times do
      press(:tab)
      return if here.match?(name)
    end
    raise "#{name} is not reached, the keys are on #{here}"
  end

  def stay_on(name) = eventually { expect(here).to match(name) }

  # Keeps whatever the keys come to, and the width of the ring round it.
  let(:rings) { <<~JS }
    window.rings = [];
    document.addEventListener("focusin", ({ target: one }) => {
      const style = getComputedStyle(one.matches(".btn-check") ? one.nextElementSibling : one);
      const ring = style.outlineStyle === "none" ? 0 : parseFloat(style.outlineWidth);
      window.rings.push([one.getAttribute("aria-label") || one.title || one.innerText || one.id || one.tagName, ring]);
    });
  JS

  { "a lesson" => ["/plan/%d", "button.stage"], "what is on the wall" => ["/show", "main button"],
    "checks" => ["/check", "main h1"], "home" => ["/", "main h1"], "the register" => ["/class/register", "main h1"] }
    .each do |name, (address, there)|
    it "shows a ring round whatever the keys are on: #{name}" do
      visit format(address, store.db[:lessons].max(:id))
      expect(page).to have_css(there)
      browser.execute_script(rings)
      press(*([:tab] * 45))
      seen = browser.execute_script("return window.rings")
      expect(seen.length).to be > 5
      expect(seen.reject { |_, ring| ring >= 2 }).to eq([])
    end
  end

  it "plans a lesson, swaps, pins, types and undoes, and the keys are never lost" do
    visit "/plan"
    expect(page).to have_button("Plan lesson")
    go_to(/\APlan lesson/)
    press(:enter)
    expect(page).to have_css("button.stage", count: 6)
    eventually { expect(here).not_to eq("nowhere") }
    go_to(/\ASwap/)
    first = here
    press(:enter)
    eventually { expect(here).to match(/\ASwap/).and(satisfy { |now| now != first }) }
    press(:tab)
    pinned = here
    press(:enter)
    expect(page).to have_css("li.pinned")
    stay_on(/\A#{Regexp.escape(pinned)}\z/)
    go_to(/\AType another time/)
    press(:enter)
    stay_on(/\ANew time for/)
    press(:escape)
    stay_on(/\AType another time/)
    press(:enter)
    stay_on(/\ANew time for/)
    browser.action.key_down(:control).send_keys("a").key_up(:control).send_keys("4:49", :enter).perform
    expect(page).to have_css("li.pinned", text: "4:49")
    stay_on(/4:49|Type another time/)
    browser.execute_script("window.scrollTo(0, 0)")
    browser.action.key_down(:shift).send_keys(*([:tab] * 60)).key_up(:shift).perform
    go_to(/\AUndo/)
    press(:enter)
    expect(page).to have_no_css("li.pinned", text: "4:49")
    stay_on(/\AUndo/)
  end

  it "removes a lesson, goes on with the next one, and brings it back" do
    visit "/plan"
    expect(page).to have_css(".lessons li", count: 2)
    first(:button, "Delete").native.send_keys(:enter)
    expect(page).to have_css(".lessons li", count: 1)
    stay_on(/\ADelete/)
    find("[role='status'] button", text: "Restore").native.send_keys(:enter)
    expect(page).to have_css(".lessons li", count: 2)
    eventually { expect(here).not_to eq("nowhere") }
  end

  it "asks before a desk closes for all, and leaves the keys where they were" do
    desk = ask_as_teacher("/api/classes/1/desks", kind: "practice")
    visit "/devices/#{desk['id']}"
    find(:button, "Close for all").native.send_keys(:enter)
    expect(page).to have_css(".modal", text: "Close for all?")
    stay_on(/\ACancel/)
    press(:escape)
    expect(page).to have_no_css(".modal")
    stay_on(/\AClose for all/)
    press(:enter)
    stay_on(/\ACancel/)
    press(:tab, :enter)
    expect(page).to have_text("Closed.")
    eventually { expect(here).not_to eq("nowhere") }
  end

  it "gives a lesson to its end, and ends it with the next key but few" do
    visit "/plan/1/run"
    expect(page).to have_css("h1", text: "Quarters", visible: :all)
    press("e")
    expect(page).to have_button("End lesson", exact: false)
    presses = (1..6).find do
      press(:tab)
      here.start_with?("End lesson")
    end
    expect(presses).to be_between(1, 6)
    press(:enter)
    expect(page).to have_css("h2", text: "The ladder")
    eventually { expect(here).not_to eq("nowhere") }
  end

  it "moves a child to another group, and the keys go with the child" do
    visit "/class/groups"
    move = find("select[aria-label='Move Celyn to another group']")
    move.native.send_keys("2")
    within("section[aria-label='Group 2']") { expect(page).to have_link("Celyn") }
    stay_on(/\AMove Celyn/)
    find("button", text: "Reset groups").native.send_keys(:enter)
    within("section[aria-label='Group 1']") { expect(page).to have_link("Celyn") }
    eventually { expect(here).not_to eq("nowhere") }
  end

  it "draws a child into another group with the pointer" do
    visit "/class/groups"
    from = find("section[aria-label='Group 1'] li", text: "Celyn")
    to = find("section[aria-label='Group 2'] ul")
    browser.action.move_to(from.native, -20, 0).pointer_down.move_by(6, 4).move_to(to.native).move_by(3, 3).pointer_up.perform
    within("section[aria-label='Group 2']") { expect(page).to have_link("Celyn") }
    expect(page).to have_button("Reset groups")
  end

  it "chooses another check, and other pictures, and stays there" do
    visit "/results/3"
    which = find_by_id("which")
    which.native.send_keys(:arrow_down)
    expect(page).to have_current_path(%r{/results/2})
    stay_on(/Quarters, in digits|which/)
    visit "/devices/keys"
    find_button("New pictures for Anneke").native.send_keys(:enter)
    stay_on(/\ACancel/)
    press(:tab, :enter)
    expect(page).to have_no_css(".modal").and have_css(".three:not(.covered)")
    stay_on(/\ANew pictures/)
  end

  it "does not leave a question for what lies behind it" do
    visit "/devices/keys"
    find_button("New pictures for Anneke").native.send_keys(:enter)
    stay_on(/\ACancel/)
    names = Array.new(6) { press(:tab).then { here } }
    expect(names).to include("New pictures", "Cancel")
    others = names.uniq - ["New pictures", "Cancel", "New pictures for Anneke?"]
    expect(others).to be_empty.or(all(match(/\A(|DIV|nowhere|Other pictures.*)\z/m)))
  end
end
