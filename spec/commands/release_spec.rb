# frozen_string_literal: true

# The archive that a school's technician gets.
RSpec.describe "bin/release" do
  it "has the built front end and the Ruby packages for two kinds of machines, and nothing that tests or builds need" do
    Dir.mktmpdir do |folder|
      output, errors, status = Open3.capture3("bin/release", folder, chdir: ROOT)
      expect(status).to be_success, errors
      names = IO.popen(["tar", "-tzf", output.lines.last.chomp], &:readlines).map { |name| name.chomp.sub(%r{\Avantick-[^/]+/}, "") }
      expect(names).to include("RELEASE", "bin/start", "server/openapi.yaml", "web/dist/index.html", "docs/technician.md")
      packages = names.grep(%r{\Avendor/cache/}).map { |name| File.basename(name, ".gem") }
      expect(packages).to include(/\Asqlite3-.*x86_64-linux\z/, /\Asqlite3-.*aarch64-linux\z/, /\Azeitwerk-/)
      expect(packages.grep(/darwin|selenium|capybara|rspec-core/)).to eq([])
      expect(names.grep(%r{\.map\z|node_modules|\A(?:web/src|spec|bench|data)/|/spec/})).to eq([])
    end
  end
end
