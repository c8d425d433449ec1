# frozen_string_literal: true

# The private address of a class's calendar, read as RFC 5545 and RFC 7986 have it, by hand.
RSpec.describe Vantick::Server::Plan::CalendarAddresses do
  # A Monday.
  before { Vantick::Server::Clock.set(Time.utc(2026, 11, 23, 10)) }
  after { Vantick::Server::Clock.set(nil) }

  let(:school_class) { make_class }
  let(:path) { "/api/classes/#{school_class['id']}" }
  let(:settings) do
    { first_day: "2026-11-23", last_day: "2027-01-29", weekdays: { monday: 45, wednesday: 30 }, days_off: [], aim: "fives",
      aim_day: "2027-01-27" }
  end

  def made = post("#{path}/calendar-address", {}).body

  # As a calendar asks: without any sign-in.
  def follow(address) = as("") { plain(URI(address).path) }

  def events(text)
    text.gsub("\r\n ", "").split("BEGIN:VEVENT").drop(1).map { |one| one.scan(/^([A-Z]+)[^:\r\n]*:(.*)\r$/).to_h }
  end

  it "has none at first, then one that opens without signing in, as a link and as a QR code" do
    expect(get("#{path}/calendar-address").body).to include("address" => nil, "webcal" => nil, "qr" => "")
    address = made
    expect(address["webcal"]).to eq(address["address"].sub(/\Ahttps?/, "webcal"))
    expect(address["qr"]).to match(/\AM\d/)
    expect(get("#{path}/calendar-address").body).to eq(address)
    response = follow(address["address"])
    expect([response.status, response["content-type"]]).to eq([200, "text/calendar;charset=utf-8"])
    expect(response.body).to include("REFRESH-INTERVAL;VALUE=DURATION:PT6H\r\n", "X-PUBLISHED-TTL:PT6H\r\n")
    expect(response.body).not_to match(/Anneke|Bram/)
  end

  it "leads nowhere once it is withdrawn, made anew, or the class is put away" do
    first = made["address"]
    second = made["address"]
    expect([first, second].map { |address| follow(address).status }).to eq([404, 200])
    post("#{path}/archive", { archived: true })
    expect(follow(second).status).to eq(404)
    post("#{path}/archive", { archived: false })
    expect(follow(second).status).to eq(200)
    expect(delete("#{path}/calendar-address").body["address"]).to be_nil
    expect(follow(second).status).to eq(404)
    expect(follow("/api/calendars/#{'x' * 24}/lessons.ics").status).to eq(404)
  end

  it "tells the term and the lessons on other days, each as a day that stays free" do
    put("#{path}/term", settings)
    post("#{path}/lessons", { day: "2026-11-25", step: "quarters", minutes: 30, seed: 1 })
    post("#{path}/lessons", { day: "2026-11-27", step: "quarters", minutes: 30, seed: 1 })
    found = events(follow(made["address"]).body)
    days = found.map { |event| event["DTSTART"] }
    expect(days.tally.values).to all(eq(1))
    expect(days).to include("20261123", "20261125", "20261127")
    expect(found.map { |event| event["TRANSP"] }.uniq).to eq(["TRANSPARENT"])
    expect(found.filter_map { |event| event["STATUS"] }).to eq([])
  end

  it "cancels what falls on a day off now, under the name that it had" do
    put("#{path}/term", settings)
    post("#{path}/lessons", { day: "2026-12-04", step: "quarters", minutes: 30, seed: 1 })
    address = made["address"]
    before = events(follow(address).body).to_h { |event| [event["DTSTART"], event["UID"]] }
    off = [{ from: "2026-11-30", to: "2026-12-04", name: "Fair" }]
    put("#{path}/term", { **settings, days_off: off })
    after = events(follow(address).body)
    cancelled = after.select { |event| event["STATUS"] == "CANCELLED" }
    expect(cancelled.map { |event| event["DTSTART"] }).to contain_exactly("20261130", "20261202", "20261204")
    expect(cancelled.map { |event| event["UID"] }).to eq(cancelled.map { |event| before[event["DTSTART"]] })
    expect(after.map { |event| event["UID"] }.tally.values).to all(eq(1))
    expect(events(plain("#{path}/term.ics").body).count { |event| event["STATUS"] == "CANCELLED" }).to eq(2)
  end

  it "is shown and made by whoever keeps the class, not by a substitute" do
    made
    colleague = signed_in("Wietske")
    id = store.db[:accounts].where(login: "Wietske").get(:id)
    post("#{path}/shares", { account_id: id, until: (Date.jd(Vantick::Server::Store::SchoolDay.today) + 1).iso8601 })
    as(colleague) { expect(get("#{path}/calendar-address").status).to eq(403) }
  end
end
