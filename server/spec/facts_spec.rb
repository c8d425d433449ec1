# frozen_string_literal: true

RSpec.describe Vantick::Server::Show::Facts do
  def schema_errors(path)
    request = Rack::Request.new(Rack::MockRequest.env_for(path))
    response = Rack::Response[200, { "content-type" => "application/json" }, [plain(path).body]]
    Vantick::Server::Http::Contract.definition.validate_response(request, response).error
  end

  it "answers when it is ready" do
    expect(get("/api/health")).to have_attributes(status: 200, body: { "status" => "ok", "version" => Vantick::Core::VERSION })
  end

  it "gives the table of 720 that core made, as the contract describes it" do
    rows = get("/api/dial").body["times"]
    expect(rows.map { |row| row["time"] }).to eq(Vantick::Core::Dial::DialTime.all.map(&:to_s))
    expect(rows[465]).to include("usual" => "quarter to eight", "hour_hand_degrees" => 232.5, "side" => "to")
    expect(schema_errors("/api/dial")).to be_nil
  end

  it "gives steps, tasks, misreadings and lenses with their wording" do
    catalogue = get("/api/catalogue").body
    expect(catalogue["misreadings"].map { |misreading| misreading["id"] }).to include("to_with_passed_hour")
    expect(catalogue["steps"].find { |step| step["id"] == "quarters" }).to eq("id" => "quarters", "name" => "Quarters", "times" => 48)
    expect(schema_errors("/api/catalogue")).to be_nil
  end

  it "gives the table in a class's own conventions, and names the choice there is not" do
    row = get("/api/dial?conventions=after,of,point,minutes_first").body["times"][465]
    expect(row).to include("time" => "7:45", "digital" => "7.45", "usual" => "quarter of eight")
    expect(get("/api/dial?conventions=after,loud")).to be_refused(422).at("conventions").saying(/"loud" is not a convention/)
    expect(get("/api/dial?conventions=#{'x' * 301}")).to be_refused(400).at("conventions")
  end

  it "sends a table deflated to whoever takes that, and nothing to whoever has it" do
    as_it_is, deflated = ["", "gzip, br"].map { |encoding| app.get("/api/dial", "HTTP_ACCEPT_ENCODING" => encoding) }
    expect([as_it_is["content-encoding"], deflated["content-encoding"]]).to eq([nil, "gzip"])
    expect(deflated["vary"].downcase).to include("accept-encoding")
    expect(Zlib.gunzip(deflated.body)).to eq(as_it_is.body)
    expect(app.get("/api/dial", "HTTP_ACCEPT_ENCODING" => "gzip;q=0")["content-encoding"]).to be_nil
    again = app.get("/api/dial", "HTTP_ACCEPT_ENCODING" => "gzip", "HTTP_IF_NONE_MATCH" => deflated["etag"])
    expect([again.status, again.body]).to eq([304, ""])
  end

  it "makes no table in other words for a stranger, and not ever new ones for anybody" do
    expect(as("") { get("/api/dial").status }).to eq(200)
    expect(as("") { get("/api/dial?conventions=after") }).to be_refused(401)
    expect(as("") { get("/api/day?conventions=after") }).to be_refused(401)
    table = Vantick::Server::Show::Tables.new { |number| "table #{number}" }
    most = Vantick::Server::Show::Tables::NEW_A_MINUTE
    most.times { |number| table.for(number, whose: 1) }
    expect { table.for(most, whose: 1) }.to raise_error(Vantick::Server::Show::Tables::TooMany)
    expect(table.for(most, whose: 2).json).to eq("table #{most}")
    expect(table.for(most - 1, whose: 1).json).to eq("table #{most - 1}")
    expect(number_of_tables(table)).to eq(Vantick::Server::Show::Tables::KEPT)
  end

  def number_of_tables(table) = table.instance_variable_get(:@kept).length

  it "gives each time's steps with what lights up, and what someone elsewhere may say" do
    row = get("/api/dial?conventions=landmarks").body["times"][465]
    expect(row["at_home"]).to include("quarter of eight")
    expect(row["steps"].first).to eq("part" => "hour", "sentence" => "The short hand has passed the 7. It is going to the 8.",
                                     "lights" => [{ "kind" => "hand", "hand" => "hour" }, { "kind" => "gap", "from" => 7, "to" => 8 }])
    expect(schema_errors("/api/dial?conventions=landmarks,minutes_first,sixty_minus,plain")).to be_nil
  end

  it "gives the 1,440 times of a day" do
    rows = get("/api/day").body["times"]
    expect(rows.map { |row| row["time"] }).to eq(Vantick::Core::Dial::DayTime.all.map(&:to_s))
    expect(rows[720]).to include("words" => "noon", "clock_shows" => "12:00 p.m.")
    expect(schema_errors("/api/day?conventions=point")).to be_nil
  end

  it "says what is wrong with a drawn clock, and what it invites" do
    found = get("/api/drawing?hour_hand_degrees=210&minute_hand_degrees=270").body
    expect(found).to include("time" => "6:45", "verdict" => "readable")
    expect(get("/api/drawing?hour_hand_degrees=238&minute_hand_degrees=180").body)
      .to include("verdict" => "misleading", "invites" => %w[next_hour_early hands_swapped])
    expect(get("/api/drawing?hour_hand_degrees=x&minute_hand_degrees=1")).to be_refused(400).at("hour_hand_degrees")
    expect(get("/api/drawing?hour_hand_degrees=361&minute_hand_degrees=1")).to be_refused(400).at("hour_hand_degrees")
  end

  it "chooses times for a step without a class" do
    found = get("/api/times?step=fives&task=dial_to_words&count=5&seed=2").body["times"]
    expect(found.length).to eq(5)
    expect(get("/api/times?step=fives&task=dial_to_words&count=0&seed=2")).to be_refused(422).at("count")
  end

  it "sends the table once to those who hold it" do
    first = get("/api/dial")
    again = get("/api/dial", "HTTP_IF_NONE_MATCH" => first.headers["etag"])
    expect([again.status, again.body]).to eq([304, nil])
    expect(get("/api/dial", "HTTP_IF_NONE_MATCH" => '"other"').status).to eq(200)
  end

  it "packs it for those who can unpack" do
    packed = app.get("/api/dial", "HTTP_ACCEPT_ENCODING" => "gzip")
    expect(packed["content-encoding"]).to eq("gzip")
    expect(packed.body.bytesize).to be < 60_000
  end

  it "is described by a valid contract" do
    contract = YAML.safe_load_file(Vantick::Server::Http::Contract::FILE)
    expect(JSONSchemer.openapi(contract)).to be_valid
  end
end
