# frozen_string_literal: true

require "open3"

# What bin/test believes: a queue that is well has run each example once, and one that lost any is not well.
RSpec.describe "The queue of specs" do
  # A master that is slow to take what it hears, and one process that finds examples, one after the other: as on a busy machine.
  let(:busy) do
    <<~RUBY
      require "test_queue"
      require "test_queue/runner/rspec"
      UNIXServer.prepend(Module.new { def wait_readable(...) = sleep(0.5).then { super } })
      TestQueue::TestFramework::RSpec.prepend(Module.new { def suites_from_file(path) = super.each.lazy.map { |it| sleep(0.01).then { it } } })
    RUBY
  end

  # Runs these examples, two processes at a time.
  # @param before [String] Ruby that is run first
  # @return [Array(String, Boolean, Array<String>)] what was said, whether all is well, and the lines that the examples left
  def queue(examples, before: "")
    Dir.mktmpdir do |folder|
      File.write(File.join(folder, "some_spec.rb"), <<~RUBY)
        RSpec.describe("some") do
          def ran(name) = File.write("ran", "\#{name}\\n", mode: "a")
          #{examples}
        end
      RUBY
      File.write(File.join(folder, "before.rb"), before)
      env = { "TEST_QUEUE_STATS" => File.join(folder, "stats"), "TEST_QUEUE_WORKERS" => "2",
              "BUNDLE_GEMFILE" => File.join(ROOT, "Gemfile") }
      command = [RbConfig.ruby, "-rbundler/setup", "-r./before.rb", File.join(ROOT, "spec/queue.rb"), "some_spec.rb"]
      said, status = Open3.capture2e(env, *command, chdir: folder)
      [said, status.success?, File.exist?(File.join(folder, "ran")) ? File.readlines(File.join(folder, "ran"), chomp: true) : []]
    end
  end

  it "runs each example once, also those of groups within groups" do
    inner = 'describe("in") { it("b") { ran(2) }; describe("in") { it("c") { ran(3) } } }'
    said, well, ran = queue("it('a') { ran(1) }; #{inner}; it('d') { ran(4) }")
    expect([well, ran.sort]).to eq([true, %w[1 2 3 4]]), said
  end

  it "runs each example where the machine is busy" do
    said, well, ran = queue((1..6).map { |number| "it('#{number}') { ran(#{number}) }" }.join(";"), before: busy)
    expect([well, ran.sort]).to eq([true, %w[1 2 3 4 5 6]]), said
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
