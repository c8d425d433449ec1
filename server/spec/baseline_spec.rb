# frozen_string_literal: true

# Where each child is: at the desks a child is asked until that is found, on paper one page for all.
RSpec.describe "A baseline" do
  include DeskHelpers

  let!(:desk) { desk_of(school_class, kind: "baseline") }

  def wrong(turn)
    text = { "words" => "ten past one", "digits" => "1:10" }.fetch(turn["entry"])
    Array.new(turn["items"].length, text)
  end

  # @return [Array<Hash>] answers to what the child was sent
  def through
    sent = []
    while (turn = state["turn"])
      sent << send_answers(turn, yield(turn)).body
    end
    sent
  end

  it "asks a child who is right of ever harder times, and ends at the top" do
    sent = through { |turn| right(turn) }
    expect(sent.length).to be_between(8, 12)
    expect(sent.last.values_at("turn", "turn_id").first).to be_nil
    expect(sent.last["round"]).to include("over" => true, "of" => 12)
    expect(live["place"]["step"]).to eq("minutes_to").or eq("minutes_past")
  end

  it "asks each task once, with one sentence to each answer and no second try" do
    first = state["turn"]
    answer = send_answers(first, wrong(first)).body
    expect(answer).to include("done" => true, "help" => nil)
    expect(answer["sentence"]).to match(/\S+/)
    expect(state["turn"]["id"]).not_to eq(first["id"])
  end

  it "finds a child who knows nothing, tells the teacher, and asks no more" do
    through { |turn| wrong(turn) }
    expect(live["place"]).to eq("step" => nil)
    expect(as(seat) { post("/api/desk/rounds", {}) }.body["turn"]).to be_nil
  end

  it "goes on at another device where it was" do
    3.times { state["turn"].then { |turn| send_answers(turn, right(turn)) } }
    other = seated(desk["id"], child)
    expect(as(other) { get("/api/desk/state") }.body["round"]).to include("done" => 3)
  end

  it "has tasks ready for when the network is away, and takes their answers" do
    ahead = state["ahead"]
    expect(ahead.length).to eq(4)
    late = send_answers(ahead.first, right(ahead.first), late: true)
    expect([late.status, late.body["done"]]).to eq([200, true])
  end

  it "counts for what is told of the child, and what is next" do
    through { |turn| right(turn) }
    record = get("/api/classes/#{school_class['id']}/children/#{child['id']}/record").body
    expect(record["steps"].find { |step| step["id"] == "oclock" }["state"]).to eq("secure").or eq("nearly")
    expect(record["next_step"]).not_to match(/\A(hour_hand|oclock|half_past)\z/)
  end

  it "says how far a child has come only once that is found, also where the session is closed before" do
    3.times { state["turn"].then { |turn| send_answers(turn, right(turn)) } }
    expect(live["place"]).to be_nil
    post("/api/desks/#{desk['id']}/closing", {})
    expect(live).to include("place" => nil, "given" => 3)
  end

  describe "on paper" do
    let(:made) { post("/api/classes/#{school_class['id']}/sheets", { kind: "baseline", step: "minutes" }).body }

    it "has twelve clocks over all steps, and is called what it is" do
      check = get("/api/checks/#{made['check_id']}").body
      expect(check["items"].length).to eq(12)
      expect(check["baseline"]).to be(true)
      steps = store.db[:items].where(check_id: made["check_id"]).select_map(:step).uniq
      expect(steps).to match_array(Vantick::Core::Knowing::Baseline.rungs.map { |step| step.id.to_s })
    end

    it "counts on the step that each clock is of" do
      check = get("/api/checks/#{made['check_id']}").body
      check["items"].first(4).each { |item| answer(check, child, item, item["right"]) }
      record = get("/api/classes/#{school_class['id']}/children/#{child['id']}/record").body
      expect(record["answers"].length).to eq(4)
      expect(record["steps"].find { |step| step["id"] == "minutes_to" }["state"]).to eq("not_yet")
    end

    it "is for all steps: another step is refused by name" do
      refused = post("/api/classes/#{school_class['id']}/sheets", { kind: "baseline", step: "quarters" })
      expect(refused).to be_refused(422).at("step").saying(/Choose another step/)
    end
  end
end
