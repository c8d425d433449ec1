# frozen_string_literal: true

require "open3"
require "socket"
require_relative "../../bench/sizes"
require_relative "../../bench/serving"

# Every measure once, with the smallest sizes: no figure goes missing unseen. What the figures are is for `bin/bench` itself.
RSpec.describe "bin/bench" do
  def run(*options)
    program = [RbConfig.ruby, "-I", "core/lib", "-I", "server/lib", "-r", "bundler/setup", "bench/run.rb"]
    Open3.capture3(*program, *options, chdir: ROOT)
  end

  it "takes every measure there is", :nightly do
    unless File.directory?(File.join(ROOT, "bench/digits/node_modules"))
      system("npm", "ci", "--prefix", "bench/digits", "--no-audit", "--no-fund", "--loglevel=error", chdir: ROOT, out: File::NULL)
    end
    said, errors, status = run("--smallest", "--json")
    expect(status).to be_success, errors
    found = said.lines.map { |line| JSON.parse(line) }
    named = Dir[File.join(ROOT, "bench/measures/*.rb")].flat_map { |file| File.read(file).scan(/^ {4}measure\(:(\w+)/).flatten }
    expect(named.length).to be > 30
    expect(found.map { |one| one["measure"] }).to match_array(named)
    expect(found.map { |one| one["ratio"] }).to all(be_finite)
  end

  # Those of paper make sheets as the server does: what changes there is seen before the night.
  it "reads what another hand writes on a sheet" do
    said, errors, status = run("--smallest", "--json", "other_ticks_plain")
    expect(status).to be_success, errors
    expect(said.lines.map { |line| JSON.parse(line)["measure"] }).to eq(["other_ticks_plain"])
  end

  # On a busy machine a server says "not now" at times, and pages ask again.
  it "asks again where a server is busy" do
    said = ["503 Busy", "503 Busy", "200 OK"]
    server = TCPServer.new("127.0.0.1", 0)
    at_work = Thread.new { answer(server.accept, said) }
    device = Bench::Device.new(server.addr[1])
    expect([device.get("/"), said]).to eq([{ "served" => true }, []])
  ensure
    at_work&.kill
    server&.close
  end

  # One connection, kept as long as there is something to say.
  def answer(connection, said)
    while (status = said.shift)
      nil until connection.gets == "\r\n"
      body = '{"served":true}'
      connection.write("HTTP/1.1 #{status}\r\ncontent-type: application/json\r\ncontent-length: #{body.bytesize}\r\n\r\n#{body}")
    end
  end

  it "says which measures there are where it is asked for one that is none" do
    _, errors, status = run("--smallest", "lunch")
    expect([errors, status.success?]).to match([/no measure lunch: use .*desk_p95_under_planning/, false])
  end
end
