# frozen_string_literal: true

require "open3"

# Every measure once, with the smallest sizes: no figure goes missing unseen. What the figures are is for `bin/bench` itself.
RSpec.describe "bin/bench" do
  def run(*options)
    program = [RbConfig.ruby, "-I", "core/lib", "-I", "server/lib", "-r", "bundler/setup", "bench/run.rb"]
    Open3.capture3(*program, *options, chdir: ROOT)
  end

  it "takes every measure there is" do
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

  it "says which measures there are where it is asked for one that is none" do
    _, errors, status = run("--smallest", "lunch")
    expect([errors, status.success?]).to match([/no measure lunch: use .*desk_p95_under_planning/, false])
  end
end
