# frozen_string_literal: true

ENV["RACK_ENV"] = "test" # passwords are quick to make here

require "rack/mock"
require "securerandom"
require "tmpdir"
require "vantick/server"

Vantick::Server::LOADER.eager_load

# A fresh school for each example, and short ways of asking for things.
module ApiHelpers
  def folder = @folder ||= Dir.mktmpdir

  def store = @store ||= Vantick::Server::Store::Database.open(File.join(folder, "school.sqlite3"))

  def app = @app ||= Rack::MockRequest.new(Vantick::Server.app(store:, web: File.join(folder, "web")))

  PASSWORD = "the lamp is lit"

  # Asked as whoever is signed in: a teacher called Marit, unless an example says otherwise.
  def get(path, headers = {}) = told(app.get(path, "HTTP_COOKIE" => cookie, **headers))

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
    json = { "CONTENT_TYPE" => "application/json", "REMOTE_ADDR" => "127.0.0.1", input: JSON.generate(name:, password: PASSWORD) }
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

RSpec::Matchers.define :be_refused do |status|
  match { |told| told.status == status && told.headers["content-type"] == "application/problem+json" && whole?(told) && said?(told) }
  chain(:at) { |field| @field = field }
  chain(:saying) { |words| @words = words }
  failure_message { |told| "wanted #{status} at #{@field} saying #{@words.inspect}, got #{told.status} #{told.body}" }

  def whole?(told) = told.body.keys == %w[type title status detail field] && told.body["status"] == told.status

  def said?(told) = told.body["field"] == @field && (@words.nil? || told.body["detail"].match?(@words))
end

RSpec.configure do |config|
  config.include ApiHelpers
  config.disable_monkey_patching!
  config.after do
    @store&.close
    FileUtils.rm_rf(@folder) if @folder
  end
end
