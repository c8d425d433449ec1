# frozen_string_literal: true

require "net/http"
require "securerandom"
require "socket"
require "tmpdir"
require "vantick/server"

# What it costs that children answer at their desks: sixty of them at once, each one request after the other.
module Bench
  DEVICES = 60
  REQUESTS = 12
  TURNS = 3
  HERE = File.expand_path("../..", __dir__)
  PASSWORD = "sixty at a time"

  # A device: it keeps its connection and its cookie.
  class Device
    # @param from [String, nil] an address of this machine that it asks from
    def initialize(port, from: nil)
      @http = Net::HTTP.new("127.0.0.1", port)
      @http.local_host = from if from
      @http.read_timeout = 15
      @http.max_retries = 0
      @http.keep_alive_timeout = 60
      @http.start
    end

    def ask(method, path, body = nil)
      request = Net::HTTP.const_get(method).new(path, "content-type" => "application/json", "cookie" => @cookie.to_s)
      request.body = JSON.generate(body) if body
      response = @http.request(request)
      @cookie = response["set-cookie"].split(";").first if response["set-cookie"]
      raise "#{method} #{path}: #{response.code} #{response.body}" unless response.code.start_with?("2")

      JSON.parse(response.body)
    end

    def post(path, body) = ask("Post", path, body)

    def get(path) = ask("Get", path)
  end

  # A server of its own in a process of its own.
  class Running
    def initialize(port, environment, *command)
      @port = port
      @pid = spawn(environment, *command, out: File::NULL)
      200.times { ready? ? break : sleep(0.05) }
    end

    def ready?
      TCPSocket.new("127.0.0.1", @port).close
      true
    rescue SystemCallError
      false
    end

    def stop
      Process.kill("KILL", @pid)
      Process.wait(@pid)
    rescue Errno::ESRCH, Errno::ECHILD
      nil
    end

    # Of memory that it holds.
    def megabytes = File.read("/proc/#{@pid}/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024.0

    # As Ctrl-C does.
    def interrupt
      Process.kill("INT", @pid)
      Process.wait(@pid)
    end
  end

  module_function

  def free_port = TCPServer.open("127.0.0.1", 0) { |free| free.addr[1] }

  # Answers a second, all devices at once; the work of each is a list of calls.
  def rate(jobs)
    done = Queue.new
    seconds = Benchmark.realtime { jobs.map { |job| Thread.new { job.call(done) } }.each(&:join) }
    done.length / seconds
  end

  def bare_jobs(port)
    Array.new(DEVICES) do
      device = Device.new(port)
      ->(done) { REQUESTS.times { done << device.post("/rows", { uuid: SecureRandom.uuid, answer: "quarter to eight" }) } }
    end
  end

  # Half of the answers are right at once, half of them take a second try.
  def desk_jobs(seats, sent)
    seats.map do |device|
      turn, held = device.post("/api/desk/rounds", {}).values_at("turn", "ahead_ids")
      lambda do |done|
        REQUESTS.times do |number|
          answers = turn["items"].map do |item|
            { id: SecureRandom.uuid, item_id: item["id"], answer: number.even? ? "7:45" : "quarter past one" }
          end
          told = device.post("/api/desk/answers", { turn_id: turn["id"], answers:, held: })
          answers.each { |answer| sent << answer[:id] }
          done << told
          turn = told["turn"] or break
        end
      end
    end
  end

  # Whoever signs in at this server; the account is made where there is none.
  def teacher_at(port)
    Device.new(port).tap do |teacher|
      me = { name: "Bench", password: PASSWORD }
      teacher.post("/api/session/first", me) if teacher.get("/api/session")["first_start"]
      teacher.post("/api/session/login", me)
    end
  end

  # Some classes at their desks, joined.
  def seats(port, classes: 2, each: DEVICES / 2)
    teacher = teacher_at(port)
    Array.new(classes) { |number| seats_of(teacher, port, number, each) }.flatten
  end

  def seats_of(teacher, port, number, many)
    names = Array.new(many) { |child| "C#{number}-#{child}" }
    id = teacher.post("/api/classes", { name: "Class #{number}", children: names }).fetch("id")
    code = teacher.post("/api/classes/#{id}/desks", { kind: "practice", step: "fives" }).fetch("code")
    keys = teacher.get("/api/classes/#{id}/keys").fetch("keys")
    keys.each_with_index.map { |key, child| joined_device(port, number, child, { code:, **key.transform_keys(&:to_sym) }) }
  end

  # Each class comes in from addresses of its own, as devices do: joining is slowed down by address.
  def joined_device(port, number, child, body)
    Device.new(port, from: "127.0.#{number + 1}.#{child + 1}").tap { |device| device.post("/api/desk/seats", body) }
  end

  # Rounds of the one and of the other in turn, so that what else the machine does falls on both.
  def answer_cost
    Dir.mktmpdir do |folder|
      file = File.join(folder, "school.sqlite3")
      port, bare_port = Array.new(2) { free_port }
      server = school_server(folder, port)
      bare = bare_server(folder, bare_port)
      at = seats(port)
      sent = Queue.new
      pairs = Array.new(TURNS) { [rate(desk_jobs(at, sent)), rate(bare_jobs(bare_port))] }
      [server, bare].each(&:stop)
      taken(pairs, kept(file, sent))
    end
  end

  # The median of each.
  def taken(pairs, kept)
    ours, theirs = pairs.transpose.map { |rates| rates.sort[TURNS / 2] }
    Taken.new(ours / theirs, { "answers a second" => ours, "bare rows a second" => theirs, **kept })
  end

  # What was acknowledged, against what is in the file after the server was killed.
  def kept(file, sent)
    ids = Array.new(sent.length) { sent.pop }
    store = Vantick::Server::Store::Database.open(file)
    found = store.db[:answers].select_map(:uuid) + store.db[:tries].select_map(:uuid)
    store.close
    { "answers sent" => ids.length.to_f, "lost" => (ids - found).length.to_f, "doubled" => (found.length - found.uniq.length).to_f }
  end

  measure(:answer_cost, "answers a second of 60 children over rows a second of a bare route", ">= 0.3") { |_seed| answer_cost }
end
