# frozen_string_literal: true

require "pdf/reader"

RSpec.describe "Next lesson as one thing", :demo do
  # By keys alone: until the key is on it, and Enter.
  def key_to(name)
    60.times do
      browser.action.send_keys(:tab).perform
      break if browser.switch_to.active_element.text.include?(name)
    end
    browser.action.send_keys(:enter).perform
  end

  def stack = store.db[:stacks].reverse(:id).first

  it "is given from Home at one press, made as the term has it" do
    visit "/"
    expect(page).to have_button("Start lesson")
    step = find(".next-lesson h1").text
    key_to("Start lesson")
    expect(page).to have_css("h1", text: "#{step}: Warm-up", visible: :all)
    expect(store.lessons.all(1, limit: 1).first.given_at).to be_nil
  end

  it "is printed from the lesson's own page too, with a sheet for each child, and can be changed after that" do
    visit "/"
    click_button "Open"
    expect(page).to have_button("Print")
    click_button "Print"
    click_button "Everything, in one stack"
    expect(page).to have_no_button("Copy to next week", disabled: true)
    page.document.synchronize(8, errors: [RSpec::Expectations::ExpectationNotMetError]) { expect(page.windows.length).to eq(2) }
    kinds = JSON.parse(stack[:parts]).map { |part| part["kind"] }
    expect(kinds).to include("starter", "alone")
    click_button "Choose all again"
    expect(page).to have_button("Undo", disabled: false)
    expect(page).to have_no_css("[role='alert']")
  end

  it "is printed with two presses, as one stack for the groups, and says the same as Home and Groups" do
    visit "/class/groups"
    expect(page).to have_css("section[aria-label='Group 1']")
    groups = all("section[aria-label^='Group'] .children").map { |list| list.all("a").map(&:text).sort }
    visit "/"
    step = find(".next-lesson h1").text
    key_to("Prepare lesson")
    expect(page).to have_css(".step", text: step)
    expect(all(".groups .who").map { |who| who.text.split(", ").sort }).to eq(groups)
    key_to("Print everything")
    expect(page).to have_css("[role='status']", text: /\d+ sheets of paper, made/)
    expect(page.windows.length).to eq(2)
    count = stack[:parts].scan("group").length
    expect(page).to have_css(".paper-card li", text: /\AGroup/, count:)
    told = find(".paper-card [role='status']").text[/\d+/].to_i
    pages = printed_pages
    expect((pages.length / 2.0).ceil).to eq(told)
    groups.flatten.each { |name| expect(pages.grep(/Name:\s*#{name}\b/)).not_to be_empty, name }
    visit "/"
    expect(page).to have_css(".next-lesson .eyebrow", text: "Your next lesson")
  end

  it "shows the answers behind the lesson, and takes a teacher's word for it until it is taken back" do
    store.terms.remove(1)
    store.db[:lessons].where(given_at: nil).delete # what is planned already stays as it is
    visit "/plan/tomorrow"
    step = find(".step").text
    first(:css, "summary", text: "Why?").send_keys(:enter)
    within(first("details.why")) do
      expect(page).to have_css("li svg", minimum: 3)
      click_button "They know this"
    end
    expect(page).to have_no_css(".step", text: /\A#{Regexp.escape(step)}\z/)
    passed = store.db[:said].get(:step)
    visit "/"
    expect(page).to have_css("h1").and have_no_css(".next-lesson h1", text: /\A#{Regexp.escape(step)}\z/)
    store.teacher_judgements.say(store.db[:children].select_map(:id), passed, nil, "2026-01-01T00:00:00Z")
    visit "/plan/tomorrow"
    expect(page).to have_css(".step", text: step)
  end

  def printed_pages
    env = Rack::MockRequest.new(BrowserHelpers::School.app).get("/api/stacks/#{stack[:id]}/stack.pdf", "HTTP_COOKIE" => teacher_cookie)
    PDF::Reader.new(StringIO.new(env.body)).pages.map(&:text)
  end
end
