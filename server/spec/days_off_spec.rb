# frozen_string_literal: true

# Calendar files as RFC 5545 has them; rules and their dates beside the section of the standard that they are taken from.
RSpec.describe Vantick::Server::Formats::DaysOff do
  def calendar(*events)
    lines = events.flat_map { |event| ["BEGIN:VEVENT", "UID:#{event.hash}@example.com", "DTSTAMP:19970901T130000Z", *event, "END:VEVENT"] }
    ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Example//EN", *lines, "END:VCALENDAR", ""].join("\r\n")
  end

  def read(*events, from: "1997-01-01", to: "1997-12-31") = described_class.read(calendar(*events), from:, to:)

  def days(*events, **within) = read(*events, **within)[:days].map { |one| one.values_at(:from, :to) }

  it "reads days, and days in a row whose end is the day after the last one (3.6.1)" do
    expect(days(["DTSTART;VALUE=DATE:19971102", "SUMMARY:Our Blissful Anniversary"])).to eq([%w[1997-11-02 1997-11-02]])
    expect(days(["DTSTART;VALUE=DATE:20070628", "DTEND;VALUE=DATE:20070709"], to: "2007-12-31")).to eq([%w[2007-06-28 2007-07-08]])
    expect(days(["DTSTART;VALUE=DATE:19970902", "DURATION:P1W"])).to eq([%w[1997-09-02 1997-09-08]])
  end

  it "joins folded lines (3.1)" do
    found = read(["DTSTART;VALUE=DATE:19970902", "SUMMARY:Half-term with a ve", " ry long name"])
    expect(found[:days].first[:name]).to eq("Half-term with a very long name")
  end

  # 3.8.5.3, as days: "Daily for 10 occurrences", "Every other week on Monday, Wednesday, and Friday until December 24, 1997",
  # "Monthly on the first Friday for 10 occurrences", and one of 3.8.5.1.
  it "repeats as the standard's examples do" do
    daily = days(["DTSTART;VALUE=DATE:19970902", "RRULE:FREQ=DAILY;COUNT=10"]).map(&:first)
    expect(daily).to eq((2..11).map { |day| format("1997-09-%02d", day) })
    rule = "RRULE:FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR"
    weekly = days(["DTSTART;VALUE=DATE:19970901", rule]).map(&:first)
    expect(weekly.first(7)).to eq(%w[1997-09-01 1997-09-03 1997-09-05 1997-09-15 1997-09-17 1997-09-19 1997-09-29])
    expect(weekly.last).to eq("1997-12-24")
    monthly = days(["DTSTART;VALUE=DATE:19970905", "RRULE:FREQ=MONTHLY;COUNT=10;BYDAY=1FR"], to: "1998-12-31").map(&:first)
    expect(monthly).to eq(%w[1997-09-05 1997-10-03 1997-11-07 1997-12-05 1998-01-02 1998-02-06 1998-03-06 1998-04-03 1998-05-01 1998-06-05])
    excepted = days(["DTSTART;VALUE=DATE:19970902", "RRULE:FREQ=DAILY;COUNT=4", "EXDATE;VALUE=DATE:19970903,19970904"]).map(&:first)
    expect(excepted).to eq(%w[1997-09-02 1997-09-05])
    expect(days(["DTSTART;VALUE=DATE:19970902", "RDATE;VALUE=DATE:19970910"]).map(&:first)).to eq(%w[1997-09-02 1997-09-10])
  end

  # The last Sunday of March: a day is 23 hours long there.
  it "keeps its days over a change to summer time, in any zone of the machine" do
    event = ["DTSTART;TZID=Europe/Berlin:20270326T000000", "DTEND;TZID=Europe/Berlin:20270330T000000"]
    weekly = ["DTSTART;VALUE=DATE:20270326", "RRULE:FREQ=WEEKLY;COUNT=3"]
    before = ENV.fetch("TZ", nil)
    %w[UTC Europe/Berlin America/Los_Angeles Pacific/Auckland].each do |zone|
      ENV["TZ"] = zone
      expect(days(event, weekly, from: "2027-01-01", to: "2027-12-31"))
        .to eq([%w[2027-03-26 2027-03-26], %w[2027-03-26 2027-03-29], %w[2027-04-02 2027-04-02], %w[2027-04-09 2027-04-09]])
    end
  ensure
    ENV["TZ"] = before
  end

  {
    "an event that was cancelled" => [[["DTSTART;VALUE=DATE:19970902", "STATUS:CANCELLED"]], []],
    "the time from midnight to a minute before the next" => [[["DTSTART:19970902T000000", "DTEND:19970902T235900"]],
                                                             [%w[1997-09-02 1997-09-02]]],
    "midnights in UTC" => [[["DTSTART:19970902T000000Z", "DTEND:19970904T000000Z"]], [%w[1997-09-02 1997-09-03]]],
    "midnights of another zone in UTC" => [[["DTSTART:19970901T220000Z", "DTEND:19970903T220000Z"]], [%w[1997-09-02 1997-09-03]]],
    "a day's length from midnight" => [[["DTSTART:19970902T000000", "DURATION:P1D"]], [%w[1997-09-02 1997-09-02]]],
    "a weekend from Friday afternoon to Monday morning" => [[["DTSTART:19970905T153000", "DTEND:19970908T080000"]],
                                                            [%w[1997-09-06 1997-09-07]]],
    "Monday morning to Wednesday afternoon" => [[["DTSTART:19970901T080000", "DTEND:19970903T150000"]], [%w[1997-09-01 1997-09-03]]],
    "thirty hours over one night" => [[["DTSTART:19970901T100000", "DTEND:19970902T110000"]], []]
  }.each do |what, (events, found)|
    it("takes #{what} as a school would") { expect(days(*events)).to eq(found) }
  end

  it "moves or drops one repetition of many (3.8.4.4)" do
    weekly = ["UID:x@example.com", "DTSTART;VALUE=DATE:19970902", "RRULE:FREQ=WEEKLY;COUNT=4"]
    moved = ["UID:x@example.com", "RECURRENCE-ID;VALUE=DATE:19970909", "DTSTART;VALUE=DATE:19970910"]
    gone = ["UID:x@example.com", "RECURRENCE-ID;VALUE=DATE:19970916", "DTSTART;VALUE=DATE:19970916", "STATUS:CANCELLED"]
    text = calendar(weekly, moved, gone).gsub(/^UID:-?\d+@.*\r\n/, "")
    found = described_class.read(text, from: "1997-01-01", to: "1997-12-31")[:days].map { |one| one[:from] }
    expect(found).to eq(%w[1997-09-02 1997-09-10 1997-09-23])
  end

  it "takes no days from a file that takes its events back (RFC 5546)" do
    text = calendar(["DTSTART;VALUE=DATE:19970902", "SUMMARY:Half-term"])
    { "CANCEL" => 0, "PUBLISH" => 1 }.each do |method, count|
      file = text.sub(/^BEGIN:VEVENT/, "METHOD:#{method}\r\n\\0")
      expect(described_class.read(file, from: "1997-01-01", to: "1997-12-31")[:days].length).to eq(count), method
    end
  end

  it "reads names of lines in small letters, and lines between that are empty" do
    text = calendar(["DTSTART;VALUE=DATE:19970902", "SUMMARY:Half-term"]).gsub(/^[A-Z-]+(?=[;:])/, &:downcase).gsub("VEVENT", "vevent")
    found = described_class.read(text.gsub("\r\n", "\r\n\r\n"), from: "1997-01-01", to: "1997-12-31")
    expect(found[:days].map { |one| one.values_at(:from, :name) }).to eq([%w[1997-09-02 Half-term]])
  end

  it "takes holidays for days off, and days with something on at school for none" do
    off = ["Autumn break", "Half-term holiday", "Staff training day", "Epiphany", "Sports holiday"]
    on = ["Sports day", "School photographs", "Book fair", "Last day of term", "Maya's birthday"]
    found = read(*(off + on).map do |name|
      ["DTSTART;VALUE=DATE:19970902", "SUMMARY:#{name}"]
    end)[:days].to_h { |one| one.values_at(:name, :likely) }
    expect(found).to eq([*off.map { |name| [name, true] }, *on.map { |name| [name, false] }].to_h)
  end

  it "says of many events in hours how many there are, in one line" do
    lessons = Array.new(40) { |at| ["DTSTART:19970903T190000Z", "DTEND:19970903T200000Z", "SUMMARY:Choir #{at}"] }
    expect(read(*lessons)[:unread]).to eq([{ name: "40 events", why: "They are parts of a day, not whole days." }])
  end

  it "leaves out what lies outside the term, and names what is no day" do
    found = read(["DTSTART;VALUE=DATE:19960902"], ["DTSTART:19970903T190000Z", "DTEND:19970903T200000Z", "SUMMARY:Meeting"],
                 ["DTSTART;VALUE=DATE:19970902", "RRULE:FREQ=SECONDLY", "SUMMARY:Ticking"])
    expect(found[:days]).to eq([])
    expect(found[:unread]).to eq([{ name: "Meeting", why: "It is part of a day, not a whole day." },
                                  { name: "Ticking", why: "Its days can't be read." }])
  end

  it "refuses in words what is no calendar, in the field" do
    ["", "nonsense", "BEGIN:VCARD", "\x00\xFF".b.force_encoding("UTF-8")].each do |text|
      expect { described_class.read(text, from: "2026-01-01", to: "2026-12-31") }.to raise_error(Vantick::Core::Error, /calendar file/)
    end
    halved = calendar(["DTSTART;VALUE=DATE:20260302"])
    (0..halved.length).step(7).each do |length|
      described_class.read(halved[0, length], from: "2026-01-01", to: "2026-12-31")
    rescue Vantick::Core::Error => e
      expect(e.field).to eq(:content)
    end
  end

  it "refuses a calendar that leaves out days by the thousand, before anything is worked out with them" do
    many = Array.new(1001) { |at| (Date.new(2000, 1, 1) + at).strftime("%Y%m%d") }.join(",")
    text = ["BEGIN:VCALENDAR", "BEGIN:VEVENT", "DTSTART;VALUE=DATE:20260302", "RRULE:FREQ=DAILY", "EXDATE;VALUE=DATE:#{many}", "END:VEVENT",
            "END:VCALENDAR"].join("\r\n")
    expect { described_class.read(text, from: "2026-03-01", to: "2026-04-01") }.to raise_error(Vantick::Core::Error, /skips 1001 days/)
  end

  it "reads two million characters in a moment, and is reached through the API" do
    events = Array.new(7_600) { |at| ["DTSTART;VALUE=DATE:2026#{format('%02d', (at % 12) + 1)}01", "SUMMARY:#{'x' * 120}#{at % 12}"] }
    many = calendar(*events)
    expect(many.length).to be_between(1_800_000, 2_000_000)
    address = "/api/classes/#{make_class['id']}/term/days-off"
    year = { first_day: "2026-01-01", last_day: "2026-12-31" }
    expect(post(address, { content: many, **year }).body["days"].length).to eq(12)
    small = { content: calendar(["DTSTART;VALUE=DATE:20260302"]), **year }
    expect(post(address, small).body["days"])
      .to eq([{ "from" => "2026-03-02", "to" => "2026-03-02", "name" => "", "likely" => true }])
    expect(post(address, { **small, content: "none" })).to be_refused(422).at("content").saying(/calendar/)
    expect(post(address, { **small, content: "x" * 2_000_001 }).status).to eq(400)
  end
end
