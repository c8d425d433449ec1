# frozen_string_literal: true

# The doors of the contract, and something that each of them takes.
module Doors
  METHODS = %w[get post put delete].freeze

  def self.contract = @contract ||= YAML.safe_load_file(Vantick::Server::Http::Contract::FILE)

  # @return [Array] of each door its method, path, operation and parameters
  def self.all
    contract["paths"].flat_map do |path, item|
      item.slice(*METHODS).map { |method, operation| [method, path, operation, item["parameters"].to_a + operation["parameters"].to_a] }
    end
  end

  # What somebody has: one of each thing that a path can name.
  def belongings
    school_class = make_class
    id = school_class["id"]
    check = make_check(school_class)
    uuid = SecureRandom.uuid
    answer(check, school_class["children"].first, check["items"].first, "qt8", id: uuid)
    lesson = post("/api/classes/#{id}/lessons", { day: "2026-03-02", step: "quarters", minutes: 40, seed: 1 }).body
    term(id)
    { "class_id" => id, "check_id" => check["id"], "child_id" => school_class["children"].first["id"], "answer_id" => uuid,
      "other_id" => school_class["children"].last["id"], "list_id" => list_taken(id),
      "present_password" => ApiHelpers::PASSWORD,
      "account_id" => colleague, **paper(id, check), "stack_id" => stack_of(id, lesson, check),
      "lesson_id" => lesson["id"],
      "calendar_key" => store.calendar_addresses.make(id, "2026-03-02T08:00:00Z"), "token_id" => token_of(id),
      "school_list_id" => school_list(id),
      "import_id" => answers_imported(check),
      "removed_id" => removed(id)["id"], "code" => check["code"], "desk_id" => desk_of(school_class)["id"] }
  end

  def stack_of(class_id, lesson, check)
    parts = [{ kind: "exit", check_id: check["id"] }]
    store.stacks.add(class_id:, day: lesson["day"], lesson_id: lesson["id"], parts:, made_at: "2026-03-02T08:00:00Z").id
  end

  def term(class_id)
    days = { first_day: "2026-03-02", last_day: "2026-04-03", aim_day: "2026-04-03" }
    put("/api/classes/#{class_id}/term", { **days, weekdays: { monday: 45 }, days_off: [], aim: "quarters" })
  end

  # A file with a page that was read, and a piece of it.
  def paper(class_id, check)
    scan = store.scans.add(class_id:, name: "stack.pdf", bytes: 3_000_000, made_at: "2026-03-02T08:00:00Z")
    store.scans.update(scan.id, state: "reading")
    item, child = check.values_at("items", "children").map(&:first)
    piece = { item_id: item["id"], child_id: child["id"], kind: "words", seen: "", sure: 0, guesses: "[]", picture: Sequel.blob("x") }
    page = { number: 1, state: "read", words: "", check_id: check["id"], child_id: child["id"], page: 1, picture: "x", pieces: [piece] }
    pages = store.scans.add_pages(scan.id, [page])
    { "scan_id" => scan.id, "scan_page_id" => pages.first, "piece_id" => store.pieces.pieces(check["id"]).first.id }
  end

  # A list of nobody new.
  def list_taken(class_id)
    store.lists_taken.take(class_id, { names: {}, back: [], gone: [], ids: {}, added: [] }, "2026-03-02T08:00:00Z")
    store.lists_taken.all(class_id).first[:id]
  end

  # Of the second child, so that the first one's answer stays as it was.
  def answers_imported(check)
    name = store.classes.children(check["class_id"]).last.name
    post("/api/checks/#{check['id']}/tables", { table: "#{name},7:45" })
    store.answer_imports.all(check["id"]).first[:id]
  end

  def school_list(class_id)
    part = { class_id:, source_id: "c1", movers: [], change: { names: {}, back: [], gone: [], ids: {}, added: [] } }
    store.school_rosters.take([part], "2026-03-02T08:00:00Z")
    store.school_rosters.all.first[:id]
  end

  def token_of(class_id) = post("/api/classes/#{class_id}/tokens", { name: "A program", scope: "reading" }).body["id"]

  # A colleague who shares the first class.
  def colleague
    name = "Wietske"
    signed_in(name)
    id = store.db[:accounts].where(login: name).get(:id)
    post("/api/classes/#{store.db[:classes].max(:id)}/shares", { account_id: id, until: nil })
    id
  end

  def removed(class_id)
    extra = post("/api/classes/#{class_id}/lessons", { day: "2026-03-03", step: "quarters", minutes: 40, seed: 1 }).body
    delete("/api/lessons/#{extra['id']}").body
  end

  def address(path, things) = path.gsub(/\{(\w+)\}/) { things.fetch(Regexp.last_match(1)).to_s }

  def values(names, schema, things)
    names.to_h { |name| [name, things.fetch(name) { sample(resolved(schema.dig("properties", name)), things) }] }
  end

  def resolved(schema)
    at = schema["$ref"] or return schema
    at.split("/").drop(1).reduce(Doors.contract) { |found, name| found.fetch(name) }
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
    return "2026-03-02" if schema["format"] == "date"
    return "Qm8K" if schema["pattern"].to_s.include?("A-Za-z0-9+/") # a file with one name

    %w[7:45 2026-03-02 aaaaaaaa-aaaa-4aaa-8aaa-aaaaaaaaaaaa quarters].find do |one|
      one.match?(Regexp.new(schema.fetch("pattern", "quarters")))
    end
  end

  def query(parameters, things)
    asked = parameters.map { |parameter| resolved(parameter) }.select { |one| one["in"] == "query" && one["required"] }
    URI.encode_www_form(asked.to_h { |one| [one["name"], sample(resolved(one["schema"]), things)] })
  end

  # What a door takes as a body; nothing where it takes none.
  def body_schema(operation)
    body = operation["requestBody"] && resolved(operation["requestBody"])
    body && resolved(body.dig("content", "application/json", "schema"))
  end
end
