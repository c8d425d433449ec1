# frozen_string_literal: true

# The rooms of the server and of core, and the one way through them: nothing runs back.
RSpec.describe "The rooms" do
  lib = File.expand_path("../lib/vantick/server", __dir__)
  # Each room with those it may use; what two features need stands in core, store or views.
  shared = %w[Http Access Store Documents Formats Views Work Pages Outside].freeze
  features = %w[Plan Show Sheets Paper Check Classes Desk Desks Account].freeze
  may = { "Http" => [], "Store" => [], "Documents" => [], "Formats" => %w[Documents Outside], "Outside" => [],
          "Work" => %w[Store Pages Outside], "Access" => %w[Http Store], "Views" => %w[Store], "Pages" => %w[Store Documents Views Outside],
          **features.to_h { |feature| [feature, shared] },
          # A teacher sees where a child at a desk was found.
          "Desks" => [*shared, "Desk"],
          # A day's stack is made of what these three make.
          "Tomorrow" => [*shared, "Plan", "Sheets", "Classes"] }.freeze
  names = { "class" => "Classes" }

  # Constants are read from the code alone, not from what is said of it.
  def code(file) = File.readlines(file).reject { |line| line.strip.start_with?("#") }.join

  def used(file, rooms) = code(file).scan(/(?<!Core::)\b(#{rooms.join('|')})::[A-Z]/).flatten.uniq

  Dir[File.join(lib, "*/")].each do |folder|
    room = names.fetch(File.basename(folder), File.basename(folder).capitalize)

    it "#{room} is known, and uses none but #{may[room].to_a.join(', ')}" do
      expect(may).to have_key(room)
      found = Dir[File.join(folder, "*.rb")].to_h { |file| [File.basename(file), used(file, may.keys) - [room, *may[room]]] }
      expect(found.reject { |_, rooms| rooms.empty? }).to eq({})
    end

    it "#{room} holds constants of its own name alone" do
      Dir[File.join(folder, "*.rb")].each { |file| expect(code(file)).to match(/^    module #{room}$/), file }
    end
  end

  # Of core, wherever it is named: in comments too, and in programs that no other spec runs.
  it "names only what there is" do
    root = File.expand_path("../..", __dir__)
    files = Dir[*%w[server bench demo spec bin].map { |folder| File.join(root, folder, "**/*.{rb,ru}") }].grep_v(%r{/vendor/})
    named = files.flat_map { |file| File.read(file).scan(/(?<!PDF::)\bCore((?:::[A-Z]\w*)+)/).flatten.uniq }.uniq
    expect(named.length).to be > 100
    expect(named.reject { |name| there?(name) }).to eq([])
  end

  def there?(name)
    name.delete_prefix("::").split("::").reduce(Vantick::Core) { |within, part| within.const_get(part, false) }
    true
  rescue NameError
    false
  end

  # From the foot up: each uses those before it alone.
  describe "of core" do
    core = File.expand_path("../../core/lib/vantick/core", __dir__)
    uses = {
      "Facts" => [],
      "Dial" => %w[Facts],
      "Wording" => %w[Facts Dial],
      "Tasks" => %w[Facts Dial Wording],
      "Reading" => %w[Facts Dial Wording Tasks],
      "Marking" => %w[Wording Tasks Reading],
      "Curriculum" => %w[Facts Dial Wording Tasks Reading],
      "Judging" => %w[Reading Curriculum],
      "Knowing" => %w[Facts Dial Tasks Reading Marking Curriculum Judging],
      "Choosing" => %w[Facts Dial Wording Tasks Reading Curriculum Knowing],
      "Teaching" => %w[Facts Dial Wording Tasks Reading Curriculum Judging Knowing Choosing],
      "Term" => %w[Facts Curriculum Knowing Teaching],
      "Paper" => %w[Facts Dial Wording Marking],
      "Desk" => %w[Facts Dial Wording Tasks Reading Curriculum Judging Knowing Choosing Teaching],
      "Simulation" => %w[Dial Wording Tasks Reading Curriculum]
    }.freeze

    Dir[File.join(core, "*/")].each do |folder|
      room = File.basename(folder).capitalize

      it "#{room} uses none but #{uses[room].to_a.join(', ')}, and all of them" do
        found = Dir[File.join(folder, "**/*.rb")].flat_map { |file| code(file).scan(/\b(#{uses.keys.join('|')})::[A-Z]/).flatten }
        expect(found.uniq - [room]).to match_array(uses.fetch(room) - [room])
      end
    end

    it "has no circle" do
      uses.each.with_index { |(room, used), at| expect(used - uses.keys.first(at)).to eq([]), room }
    end
  end

  it "core knows of no server, no database and no clock" do
    files = Dir[File.expand_path("../../core/lib/**/*.rb", __dir__)]
    expect(files.length).to be > 90
    outside = files.select { |file| code(file).match?(/\bServer\b|\bSequel\b|\bSinatra\b|\bTime\.now\b|\bDate\.today\b|\bFile\.write\b/) }
    expect(outside).to eq([])
  end

  # Packages that come along with others can go as they came.
  it "load no package that the Gemfile doesn't name" do
    files = Dir[File.expand_path("../../{core,server,cli}/lib/**/*.rb", __dir__)]
    text = files.map { |file| File.read(file) }.join
    named = text.scan(/^\s*require "(?!vantick)([^"]+)"/).flatten.uniq
    used = named.to_h { |name| [name, gem_of(name)] }.compact
    declared = Bundler.definition.dependencies.map(&:name)
    expect(used.length).to be > 10
    expect(used.reject { |_, gem| declared.include?(gem) }).to eq({})
  end

  # Of what Ruby doesn't bring by itself.
  def gem_of(name)
    found = Gem::Specification.find_by_path(name)
    found.name if found && !found.full_gem_path.start_with?(RbConfig::CONFIG["rubylibprefix"])
  end

  it "say one version in all places" do
    root = File.expand_path("../..", __dir__)
    contract = YAML.safe_load_file(File.join(root, "server/openapi.yaml"), aliases: true).dig("info", "version")
    web = JSON.parse(File.read(File.join(root, "web/package.json")))["version"]
    expect([contract, web]).to all(eq(Vantick::Core::VERSION))
    expect(File.read(File.join(root, "CHANGELOG.md"))[/^## \[(\d[^\]]*)\]/, 1]).to eq(Vantick::Core::VERSION)
  end
end
