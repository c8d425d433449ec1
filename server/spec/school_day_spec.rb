# frozen_string_literal: true

RSpec.describe Vantick::Server::Store::SchoolDay do
  around do |example|
    before = ENV.fetch("TZ", nil)
    example.run
  ensure
    ENV["TZ"] = before
    described_class.instance_variable_set(:@days, nil)
  end

  # Sydney is eleven hours ahead in summer, Kathmandu five and three quarters (IANA's time zones, as the system has them).
  it "counts a morning as one day, wherever the school is" do
    described_class.zone = "Australia/Sydney"
    expect(%w[2026-03-01T22:30:00Z 2026-03-02T00:10:00Z].map { |moment| described_class.date(moment) }.uniq).to eq(["2026-03-02"])
    described_class.zone = "Asia/Kathmandu"
    expect(%w[2026-03-01T18:14:59Z 2026-03-01T18:15:00Z].map { |moment| described_class.date(moment) }).to eq(%w[2026-03-01 2026-03-02])
    expect { described_class.zone = "Harbour/Tern_Quay" }.to raise_error(ArgumentError, /isn't a time zone/)
  end

  it "makes nobody secure in two lessons of one morning" do
    described_class.zone = "Australia/Sydney"
    school_class = make_class
    check = make_check(school_class, step: "oclock", count: 8)
    child = school_class["children"].first
    check["items"].each_with_index do |item, at|
      moment = at < 4 ? Time.utc(2026, 3, 1, 23, 30) : Time.utc(2026, 3, 2, 0, 30)
      allow(Time).to receive(:now).and_return(moment)
      answer(check, child, item, item["right"])
    end
    record = get("/api/classes/#{school_class['id']}/children/#{child['id']}/record").body
    expect(record["steps"].find { |step| step["id"] == "oclock" }["state"]).not_to eq("secure")
    expect(record["checks"].map { |one| one["day"] }).to eq(["2026-03-02"])
  end
end
