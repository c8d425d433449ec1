# frozen_string_literal: true

ENV["RACK_ENV"] = "test" # passwords are quick to make here

require_relative "../../spec/all_of_some"
require_relative "../../spec/thorough"
require_relative "../../spec/measured"

Measured.start("server")

require "rack/mock"
require "securerandom"
require "tmpdir"
require "vantick/server"

require_relative "support/doors"
require_relative "support/junk"

Vantick::Server::LOADER.eager_load

# A fresh school for each example, and short ways of asking for things.
module ApiHelpers
  def folder = @folder ||= Dir.mktmpdir

  # A school without anything is made once and copied.
  def self.empty_school
    @empty_school ||= File.join(Dir.mktmpdir, "school.sqlite3").tap do |file|
      store = Vantick::Server::Store::Database.open(file)
      store.db.run("PRAGMA wal_checkpoint(TRUNCATE)")
      store.close
    end
  end

  def store = @store ||= Vantick::Server::Store::Database.open(new_school)

  def new_school
    file = File.join(folder, "school.sqlite3")
    FileUtils.cp(ApiHelpers.empty_school, file) unless File.exist?(file)
    file
  end

  def app = @app ||= Rack::MockRequest.new(Vantick::Server.app(store:, web: File.join(folder, "web")))

  PASSWORD = "the lamp is lit"

  # Asked as whoever is signed in: a teacher called Marit, unless an example says otherwise.
  def get(path, headers = {}) = told(app.get(path, "HTTP_COOKIE" => cookie, **headers))

  # What is worked on beside requests comes to its end.
  def work = Vantick::Server::Work::Runner.wake(store)&.join

  # What is worked out beside requests: asked for until it is there.
  def worked(path)
    loop do
      found = get(path)
      return found unless found.status == 202

      work
    end
  end

  # The same as it comes: a file, a picture.
  def plain(path) = app.get(path, "HTTP_COOKIE" => cookie)

  def post(path, body, type: "application/json", **headers)
    input = body.is_a?(String) ? body : JSON.generate(body)
    told(app.post(path, "CONTENT_TYPE" => type, "HTTP_COOKIE" => cookie, input:, **headers))
  end

  def put(path, body) = told(app.put(path, "CONTENT_TYPE" => "application/json", "HTTP_COOKIE" => cookie, input: JSON.generate(body)))

  def delete(path) = told(app.delete(path, "HTTP_COOKIE" => cookie))

  # @return [String] the cookies sent along
  def cookie = @cookie ||= signed_in("Marit")

  # Goes on as somebody else; an empty cookie is a stranger.
  def as(cookie)
    before = @cookie
    @cookie = cookie
    yield
  ensure
    @cookie = before
  end

  # The cookie of a teacher, whose account is made where it is missing.
  def signed_in(name)
    json = { "CONTENT_TYPE" => "application/json", "REMOTE_ADDR" => "127.0.0.1", "HTTP_HOST" => "localhost:4567",
             input: JSON.generate(name:, password: PASSWORD) }
    if store.teachers.none?
      app.post("/api/session/first", json)
    elsif store.db[:accounts].where(login: name).empty?
      app.post("/api/teachers", "HTTP_COOKIE" => cookie, **json)
    end
    cookie_of(app.post("/api/session/login", json))
  end

  # A desk opened for a class.
  def desk_of(school_class, **how) = post("/api/classes/#{school_class['id']}/desks", { kind: "practice", **how }).body

  # The cookie of a child who joined a desk, the first of the class unless another is named.
  def seated(desk_id, child = nil)
    desk = get("/api/desks/#{desk_id}").body["desk"]
    keys = get("/api/classes/#{desk['class_id']}/keys").body["keys"]
    key = child ? keys.find { |one| one["child_id"] == child["id"] } : keys.first
    input = JSON.generate(code: desk["code"], child_id: key["child_id"], pictures: key["pictures"])
    cookie_of(app.post("/api/desk/seats", "CONTENT_TYPE" => "application/json", input:))
  end

  def cookie_of(response) = response["set-cookie"].to_s.split(";").first

  # A response's status, headers and body, the body read as JSON.
  Told = Struct.new(:status, :headers, :body)

  def told(response) = Told.new(response.status, response.headers, response.body.empty? ? nil : JSON.parse(response.body))

  def make_class(names = %w[Anneke Bram]) = post("/api/classes", { name: "Curlew", children: names }).body

  def make_check(school_class, **how)
    post("/api/classes/#{school_class['id']}/checks", { step: "quarters", task: "dial_to_words", count: 5, seed: 3, **how }).body
  end

  def answer(check, child, item, text, id: SecureRandom.uuid)
    post("/api/checks/#{check['id']}/answers", { id:, item_id: item["id"], child_id: child["id"], answer: text })
  end
