# frozen_string_literal: true

# Tokens of a class (RFC 6750): what each door of the contract says of them is what they may do.
RSpec.describe Vantick::Server::Access::Token do
  include Doors

  let(:things) { belongings }
  let(:path) { "/api/classes/#{things['class_id']}" }

  def token(scope = "reading") = post("#{path}/tokens", { name: "The school's report", scope: }).body["token"]

  def knock(door, token, things)
    method, path, operation, parameters = door
    schema = body_schema(operation)
    input = schema ? JSON.generate(sample(schema, things)) : ""
    told(app.request(method.upcase, "#{address(path, things)}?#{query(parameters, things)}",
                     "CONTENT_TYPE" => "application/json", "HTTP_AUTHORIZATION" => "Bearer #{token}", input:))
  rescue JSON::ParserError
    Struct.new(:status, :body).new(200, nil)
  end

  doors = Doors.all.reject { |_, _, operation, _| operation["security"] == [] || operation["security"]&.first&.key?("desk") }

  it "opens the doors that the contract opens to it, and no other" do
    tokens = %w[reading typing].to_h { |scope| [scope, token(scope)] }
    doors.product(tokens.to_a).each do |door, (scope, token)|
      status = knock(door, token, things).status
      open = described_class.scopes(door[2]).include?(scope)
      expect([401, 403].include?(status)).to eq(!open), "#{scope} #{door[1]}: #{status}"
    end
    expect(doors.count { |_, _, operation, _| described_class.scopes(operation).any? }).to be > 15
  end

  it "reads only with GET, and what it types is an answer or a look at a file" do
    reading = doors.select { |_, _, operation, _| described_class.scopes(operation).include?("reading") }
    expect(reading.map(&:first).uniq).to eq(["get"])
    typing = doors.select { |_, _, operation, _| described_class.scopes(operation) == ["typing"] }
    expect(typing.map { |_, _, operation, _| operation["operationId"] }).to contain_exactly("addAnswer", "importAnswers", "previewAnswers")
  end

  it "stays in its class: what is in another class of the same teacher isn't there" do
    mine = token("typing")
    other = belongings
    doors.select { |_, _, operation, _| described_class.scopes(operation).any? }.each do |door|
      expect(knock(door, mine, other).status).to eq(404), door[1]
    end
  end

  it "is told once, kept as a digest, and says on which day it was used last" do
    mine = token
    expect(get("#{path}/tokens").body["tokens"].first).to include("scope" => "reading", "name" => "The school's report", "used_on" => nil)
    expect(everything.to_s).not_to include(mine)
    app.get("#{path}/register", "HTTP_AUTHORIZATION" => "Bearer #{mine}")
    expect(get("#{path}/tokens").body["tokens"].first["used_on"]).to eq(Date.jd(Vantick::Server::Store::SchoolDay.today).iso8601)
  end

  it "opens nothing once it is withdrawn, once its maker has the class no more, or where it is none" do
    mine = token
    ask = ->(text) { app.get("#{path}/register", "HTTP_AUTHORIZATION" => text).status }
    expect(["Bearer #{mine}", "bearer  #{mine}"].map(&ask)).to eq([200, 200])
    expect(["Bearer #{mine}x", "Basic #{mine}", mine, "Bearer "].map(&ask)).to all(eq(401))
    post("#{path}/owner", { account_id: things["account_id"] })
    expect(ask.call("Bearer #{mine}")).to eq(404)
    as(signed_in("Wietske")) do
      list = get("#{path}/tokens").body["tokens"]
      expect(list.length).to eq(2)
      list.each { |one| delete("#{path}/tokens/#{one['id']}") }
      expect(get("#{path}/tokens").body["tokens"]).to eq([])
    end
    expect(ask.call("Bearer #{mine}")).to eq(401)
  end

  it "is refused in words: an empty name, a scope there is none of, and more than a class has programs" do
    expect(post("#{path}/tokens", { name: "  ", scope: "reading" })).to be_refused(400).at("name")
    expect(post("#{path}/tokens", { name: "x", scope: "all" })).to be_refused(400).at("scope")
    20.times { token }
    expect(post("#{path}/tokens", { name: "x", scope: "reading" })).to be_refused(422).at("name").saying(/Withdraw one/)
  end

  def everything = store.db.tables.to_h { |table| [table, store.db[table].all] }
end
