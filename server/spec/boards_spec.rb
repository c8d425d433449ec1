# frozen_string_literal: true

# What a class shows when all hold up their boards.
RSpec.describe "Boards of a whole class" do
  let(:school_class) { make_class(%w[Anneke Bram Celyn]) }
  let(:path) { "/api/classes/#{school_class['id']}/boards" }
  let(:about) { { step: "quarter_to", task: "dial_to_words", time: "7:45" } }

  def show(**amounts)
    post(path, { **about, amounts: amounts.map { |answer, amount| { answer:, amount: } } })
  end

  it "are waited for with the right answer and at most three wrong ones, in the class's words" do
    put("/api/classes/#{school_class['id']}/conventions", { conventions: { to_word: "till" } })
    awaited = get("#{path}?#{URI.encode_www_form(about)}").body
    expect(awaited["answer"]).to eq("quarter till eight")
    expect(awaited["wrong"]).to include("misreading" => "to_with_passed_hour", "answer" => "quarter till seven")
    expect(awaited["wrong"].length).to be <= 3
    expect(get("#{path}?task=dial_to_words&time=7:45").body).to eq(awaited)
  end

  it "tell what to do next, and are kept with the lesson as the class's" do
    lesson = post("/api/classes/#{school_class['id']}/lessons", { day: "2026-03-02", step: "quarter_to", minutes: 40, seed: 1 }).body
    about[:lesson_id] = lesson["id"]
    said = show(right: "few", to_with_passed_hour: "most", other: "none")
    expect(said.status).to eq(201)
    expect(said.body).to include("misreading" => "to_with_passed_hour", "time" => match(/:45\z/))
    expect(show(right: "most").body).to include("say" => "Most have it. Go on.", "time" => nil)
    boards = get("/api/lessons/#{lesson['id']}/boards").body["boards"]
    expect(boards.map { |board| board["amounts"].map { |amount| amount.values_at("answer", "right", "amount") } })
      .to eq([[["quarter to eight", true, "a few"], ["quarter to seven", false, "most"]], [["quarter to eight", true, "most"]]])
    delete("/api/lessons/#{lesson['id']}")
    expect(store.db[:boards].select_map(:lesson_id)).to eq([nil, nil])
  end

  it "answer for every kind of task and any clock, if only in words that it can't be asked" do
    Vantick::Core::Tasks::Task.all.product(%w[7:45 5:59 12:00 6:33 19:45]).each do |task, time|
      [get("#{path}?task=#{task.id}&time=#{time}"), post(path, { task: task.id.to_s, time:, amounts: [] })].each do |answered|
        expect([200, 201, 422]).to include(answered.status), "#{task.id} #{time}: #{answered.body}"
      end
    end
  end

  it "refuse a clock, an answer or a lesson that does not belong here" do
    expect(get("#{path}?step=quarter_to&task=dial_to_words&time=7:40")).to be_refused(422).at("time").saying(/isn't one of quarter to/)
    expect(show(dark_is_pm: "most")).to be_refused(422).at("amounts")
    other = make_class(%w[Ada])
    lesson = post("/api/classes/#{other['id']}/lessons", { day: "2026-03-02", step: "quarter_to", minutes: 40, seed: 1 }).body
    about[:lesson_id] = lesson["id"]
    expect(show(right: "all")).to be_refused(422).at("lesson_id")
  end
end
