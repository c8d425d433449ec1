# frozen_string_literal: true

require "net/http"
require "securerandom"
require "socket"
require "tmpdir"
require "vantick/server"

module Bench
  HERE = File.expand_path("..", __dir__)
  PASSWORD = "sixty at a time"

  # A device: it keeps its connection and its cookie, and asks again where it is told "not now", as the pages do.
  class Device
    # What a server says that is busy, and seconds until it is asked again.
    NOT_NOW = "503"
    PAUSE = 0.3

    # @param from [String, nil] an address of this machine that it asks from
    def initialize(port, from: nil)
      @http = Net::HTTP.new("127.0.0.1", port)
      @http.local_host = from if from
      @http.read_timeout = Sizes[:patience]
      @http.max_retries = 0
      @http.keep_alive_timeout = 60
      @http.start
    end

    def ask(method, path, body = nil)
      request = Net::HTTP.const_get(method).new(path, "content-type" => "application/json", "cookie" => @cookie.to_s)
      request.body = JSON.generate(body) if body
      response = answered(request)
      @cookie = response["set-cookie"].split(";").first if response["set-cookie"]
      raise "#{method} #{path}: #{response.code} #{response.body}" unless response.code.start_with?("2")

      JSON.parse(response.body)
    end

    def post(path, body) = ask("Post", path, body)

    def put(path, body) = ask("Put", path, body)

    def get(path) = ask("Get", path)

    private

    def answered(request)
      ends = now + Sizes[:patience]
      loop do
        response = @http.request(request)
        return response if response.code != NOT_NOW || now > ends

        sleep PAUSE
      end
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end

  # A server of its own in a process of its own.
  class Running
    def initialize(port, environment, *command)
      @port = port
      @pid = spawn(environment, *command, out: File::NULL)
      # However busy the machine is: what has ended by itself is not waited for.
      sleep 0.05 until ready? || Process.wait(@pid, Process::WNOHANG)
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

  # Servers in processes of their own, and children who join at them.
  module Serving
    def free_port = TCPServer.open("127.0.0.1", 0) { |free| free.addr[1] }

    # Whoever signs in at this server; the account is made where there is none.
    def teacher_at(port)
      Device.new(port).tap do |teacher|
        me = { name: "Bench", password: PASSWORD }
        teacher.post("/api/session/first", me) if teacher.get("/api/session")["first_start"]
        teacher.post("/api/session/login", me)
      end
    end

    # Some classes at their desks, joined.
    def seats(port, classes: 2, each: Sizes[:devices] / 2)
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

    def school_server(folder, port)
      environment = { "VANTICK_DB" => File.join(folder, "school.sqlite3"), "VANTICK_PORT" => port.to_s }
      Running.new(port, environment, *ruby_as_started, File.join(HERE, "server/start.rb"))
    end

    def bare_server(folder, port)
      Running.new(port, {}, *ruby_as_started, File.join(HERE, "bench/bare_server.rb"), File.join(folder, "bare.sqlite3"), port.to_s)
    end

    # As bin/start has it.
    def ruby_as_started
      compiled = %w[--yjit --yjit-exec-mem-size=32]
      ["ruby", *(compiled if system("ruby", *compiled, "-e", "exit RubyVM::YJIT.enabled?", err: File::NULL))]
    end

    # @yieldparam port [Integer] of a server of a school that is new
    def with_school
      Dir.mktmpdir do |folder|
        port = free_port
        server = school_server(folder, port)
        yield port, folder, server
      ensure
        server&.stop
      end
    end

    def joined(port, many) = seats(port, classes: many / Sizes[:class_at_desks], each: Sizes[:class_at_desks])
  end
end
