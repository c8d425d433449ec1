# frozen_string_literal: true

require "open3"

# What bin/test believes: a queue that is well has run each example once, and one that lost any is not well.
RSpec.describe "The queue of specs" do
  # Runs these examples, two processes at a time.
  # @return [Array(String, Boolean, Array<String>)] what was said, whether all is well, and the lines that the examples left
  def queue(examples)
    Dir.mktmpdir do |folder|
      File.write(File.join(folder, "some_spec.rb"), <<~RUBY)
        RSpec.describe("some") do
          def ran(name) = File.write("ran", "\#{name}\\n", mode: "a")
          #{examples}
        end
      RUBY
      env = { "TEST_QUEUE_STATS" => File.join(folder, "stats"), "TEST_QUEUE_WORKERS" => "2",
              "BUNDLE_GEMFILE" => File.join(ROOT, "Gemfile") }
      said, status = Open3.capture2e(env, RbConfig.ruby, "-rbundler/setup", File.join(ROOT, "spec/queue.rb"), "some_spec.rb", chdir: folder)
      [said, status.success?, File.exist?(File.join(folder, "ran")) ? File.readlines(File.join(folder, "ran"), chomp: true) : []]
    end
  end

  it "runs each example once, also those of groups within groups" do
    inner = 'describe("in") { it("b") { ran(2) }; describe("in") { it("c") { ran(3) } } }'
    said, well, ran = queue("it('a') { ran(1) }; #{inner}; it('d') { ran(4) }")
    expect([well, ran.sort]).to eq([true, %w[1 2 3 4]]), said
  end

  it "says which example failed, and is not well" do
    said, well, ran = queue('it("a") { ran(1) }; it("b") { expect(1).to eq(2) }')
    expect([well, ran]).to eq([false, ["1"]])
    expect(said).to include("expected: 2").and include("some b")
  end

  it "is not well where a process ends in the middle of an example, however it ends" do
    ["exit!(0)", "exit!(1)", "Process.kill(:KILL, Process.pid)"].each do |fall|
      expect(queue("it('a') { ran(1) }; it('b') { #{fall} }; it('c') { ran(3) }")[1]).to be(false), fall
    end
  end
end
