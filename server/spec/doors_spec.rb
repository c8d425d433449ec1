# frozen_string_literal: true

# Every door of the contract, and who does not get through: a stranger, another teacher, a child. What is somebody
# else's is said not to be there.
RSpec.describe "Every door of the API" do
  contract = YAML.safe_load_file(Vantick::Server::Api::Contract::FILE)
  methods = %w[get post put delete]
  doors = contract["paths"].flat_map do |path, item|
    item.slice(*methods).map { |method, operation| [method, path, operation, item["parameters"].to_a + operation["parameters"].to_a] }
  end
  open = doors.select { |_, _, operation, _| operation["security"] == [] }
  at_desk = doors.select { |_, _, operation, _| operation["security"]&.first&.key?("desk") }
  teachers = doors - open - at_desk

  def self.told(method, path) = "#{method.upcase} #{path}"

  # What somebody has: one of each thing that a path can name.
  def belongings
    school_class = make_class
    id = school_class["id"]
    check = make_check(school_class)
    uuid = SecureRandom.uuid
    answer(check, school_class["children"].first, check["items"].first, "qt8", id: uuid)
    lesson = post("/api/classes/#{id}/lessons", { day: "2026-03-02", step: "quarters", minutes: 40, seed: 1 }).body
    { "class_id" => id, "check_id" => check["id"], "child_id" => school_class["children"].first["id"], "answer_id" => uuid,
      "lesson_id" => lesson["id"], "code" => check["code"], "desk_id" => desk_of(school_class)["id"] }
  end

  def address(path, things) = path.gsub(/\{(\w+)\}/) { things.fetch(Regexp.last_match(1)).to_s }

  def values(names, schema, things)
    names.to_h { |name| [name, things.fetch(name) { sample(resolved(schema.dig("properties", name)), things) }] }
  end

  def resolved(schema)
    at = schema["$ref"] or return schema
    Vantick::Server::Api::Contract.definition # the contract is sound, so what it refers to is there
    at.split("/").drop(1).reduce(@whole ||= YAML.safe_load_file(Vantick::Server::Api::Contract::FILE)) { |found, name| found.fetch(name) }
  end

  # Something that the contract takes.
  def sample(schema, things)
    return schema["enum"].compact.first if schema["enum"]
    return sample(resolved(schema["oneOf"].first), things) if schema["oneOf"]

    case Array(schema["type"]).first
    when "integer", "number" then schema.fetch("minimum", 1)
    when "array" then Array.new(schema.fetch("minItems", 0)) { sample(resolved(schema["items"]), things) }
    when "object" then values(schema["required"].to_a, schema, things)
    when "boolean" then true
    else text(schema)
    end
  end

  def text(schema)
    %w[7:45 2026-03-02 aaaaaaaa-aaaa-4aaa-8aaa-aaaaaaaaaaaa quarters].find do |one|
      one.match?(Regexp.new(schema.fetch("pattern", "quarters")))
    end
  end

  def query(parameters, things)
    asked = parameters.map { |one| resolved(one) }.select { |one| one["in"] == "query" && one["required"] }
    URI.encode_www_form(asked.to_h { |one| [one["name"], sample(resolved(one["schema"]), things)] })
  end

  def knock((method, path, operation, parameters), things)
    body = operation["requestBody"] && resolved(operation["requestBody"])
    schema = body && resolved(body.dig("content", "application/json", "schema"))
    input = schema ? JSON.generate(sample(schema, things)) : ""
    app.request(method.upcase, "#{address(path, things)}?#{query(parameters, things)}",
                "CONTENT_TYPE" => "application/json", "HTTP_COOKIE" => cookie, input:)
  end

  it "is one of three kinds, and few are open to all" do
    expect(open.map { |method, path, *| "#{method} #{path}" }).to contain_exactly(
      "get /api/health", "get /api/dial", "get /api/day", "get /api/session", "post /api/session/first", "post /api/session/login",
      "post /api/session/logout", "post /api/desk/doors", "post /api/desk/seats"
    )
    expect(at_desk.map { |_, path, *| path }).to all(start_with("/api/desk/"))
    expect(teachers.length).to be > 40
  end

  it "says nothing to a stranger or to a child, and changes nothing for them" do
    things = belongings
    child = seated(things["desk_id"])
    rows = everything
    (teachers.product(["", child, "vantick.session=forged; vantick.desk=forged"]) + at_desk.product([""])).each do |door, who|
      response = as(who) { knock(door, things) }
      expect([response.status, response["content-type"]]).to eq([401, "application/problem+json"]), "#{door[0]} #{door[1]} #{who[0, 14]}"
    end
    expect(everything).to eq(rows)
  end

  it "shows a teacher nothing of another's, and lets none of it be changed" do
    things = belongings
    rows = everything
    named = teachers.select { |_, path, *| path.include?("{") }
    as(signed_in("Joris")) do
      rows = everything
      named.each { |door| expect(knock(door, things).status).to eq(404), "#{door[0]} #{door[1]}" }
      expect(get("/api/classes").body).to eq("classes" => [])
    end
    expect(everything).to eq(rows)
  end

  it "opens to whose it is: what is refused above is refused for who asks, not for what" do
    things = belongings
    named = teachers.select { |method, path, *| path.include?("{") && method != "delete" }
    answers = named.to_h { |door| [door.first(2).join(" "), knock(door, things).status] }
    expect(answers.values.uniq & [401, 404]).to be_empty, answers.to_s
  end

  # Everything that is kept of classes; sign-ins come and go.
  def everything
    tables = store.db.tables.reject { |table| table.start_with?("account") }
    tables.to_h { |table| [table, store.db[table].all] }
  end
end