end

# A child of a class at a desk, and what they answer.
module DeskHelpers
  extend RSpec::SharedContext

  let(:school_class) { make_class(%w[Anneke Bram Celyn]) }
  let!(:desk) { desk_of(school_class, step: "quarters") }
  let(:child) { school_class["children"].first }
  let(:seat) { seated(desk["id"], child) }

  def state = as(seat) { get("/api/desk/state").body }

  # What the teacher sees of the child.
  def live(of = child) = get("/api/desks/#{desk['id']}").body["children"].find { |one| one["child_id"] == of["id"] }

  def send_answers(turn, texts, ids: texts.map { SecureRandom.uuid }, who: seat, **more)
    answers = turn["items"].zip(texts, ids).map { |item, answer, id| { id:, item_id: item["id"], answer: } }
    as(who) { post("/api/desk/answers", { turn_id: turn["id"], answers:, **more }) }
  end

  # The right answers to a task, as a device would send them.
  def right(turn)
    task = Vantick::Core::Tasks::Task.find(turn["task"])
    turn["items"].map do |item|
      row = store.db[:items].first(id: item["id"])
      time = task.parse_time(row[:time])
      case task.notation
      when :hands then "hour=#{time.hour_hand_degrees} minute=#{time.minute_hand_degrees}"
      when :mistake then "#{row[:misreading]}; #{Vantick::Core::Wording::Phrase.usual(time)}"
      else task.write(task.right_answer(time), Vantick::Core::Wording::Conventions.default)
      end
    end
  end

  # So many tasks one after the other, all answered rightly.
  def went(count)
    count.times do
      turn = state["turn"] or break
      yield turn
      send_answers(turn, right(turn))
    end
  end

  def pictures_of(one)
    keys = get("/api/classes/#{school_class['id']}/keys").body["keys"]
    keys.find { |key| key["child_id"] == one["id"] }["pictures"]
  end

  def join(pictures, **headers)
    as("") { post("/api/desk/seats", { code: desk["code"], child_id: child["id"], pictures: }, **headers.transform_keys(&:to_s)) }
  end

  def contract_errors(method, path, body)
    request = Rack::Request.new(Rack::MockRequest.env_for(path, method:))
    response = Rack::Response[200, { "content-type" => "application/json" }, [body]]
    Vantick::Server::Http::Contract.definition.validate_response(request, response).error
  end
end

RSpec::Matchers.define :be_refused do |status|
  match { |told| told.status == status && told.headers["content-type"] == "application/problem+json" && whole?(told) && said?(told) }
  chain(:at) { |field| @field = field }
  chain(:saying) { |words| @words = words }
  failure_message { |told| "wanted #{status} at #{@field} saying #{@words.inspect}, got #{told.status} #{told.body}" }

  def whole?(told) = told.body.keys - %w[nearest] == %w[type title status detail field] && told.body["status"] == told.status

  def said?(told) = told.body["field"] == @field && (@words.nil? || told.body["detail"].match?(@words))
end

RSpec.configure do |config|
  config.include ApiHelpers
  config.disable_monkey_patching!
  config.after do
    work if @store
    @store&.close
    FileUtils.rm_rf(@folder) if @folder
    # A matcher remembers its example, and with it the whole application: a thousand of them are slow to look through.
    @app = @store = nil
  end
end
