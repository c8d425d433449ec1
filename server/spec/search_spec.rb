# frozen_string_literal: true

RSpec.describe Vantick::Server::Store::Search do
  let!(:school_class) { make_class(["Anneke", "Zoë", "Ana Lucía"]) }
  let!(:check) { make_check(school_class) }

  before do
    store.db[:checks].update(made_at: "2026-03-12T09:00:00Z")
    post("/api/classes/#{school_class['id']}/lessons", { day: "2026-04-02", step: "half_past", minutes: 40, seed: 1 })
  end

  def found(text)
    get("/api/search?text=#{URI.encode_www_form_component(text)}").body["found"].map do |one|
      one.values_at("kind", "name", "step")
    end
  end

  it "finds by the beginnings of words, in any order, without regard to case and accents" do
    { "zoe" => [["child", "Zoë", nil]], "LUCIA ana" => [["child", "Ana Lucía", nil]],
      "an" => [["child", "Anneke", nil], ["child", "Ana Lucía", nil]], "quart" => [["check", nil, "quarters"]],
      check["code"].downcase => [["check", nil, "quarters"]], "march" => [["check", nil, "quarters"]],
      "12 mar 2026" => [["check", nil, "quarters"]], "lesson april" => [["lesson", nil, "half_past"]],
      "nothing" => [], " " => [], "oë" => [], "%" => [] }.each { |text, wanted| expect(found(text)).to eq(wanted), text }
  end

  it "looks in all classes of the teacher and in nobody else's" do
    make_class(["Anouk"])
    expect(found("an").map { |one| one[1] }).to contain_exactly("Anneke", "Ana Lucía", "Anouk")
    as(signed_in("Joris")) { expect(found("an")).to eq([]) }
  end

  it "shows a few of each, and no practice at the desks" do
    12.times { make_check(school_class) }
    desk_of(school_class)
    expect(found("quarters").length).to eq(8)
    expect(found("hour hand")).to eq([])
  end
end
