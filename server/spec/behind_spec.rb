# frozen_string_literal: true

# Why something is proposed, and what a teacher says against it.
RSpec.describe Vantick::Server::Classes::Behind do
  let(:school_class) { make_class(%w[Ana Bo Cem]) }
  let(:path) { "/api/classes/#{school_class['id']}" }
  let(:ids) { school_class["children"].map { |child| child["id"] } }

  def say(known, step: "half_past", child_ids: []) = post("#{path}/said", { step:, child_ids:, known: })

  def next_step = get("#{path}/tomorrow").body.dig("next", "step")

  it "shows the last answers on the step and on harder ones, child by child" do
    check = make_check(school_class)
    check["items"].each { |item| answer(check, school_class["children"].first, item, "qt7") }
    told = get("#{path}/behind?step=half_past").body["children"]
    expect(told.map { |child| child["answers"].length }).to eq([4, 0, 0])
    expect(told.first["answers"].last).to include("time" => check["items"].last["time"], "said" => "quarter to seven")
    expect(get("#{path}/behind?step=fives").body["children"].flat_map { |child| child["answers"] }).to eq([])
    expect(get("#{path}/behind?step=half_past&child_ids=#{ids.last}").body["children"].map { |child| child["name"] }).to eq(["Cem"])
    expect(get("#{path}/behind?step=nothing").status).to eq(422)
    expect(get("#{path}/behind?step=fives&child_ids=99")).to be_refused(404).at("child_ids")
  end

  it "takes a teacher's word everywhere at once, and takes it back" do
    before = next_step
    expect(say(true, step: before).body["children"].map { |child| child["said"]["known"] }).to eq([true] * 3)
    after = next_step
    expect(after).not_to eq(before)
    expect(get("#{path}/ladder").body["next"]["step"]).to eq(after)
    expect(get("#{path}/groups").body["groups"].map { |group| group["step"] }.uniq).to eq([after])
    say(nil, step: before)
    expect([next_step, get("#{path}/behind?step=#{before}").body["children"].map { |child| child["said"] }.uniq]).to eq([before, [nil]])
  end

  it "takes it for some children alone, and plans the term anew" do
    days = { first_day: Date.today.iso8601, last_day: (Date.today + 60).iso8601, aim_day: (Date.today + 60).iso8601 }
    put("#{path}/term", { **days, weekdays: { monday: 45, thursday: 45 }, days_off: [], aim: "quarters" })
    plan = -> { get("#{path}/term").body["plan"] }
    first = plan.call
    %w[hour_hand oclock half_past].each { |step| say(true, step:, child_ids: []) }
    expect(plan.call["id"]).not_to eq(first["id"])
    say(false, step: "half_past", child_ids: ids.first(1))
    told = get("#{path}/behind?step=half_past").body["children"].map { |child| child["said"]["known"] }
    expect(told).to eq([false, true, true])
    expect(store.db[:said].count).to eq(9)
  end
end
