# frozen_string_literal: true

require_relative "support/printed"

# What a teacher sets for one child, and what comes of it at devices and on paper.
RSpec.describe "Adjustments for one child" do
  include DeskHelpers

  let(:path) { "/api/classes/#{school_class['id']}" }
  let(:other) { school_class["children"].last }
  let(:nothing) { Vantick::Core::Teaching::Adjustments.none.to_h }

  def adjust(of = child, **set) = put("#{path}/children/#{of['id']}/adjustments", { **nothing, **set })

  def made_for_each(**settings)
    id = post("#{path}/sheets", { kind: "read", step: "fives", versions: "each", count: 8, **settings }).body["check_id"]
    [id, store.checks.find(id).items.group_by(&:child_id)]
  end

  def printed(id) = Printed.new(plain("/api/checks/#{id}/sheet.pdf?part=sheets&sides=one").body)

  it "are kept, listed of those who have some, and taken back" do
    set = adjust(larger: true, notation: "digits")
    expect(set.body["names"]).to eq(["Larger", "Digits only for now"])
    expect(get("#{path}/adjustments").body["children"]).to eq([set.body])
    expect(adjust.body["names"]).to eq([])
    expect(get("#{path}/adjustments").body["children"]).to eq([])
    expect(put("#{path}/children/#{child['id']}/adjustments", { **nothing, notation: "roman" })).to be_refused(400).at("notation")
    away = make_class(%w[Ada])["children"].first
    expect(adjust(away)).to be_refused(404).at("child_id")
  end

  it "are told to the child's own device alone, and change what it does at once" do
    expect(state).to include("round" => include("of" => 10))
    adjust(fewer: true, voice: true, calm: true)
    expect(state).to include("round" => include("of" => 5), "adjustments" => include("voice" => true, "calm" => true, "larger" => false))
    expect(as(seated(desk["id"], other)) { get("/api/desk/state").body }["adjustments"].values.uniq).to eq([false])
    went(6) { |turn| expect(state["turn"]).to eq(turn) }
    expect(state).to include("turn" => nil, "round" => include("over" => true, "done" => 5))
    doors = as("") { post("/api/desk/doors", { code: desk["code"] }).body }
    expect(JSON.generate(doors)).not_to match(/adjust|calm/)
  end

  it "ask in one form and with help on every clock, from the next task that is chosen on" do
    adjust(notation: "digits", help: true)
    asked = []
    went(10) { |turn| asked << turn }
    tasks = asked.map { |turn| Vantick::Core::Tasks::Task.find(turn["task"]) }
    expect(tasks.flat_map(&:forms)).not_to include(:words)
    with_dial = asked.select { |turn| turn["task"] == "dial_to_digital" }
    expect(with_dial).not_to be_empty
    expect(with_dial.map { |turn| turn["items"].first["on_clock"] }).to all(include("hour_gap"))
  end

  it "make the child's own sheet shorter, with larger clocks and help on each, and leave the others' alone" do
    adjust(fewer: true, larger: true, help: true)
    id, items = made_for_each
    expect(items.values.map(&:length)).to eq([4, 8, 8])
    expect(items.fetch(child["id"]).map { |item| [item.helped, item.larger] }.uniq).to eq([[1, 1]])
    expect(items.fetch(other["id"]).map { |item| [item.helped, item.larger] }.uniq).to eq([[nil, nil]])
    widths = printed(id).then { |file| file.pages.map { |page| file.outlines(page).filter_map { |outline| outline.circle&.last }.max } }
    expect(widths[0] / widths[2]).to be_within(0.02).of(1.3)
  end

  it "fit six large clocks with help on a page of A4" do
    adjust(larger: true, fewer: true, help: true)
    id, = made_for_each(count: 12, paper: "a4")
    expect(printed(id).texts.count { |text| text.include?("Anneke") }).to eq(1)
  end

  describe "where another language is spoken at home" do
    let(:check) { make_check(school_class, step: "half_past", count: 4) }
    let(:item) { check["items"].first }
    let(:next_hour) { "half past #{Vantick::Core::Wording::NumberWords.standard.spell((item['dial'].to_i % 12) + 1)}" }

    it "take half past with the hour that comes for right in other words, where it is said so there" do
      adjust(home: "pl")
      adjust(other, home: "es")
      verdicts = [child, other].map { |one| answer(check, one, item, next_hour).body["verdict"] }
      expect(verdicts).to eq(%w[right_other_words misread])
      listed = get("#{path}/adjustments").body["children"].map { |child| [child["names"], child["set"]["home"]] }
      expect(listed).to eq([[[], "pl"], [[], "es"]])
      expect(put("#{path}/children/#{child['id']}/adjustments", { **nothing, home: "xx" })).to be_refused(422).at("home")
    end

    it "is no matter of whoever gives the lesson: it stands on no page for them" do
      adjustments = Vantick::Core::Teaching::Adjustments
      step = Vantick::Core::Curriculum::Step.find(:quarters)
      settings = Vantick::Core::Teaching::LessonSettings.of(step: :quarters, minutes: 45, seed: 1)
      plan = Vantick::Core::Teaching::LessonPlan.new(settings, Vantick::Core::Wording::Conventions.default)
      set = { "Anneke" => adjustments.new(home: "pl"), "Bram" => adjustments.new(home: "de", larger: true) }
      pages = Vantick::Server::Documents::DayPages.new.lesson(step.name, plan, adjusted: set).pages
      told = pages.flat_map { |page| page.marks.grep(Vantick::Server::Documents::Page::Text) }.map(&:text).join(" ")
      expect(told).to include("Bram: Larger")
      expect(told).not_to match(/Anneke|German/)
    end

    it "have a note to take home in that language as well, with all of its letters" do
      Vantick::Core::Wording::HomeLanguage.all.each do |language|
        adjust(home: language.id.to_s)
        file = Printed.new(plain("#{path}/material.pdf?kind=home&step=quarters").body)
        expect(file.pages.length).to eq(2)
        words = [language.title, language.times.values.last, "A speaker has not checked it."]
        expect(file.texts.last.gsub(/\s+/, "")).to include(*words.map { |text| text.gsub(/\s+/, "") }), language.name
        expect([language.title, language.intro, language.ask, *language.half, *language.times.values]).to all(satisfy { |text|
          Vantick::Server::Documents::Letters.all?(text)
        })
      end
      adjust
      expect(Printed.new(plain("#{path}/material.pdf?kind=home&step=quarters").body).pages.length).to eq(1)
    end
  end

  it "leave a sheet as it was printed, whatever is set afterwards: paper has to be found again" do
    adjust(larger: true)
    id, = made_for_each
    fields = lambda do
      check = store.checks.find(id)
      Vantick::Server::Pages::Printing.of_check(check, store.classes.find(school_class["id"])).drawn_sheet(check).pages.map(&:fields)
    end
    before = fields.call
    adjust
    adjust(other, larger: true)
    expect(fields.call).to eq(before)
    Vantick::Core::Choosing::SheetKind.all.select(&:answered?).each do |kind|
      step = Vantick::Core::Curriculum::Step.with_times.reverse.find { |one| kind.tasks_for(one).any? } or next
      sheet_id, = made_for_each(kind: kind.id.to_s, step: step.id.to_s, count: nil)
      file = printed(sheet_id)
      places = file.pages.flat_map { |page| file.outlines(page).flat_map { |outline| outline.places.flatten } }
      expect(places.minmax).to all(be_between(0, 842)), kind.id.to_s
    end
  end

  it "leave what is to tell what the child knows as long as it is, without help" do
    adjust(fewer: true, larger: true, help: true)
    _, items = made_for_each(kind: "slips", step: "quarters", count: 3)
    expect(items.fetch(child["id"]).map { |item| [item.helped, item.larger] }).to eq([[nil, 1]] * 3)
  end

  it "are told to whoever gives the lesson, on the page in the stack" do
    adjust(larger: true, fewer: true)
    lesson = post("#{path}/lessons", { day: Date.today.iso8601, step: "fives", minutes: 45, seed: 3 }).body
    stack = post("/api/lessons/#{lesson['id']}/stack", {}).body["stack_id"]
    text = Printed.new(plain("/api/stacks/#{stack}/stack.pdf").body).texts.join(" ")
    expect(text).to include("For Anneke: Larger; Fewer tasks.")
  end

  it "go with the child's copy of everything, and are gone with the child" do
    adjust(voice: true)
    kept = get("#{path}/children/#{child['id']}/file.json").body["kept"]["the register"]
    expect(JSON.parse(kept.first["adjustments"])).to include("voice" => true)
  end
end
