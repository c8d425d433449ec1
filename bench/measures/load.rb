# frozen_string_literal: true

require_relative "../serving"

module Bench
  # Seconds of each kind of load.
  LOAD_SECONDS = Sizes[:load_seconds]

  # Children at their desks for some seconds, each on a connection of its own; what they waited, and what never came.
  class Load
    attr_reader :waits, :unanswered

    # @param devices [Array<Device>] joined
    # @param every [Numeric] seconds from one answer of a child to the next; 0 for flat out
    def initialize(devices, every:, seconds: LOAD_SECONDS)
      @devices = devices
      @every = every
      @seconds = seconds
      @waits = Queue.new
      @unanswered = 0
      @lock = Mutex.new
    end

    def run
      ends = now + @seconds
      @devices.map { |device| Thread.new { child(device, ends) } }.each(&:join)
      @waits = Array.new(@waits.length) { @waits.pop }.sort
      self
    end

    def p95 = @waits.empty? ? Float::INFINITY : @waits[(@waits.length * 0.95).floor]

    private

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    # They do not all begin at the same moment, but where they go on at once.
    def child(device, ends)
      turn = nil
      again_and_again(ends) { turn = turn ? answer(device, turn) : device.post("/api/desk/rounds", {})["turn"] }
    end

    # Once at least, however late this machine lets a child begin.
    def again_and_again(ends, &)
      sleep(rand * @every)
      loop do
        began = now
        waited(began, &)
        left = began + @every - now
        sleep(left) if left.positive?
        break if now >= ends
      end
    end

    def answer(device, turn)
      answers = turn["items"].map { |item| { id: SecureRandom.uuid, item_id: item["id"], answer: "7:45" } }
      device.post("/api/desk/answers", { turn_id: turn["id"], answers: })["turn"]
    end

    def waited(began)
      yield.tap { @waits << (now - began) }
    rescue StandardError
      @lock.synchronize { @unanswered += 1 }
      nil
    end
  end

  # The same children at a bare route that inserts a row.
  class BareLoad < Load
    private

    def answer(device, _turn) = device.post("/rows", { uuid: SecureRandom.uuid, answer: "7:45" }) && true

    def child(device, ends)
      again_and_again(ends) { answer(device, nil) }
    end
  end

  # Whether everybody is answered, and how soon, while many children answer at once and keep their connections.
  class Loads < Family
    include Serving

    def load_unanswered
      with_school do |port, _folder, server|
        flat = Load.new(joined(port, Sizes[:flat_out]), every: 0).run
        many = Load.new(joined(port, Sizes[:school]), every: Sizes[:seldom]).run
        details = { "megabytes afterwards" => server.megabytes, "60 flat out: answered" => flat.waits.length.to_f,
                    "60 flat out: p95 seconds" => flat.p95,
                    "200 every 5 s: answered" => many.waits.length.to_f, "200 every 5 s: p95 seconds" => many.p95 }
        Taken.new((flat.unanswered + many.unanswered).to_f, details)
      end
    end

    def load_p95
      with_school do |port, folder, _server|
        bare_port = free_port
        bare = bare_server(folder, bare_port)
        ours = Load.new(joined(port, Sizes[:flat_out]), every: Sizes[:every]).run
        theirs = BareLoad.new(Array.new(Sizes[:flat_out]) { Device.new(bare_port) }, every: Sizes[:every]).run
        bare.stop
        Taken.new(ours.p95 / theirs.p95, { "p95 of an answer, seconds" => ours.p95, "p95 of a bare row, seconds" => theirs.p95,
                                           "unanswered" => ours.unanswered.to_f })
      end
    end

    # Killed while 60 children answer flat out, and started again with all of them waiting at the door.
    def restart_under_load
      with_school do |port, folder, server|
        devices = joined(port, Sizes[:flat_out])
        load = Thread.new { Load.new(devices, every: 0, seconds: 2 * LOAD_SECONDS).run }
        sleep LOAD_SECONDS / 3
        server.stop
        began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        again = school_server(folder, port)
        back = healthy_after(port, began)
        ends = stopped_after(again) { load.join }
        Taken.new(back, { "seconds until health answers under load" => back, "seconds until Ctrl-C ended it" => ends })
      end
    end

    def healthy_after(port, began)
      loop do
        response = Net::HTTP.start("127.0.0.1", port, open_timeout: 2, read_timeout: 5) { |http| http.get("/api/health") }
        return Process.clock_gettime(Process::CLOCK_MONOTONIC) - began if response.code == "200"
      rescue StandardError
        sleep 0.05
      end
    end

    # Ctrl-C in the middle of the load.
    def stopped_after(server)
      sleep 2
      seconds = Benchmark.realtime { server.interrupt }
      yield
      seconds
    end

    measure(:load_unanswered, "requests without an answer: 60 children flat out, then 200 with an answer in 5 s", "0") do |_seed|
      load_unanswered
    end
    measure(:load_p95, "95th of 100 waits, 60 children with an answer in 3 s, over a bare route", "<= 2") { |_seed| load_p95 }
    measure(:restart_under_load, "seconds until a killed server answers again with 60 children at its door", "<= 10") do |_seed|
      restart_under_load
    end
  end
end
