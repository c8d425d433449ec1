# frozen_string_literal: true

RSpec.describe Vantick::Server::Api::Facts do
  def schema_errors(path)
    request = Rack::Request.new(Rack::MockRequest.env_for(path))
    response = Rack::Response[200, { "content-type" => "application/json" }, [app.get(path).body]]
    Vantick::Server::Api::Contract.definition.validate_response(request, response).error
  end

  it "answers when it is ready" do
    expect(get("/api/health")).to have_attributes(status: 200, body: { "status" => "ok", "version" => Vantick::Core::VERSION })
  end

  it "gives the table of 720 that core made, as the contract describes it" do
    rows = get("/api/dial").body["times"]
    expect(rows.map { |row| row["time"] }).to eq(Vantick::Core::DialTime.all.map(&:to_s))
    expect(rows[465]).to include("usual" => "quarter to eight", "hour_hand_degrees" => 232.5, "side" => "to")
    expect(schema_errors("/api/dial")).to be_nil
  end

  it "gives steps, tasks, misreadings and lenses with their wording" do
    catalogue = get("/api/catalogue").body
    expect(catalogue["misreadings"].map { |one| one["id"] }).to include("to_with_passed_hour")
    expect(catalogue["steps"].find { |step| step["id"] == "quarters" }).to eq("id" => "quarters", "name" => "Quarters", "times" => 48)
    expect(schema_errors("/api/catalogue")).to be_nil
  end

  it "gives the table in a class's own conventions, and names the choice there is not" do
    row = get("/api/dial?conventions=after,of,point,minutes_first").body["times"][465]
    expect(row).to include("time" => "7:45", "digital" => "7.45", "usual" => "quarter of eight")
    expect(get("/api/dial?conventions=after,loud")).to be_refused(422).at("conventions").saying(/"loud" is not a convention/)
    expect(get("/api/dial?conventions=#{'x' * 301}")).to be_refused(400).at("conventions")
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
    contract = YAML.safe_load_file(Vantick::Server::Api::Contract::FILE)
    expect(JSONSchemer.openapi(contract)).to be_valid
  end
end
