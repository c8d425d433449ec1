# frozen_string_literal: true

# Every door of the contract, and who does not get through: a stranger, another teacher, a child. What is somebody
# else's is said not to be there.
RSpec.describe "Every door of the API" do
  include Doors

  doors = Doors.all
  open = doors.select { |_, _, operation, _| operation["security"] == [] }
  at_desk = doors.select { |_, _, operation, _| operation["security"]&.first&.key?("desk") }
  teachers = doors - open - at_desk

  def self.label(method, path) = "#{method.upcase} #{path}"

  def knock((method, path, operation, parameters), things)
    schema = body_schema(operation)
    input = schema ? JSON.generate(sample(schema, things)) : ""
    app.request(method.upcase, "#{address(path, things)}?#{query(parameters, things)}",
                "CONTENT_TYPE" => "application/json", "HTTP_COOKIE" => cookie, input:)
  end

  it "is one of three kinds, and few are open to all" do
    expect(open.map { |method, path, *| "#{method} #{path}" }).to contain_exactly(
      "get /api/health", "get /api/desk/seat", "get /api/dial", "get /api/day",
      "get /api/session", "post /api/session/first", "post /api/session/login",
      "post /api/session/logout", "post /api/desk/doors", "post /api/desk/seats", "get /api/calendars/{calendar_key}/lessons.ics"
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

  it "opens no class that belongs to nobody, and tells what is another's from what is not there by nothing" do
    cookie # the first account would take it
    nobodys = store.classes.add(name: "Curlew", school: "", names: ["Bo"], made_at: "2026-01-01T00:00:00Z")
    expect(get("/api/classes/#{nobodys[:id]}/groups").status).to eq(404)
    things = belongings
    as(signed_in("Joris")) do
      own = make_class(["Ida"])
      [["/api/checks/%s", things["check_id"]], ["/api/desks/%s", things["desk_id"]], ["/api/lessons/%s", things["lesson_id"]],
       ["/api/classes/%s/groups", things["class_id"]]].each do |path, id|
        said = [id, 9999].map { |one| get(format(path, one)).body.to_s.gsub(one.to_s, "N") }
        expect(said.uniq.length).to eq(1), said.to_s
      end
      { check_id: things["check_id"], lesson_id: things["lesson_id"] }.each do |name, id|
        said = [id, 9999].map { |one| post("/api/classes/#{own['id']}/desks", { kind: "exit", name => one }).body.to_s.gsub(one.to_s, "N") }
        expect(said.uniq.length).to eq(1), said.to_s
      end
    end
  end

  it "opens to whose it is: what is refused above is refused for who asks, not for what" do
    things = belongings
    # Who is erased or has left is not there for the doors that come after.
    named = teachers.select do |method, path, *|
      path.include?("{") && method != "delete" && !path.end_with?("/erasure", "/absence", "/removal", "/owner")
    end
    answers = named.to_h { |door| [door.first(2).join(" "), knock(door, things).status] }
    expect(answers.values.uniq & [401, 404]).to be_empty, answers.to_s
  end

  # Everything that is kept of classes; sign-ins come and go.
  def everything
    tables = store.db.tables.reject { |table| table.start_with?("account") }
    tables.to_h { |table| [table, store.db[table].all] }
  end
end
