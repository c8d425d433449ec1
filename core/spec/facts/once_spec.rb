# frozen_string_literal: true

require "open3"

# A server has just started, and a class goes to its devices. What is asked first is made then, and by one thread alone.
RSpec.describe Vantick::Core::Facts::Once do
  it "gives all who ask at the same moment the same steps, tasks and misreadings" do
    program = [RbConfig.ruby, "-rbundler/setup", "-I", File.expand_path("../../lib", __dir__), File.join(__dir__, "at_once.rb")]
    found = Array.new(3) { Open3.capture2e(*program) }
    expect(found.map { |said, status| [said, status.success?] }).to all(eq(["", true]))
  end

  it "makes what is asked for by two at the same moment once, also where making asks for something else of the kind" do
    made = Queue.new
    here = Struct.new(:all).new
    make = lambda do
      here.all || described_class.make do
        here.all ||= begin
          made << true
          described_class.make { Thread.pass }
          Object.new
        end
      end
    end
    found = Array.new(8) { Thread.new(&make) }.map(&:value)
    expect([found.uniq.length, made.length]).to eq([1, 1])
  end
end
