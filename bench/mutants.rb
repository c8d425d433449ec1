# frozen_string_literal: true

require "etc"
require "fileutils"
require "open3"
require "tmpdir"
require "yaml"

# Small wrong changes of the code, each in a copy: which of them does no spec notice? See `bin/mutants`.
module Mutants
  ROOT = File.expand_path("..", __dir__)
  TABLE = File.join(__dir__, "mutants.yml")
  # Specs that are asked of each change: the file's own first, then those that call the fewest other methods (judgement: what these miss
  # is near no spec).
  NEAREST = 8
  # Seconds for the specs of one change: a change may never end.
  PATIENCE = 300
  RSPEC = Gem.bin_path("rspec-core", "rspec")

  # One change: a line of a file, and what stands there instead.
  Mutant = Struct.new(:file, :from, :to, keyword_init: true) do
    # @return [String] such as "core"
    def room = file[/\A\w+/]

    # @return [Integer] the line, from 1
    # @raise [RuntimeError] where it is not there just once
    def line(root = ROOT)
      found = File.readlines(File.join(root, file)).each_index.select { |at| File.readlines(File.join(root, file))[at].strip == from }
      raise "#{file}: #{from.inspect} is there #{found.length} times" unless found.one?

      found.first + 1
    end

    def apply(root)
      lines = File.readlines(File.join(root, file))
      at = line(root) - 1
      lines[at] = lines[at].sub(from) { to }
      File.write(File.join(root, file), lines.join)
    end
  end

  module_function

  # @return [Array<Mutant>]
  def all = YAML.safe_load_file(TABLE).map { |entry| Mutant.new(**entry.transform_keys(&:to_sym)) }

  # @return [Array<Mutant>] those that no spec notices
  def survivors(mutants)
    copies = Array.new(Etc.nprocessors) { copy }
    rooms = mutants.map(&:room).uniq
    covered = cover(copies, rooms - ["web"])
    copies.each { |root| ready(root) } if rooms.include?("web")
    found = abreast(copies, mutants) { |mutant, root| noticed?(mutant, root, covered) }
    found.reject(&:last).map(&:first).sort_by { |mutant| [mutant.file, mutant.from] }
  ensure
    copies.to_a.each { |root| FileUtils.rm_rf(root) }
  end

  # @return [Array<Array(Object, Object)>] each of the tasks with what came of it, as many at a time as there are copies
  def abreast(copies, tasks)
    waiting = Queue.new(tasks)
    waiting.close
    done = Queue.new
    workers = copies.map { |root| Thread.new { work(waiting, done) { |task| yield(task, root) } } }
    workers.each(&:join)
    Array.new(done.length) { done.pop }
  end

  def work(waiting, done)
    while (task = waiting.pop)
      done << [task, yield(task)]
    end
  end

  # What is under version control, and the packages beside it.
  def copy
    Dir.mktmpdir("mutants").tap do |root|
      system("git ls-files -z --cached --others --exclude-standard | xargs -0 cp --parents -t #{root} 2>/dev/null", chdir: ROOT)
      shared = %w[vendor web/dist web/voice web/node_modules].select { |name| File.exist?(File.join(ROOT, name)) }
      shared.each { |name| File.symlink(File.join(ROOT, name), File.join(root, name)) }
      FileUtils.cp_r(File.join(ROOT, ".bundle"), root) if File.directory?(File.join(ROOT, ".bundle"))
    end
  end

  # @return [Array<Array(String, Hash)>] each spec file with the methods that it calls, those first that call the fewest
  def cover(copies, rooms)
    specs = rooms.flat_map { |room| Dir[File.join(ROOT, room, "spec/**/*_spec.rb")].map { |file| file.delete_prefix("#{ROOT}/") } }
    abreast(copies, specs) { |spec, root| called_in(spec, root) }.sort_by { |_, called| called.values.sum(&:length) }
  end

  # @return [Hash{String => Array<Array(Integer, Integer)>}] by file the first and last lines of methods
  def called_in(spec, root)
    Dir.mktmpdir do |folder|
      told = File.join(folder, "called")
      run([spec], root, before: File.join(root, "bench/mutants/cover.rb"), "MUTANTS_ROOT" => root, "MUTANTS_COVER" => told)
      raise "#{spec} says nothing of what it calls" unless File.exist?(told)

      Marshal.load(File.binread(told)) # rubocop:disable Security/MarshalLoad -- our own, just written
    end
  end

  # Those that call the method that the line is in. A line in no method is everybody's who calls one of the file.
  def nearest(mutant, covered, root)
    line = mutant.line(root)
    calling = covered.select { |_, called| called.fetch(mutant.file, []).any? { |first, last| line.between?(first, last) } }
    calling = covered.select { |_, called| users(mutant, root).any? { |file| called.key?(file) } } if calling.empty?
    specs = calling.map(&:first).select { |spec| spec.start_with?(mutant.room) }
    specs.sort_by.with_index { |spec, at| [away(spec, mutant), at] }.first(NEAREST)
  end

  # Whose behaviour a line in no method decides: its own file's, and of a number with a name that of each file that names it.
  def users(mutant, root)
    name = mutant.from[/\A([A-Z][A-Z_]+) = /, 1] or return [mutant.file]
    Dir[File.join(root, mutant.room, "lib/**/*.rb")].select { |file| File.read(file).match?(/\b#{name}\b/) }
                                                    .map { |file| file.delete_prefix("#{root}/") }
  end

  # The file's own spec is nearest, then those of its folder.
  def away(spec, mutant)
    return 0 if spec.match?(%r{/#{File.basename(mutant.file, '.rb')}s?_spec\.rb\z})

    spec.include?("/#{File.basename(File.dirname(mutant.file))}/") ? 1 : 2
  end

  def noticed?(mutant, root, covered)
    specs = mutant.room == "web" ? [] : nearest(mutant, covered, root)
    kept = File.read(File.join(root, mutant.file))
    mutant.apply(root)
    seen = mutant.room == "web" ? !browsers_pass?(root) : specs.any? { |spec| !run([spec], root, "--fail-fast") }
    seen.tap { warn "#{seen ? 'seen' : 'UNSEEN'} #{mutant.file}: #{mutant.to}" }
  ensure
    File.write(File.join(root, mutant.file), kept) if kept
  end

  # What is made from the contract is made in a copy, too. Where nothing was changed all has to pass.
  def ready(root)
    made = Open3.capture2e("npm", "run", "--silent", "types", chdir: File.join(root, "web")).last.success?
    raise "spec/web fails without any change" unless made && browsers_pass?(root)
  end

  # The front end's parts are asked in a browser, on a page that is built of them; what pages do with them is the journeys' to see.
  # @return [Boolean] whether they passed
  def browsers_pass?(root)
    env = { "BUNDLE_GEMFILE" => File.join(root, "Gemfile"), "VANTICK_COVERAGE" => nil }
    built = Open3.capture2e("npx", "vite", "build", "--config", "lab/vite.config.ts", chdir: File.join(root, "web")).last.success?
    specs = ["timeout", "-k", "5", PATIENCE.to_s, "ruby", "-rbundler/setup", RSPEC, "--fail-fast", "spec/web"]
    built && Open3.capture2e(env, *specs, chdir: root).last.success?
  end

  # @return [Boolean] whether they passed
  def run(specs, root, *options, before: nil, **env)
    room = specs.first[%r{\A[^/]+}]
    files = specs.map { |spec| spec.delete_prefix("#{room}/") }
    first = before ? ["-r", before] : []
    command = ["timeout", "-k", "5", PATIENCE.to_s, "ruby", *first, "-rbundler/setup", RSPEC, *options, *files]
    Open3.capture2e({ "BUNDLE_GEMFILE" => File.join(root, "Gemfile"), "VANTICK_COVERAGE" => nil, **env }, *command,
                    chdir: File.join(root, room)).last.success?
  end
end

if $PROGRAM_NAME == __FILE__
  mutants = Mutants.all.select { |mutant| ARGV.empty? || ARGV.any? { |part| mutant.file.include?(part) } }
  left = Mutants.survivors(mutants)
  left.each { |mutant| puts "#{mutant.file}\n  - #{mutant.from}\n  + #{mutant.to}" }
  puts "#{left.length} of #{mutants.length} changes went unseen."
end
