# frozen_string_literal: true

require "json_schemer"

# RFC 9457, "Problem Details for HTTP APIs" (2023), appendix A: the JSON Schema that it gives for problem details, from memory.
RSpec.describe Vantick::Server::Http::Problem do
  include Doors

  let(:standard) do
    JSONSchemer.schema({
                         "$schema" => "https://json-schema.org/draft/2020-12/schema", "type" => "object",
                         "properties" => {
                           "type" => { "type" => "string", "format" => "uri-reference" }, "title" => { "type" => "string" },
                           "status" => { "type" => "integer", "minimum" => 100, "maximum" => 599 }, "detail" => { "type" => "string" },
                           "instance" => { "type" => "string", "format" => "uri-reference" }
                         }
                       })
  end
  let(:ours) { JSONSchemer.openapi(Doors.contract).schema("Problem") }

  matcher :be_told do
    match { |problem| told(*problem.to_a) }
  end

  def told(status, headers, body)
    expect(headers["content-type"]).to eq("application/problem+json")
    problem = JSON.parse(body.is_a?(String) ? body : body.join)
    expect(standard.valid?(problem)).to be(true), problem.to_s
    expect(ours.valid?(problem)).to be(true), ours.validate(problem).map { |one| one["error"] }.to_s
    # Section 3.1.2: the status in the body is the one of the response.
    expect(problem["status"]).to eq(status)
    true
  end

  it "is what the standard says, whatever was wrong" do
    wrong = { "/api/classes/99/groups" => "GET", "/api/nowhere" => "GET", "/api/classes" => "DELETE", "/api/classes/x/groups" => "GET",
              "/api/classes/1/groups?most=0" => "GET", "/api/lessons/99" => "PUT" }
    wrong.each do |path, method|
      response = app.request(method, path, "HTTP_COOKIE" => cookie, "CONTENT_TYPE" => "application/json", input: "{}")
      expect(response.status).to be_between(400, 499)
      told(response.status, response, response.body)
    end
    response = as("") { app.get("/api/classes") }
    told(response.status, response, response.body)
  end

  it "is that by itself, with and without a field" do
    expect([described_class.new(422, "Say which.", field: "step"), described_class.new(500, "That was us.")]).to all(be_told)
  end

  # JSON Schema 2020-12 by json_schemer: the contract itself, and every example in it.
  it "stands in a contract that is one, and whose examples are what it says" do
    contract = JSONSchemer.openapi(Doors.contract)
    expect(contract.valid?).to be(true), contract.validate.first(3).map { |one| one["error"] }.to_s
    examples = Doors.contract.dig("components", "schemas").select { |_, schema| schema.key?("example") }
    examples.each { |name, schema| expect(contract.schema(name).valid?(schema["example"])).to be(true), name }
  end
end
