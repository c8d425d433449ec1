# frozen_string_literal: true

require "open3"

RSpec.describe "bin/test" do
  let(:command) { File.expand_path("../../bin/test", __dir__) }

  it "names its parts at once where it is asked for one that is none" do
    said, status = Open3.capture2e(command, "lunch")
    expect([said, status.exitstatus]).to eq(["bin/test knows core, server, commands, web and journeys: lunch is none of them.\n", 2])
  end

  # The examples read a file with letters beyond ASCII.
  it "runs one part alone, with what RSpec takes, on a machine that is set to no language" do
    said, status = Open3.capture2e({ "LC_ALL" => "C", "LANG" => "C" }, command, "core", "spec/marking/answers_spec.rb")
    expect(status).to be_success, said
    expect(said).to match(/\b\d+ examples?, 0 failures/)
    expect(said).not_to include("RuboCop")
  end
end
