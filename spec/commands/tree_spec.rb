# frozen_string_literal: true

require "open3"

# What a run leaves behind is not to be committed with what was written.
RSpec.describe "the tree" do
  let(:root) { File.expand_path("../..", __dir__) }
  let(:files) do
    names, status = Open3.capture2("git", "ls-files", "-z", chdir: root)
    raise "git does not list the files of #{root}" unless status.success?

    names.split("\0").select { |name| File.file?(File.join(root, name)) }
  end

  it "has no file that is empty" do
    expect(files).to be_any
    expect(files.select { |name| File.empty?(File.join(root, name)) }).to eq([])
  end

  it "names its files with letters, digits, hyphens and underscores" do
    expect(files.grep_v(%r{\A[\w./-]+\z})).to eq([])
  end
end
