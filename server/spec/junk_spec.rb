# frozen_string_literal: true

# Whatever comes in at whichever door of the contract, from whomever: an answer, or a problem that says what to do; never a
# mistake of the server's own. Other seeds than the usual ones: VANTICK_SEED=99 bundle exec rspec spec/junk_spec.rb
RSpec.describe "Every door of the API, with junk" do
  include Doors

  seed = ENV.fetch("VANTICK_SEED", "1").to_i

  # A sound body with one place of it made into something else.
  def spoilt(schema, things, random)
    body = sample(schema, things)
    return Junk::VALUES.sample(random:) unless body.is_a?(Hash) && body.any?

    name = [*body.keys, *schema["properties"].to_h.keys, "surprise"].sample(random:)
    within = [[Junk::TEXTS.sample(random:)], { "a" => Junk::WHOLES.sample(random:) }]
    { **body, name => [*Junk::VALUES, *within].sample(random:) }
  end

  def body(schema, things, random)
    return "" unless schema

    random.rand < 0.2 ? Junk::BODIES.sample(random:) : JSON.generate(spoilt(schema, things, random))
  end

  def asked(parameters, things, random)
    return Junk::QUERIES.sample(random:) if random.rand < 0.2

    names = parameters.map { |parameter| resolved(parameter) }.select { |one| one["in"] == "query" }
    values = names.map { |name| [sample(resolved(name["schema"]), things), *Junk::TEXTS, *Junk::WHOLES].sample(random:) }
    URI.encode_www_form(names.map { |name| name["name"] }.zip(values))
  end

  # One request, with something wrong in one or two of its parts.
  def wrong_request((method, path, operation, parameters), things, random)
    # Bytes, as a server hands them on: some are no letters.
    address = path.b.gsub(/\{(\w+)\}/) { (random.rand < 0.25 ? Junk::PATHS.sample(random:) : things.fetch(Regexp.last_match(1))).to_s.b }
    { method: method.upcase, "PATH_INFO" => address, "QUERY_STRING" => asked(parameters, things, random),
      "CONTENT_TYPE" => "application/json", "REMOTE_ADDR" => Array.new(4) { random.rand(1..254) }.join("."),
      input: body(body_schema(operation), things, random), **(random.rand < 0.25 ? Junk::HEADERS.sample(random:) : {}) }
  end

  def shown(role, request) = "#{role}: #{request.transform_values { |value| value[0, 200] }.inspect}"

  def roles(things)
    { stranger: "", child: seated(things["desk_id"]), owner: cookie, colleague: signed_in("Joris") }
  end

  # A school with one of everything, and whoever asks for it, is made once and copied for each door.
  furnished = {}
  define_method(:furnish) do
    return FileUtils.cp(furnished[:file], File.join(folder, "school.sqlite3")) if furnished.any?

    things = belongings
    furnished.update(things:, roles: roles(things), file: File.join(Dir.mktmpdir, "school.sqlite3"))
    store.db.run("PRAGMA wal_checkpoint(TRUNCATE)")
    FileUtils.cp(store.path, furnished[:file])
  end

  Doors.all.each_with_index do |door, number|
    it "#{door[0]} #{door[1]} takes it from strangers, children and teachers without a mistake" do
      random = Random.new((seed * 1000) + number)
      furnish
      furnished[:roles].each do |role, who|
        6.times do
          request = wrong_request(door, furnished[:things], random)
          answer = app.request(request[:method], "/", "HTTP_COOKIE" => who, **request.except(:method))
          expect(answer.status).to be < 500, shown(role, request)
          next if answer.status < 400

          expect(answer["content-type"]).to eq("application/problem+json"), shown(role, request)
          expect(JSON.parse(answer.body)["detail"].split.length).to be > 2
        end
      end
    end
  end

  it "and what is no door at all" do
    places = ["/api/", "/api/nowhere", "/api/health", "/api/classes/1", "/nowhere"]
    Junk::METHODS.product(places) do |method, path|
      answer = app.request(method, "/", "PATH_INFO" => path, "CONTENT_TYPE" => "application/json", input: "{}")
      expect(answer.status).to be < 500, "#{method} #{path}"
      expect(answer["content-type"]).to eq("application/problem+json"), "#{method} #{path}" if answer.status >= 400
    end
  end
end
