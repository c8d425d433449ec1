# frozen_string_literal: true

require "etc"
require "fileutils"
require "json"
require "open3"
require "tmpdir"
require "yaml"

# Small wrong changes of the code, each in a copy: which of them does no spec notice? See `bin/mutants`.
module Mutants
  ROOT = File.expand_path("..", __dir__)
  TABLE = File.join(__dir__, "mutants.yml")
  # Specs that are asked of each change, those first that run the fewest other lines (judgement: what these miss is near no spec).
  NEAREST = 4
  # Seconds for the specs of one change: a change may never end.
  PATIENCE = 180
  ROOMS = %w[core server].freeze

  # One change: a line of a file, and what stands there instead.
  Mutant = Struct.new(:file, :from, :to, keyword_init: true) do
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
    covered = cover(copies)
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
      shared = %w[vendor web/dist web/voice].select { |name| File.exist?(File.join(ROOT, name)) }
      shared.each { |name| File.symlink(File.join(ROOT, name), File.join(root, name)) }
      FileUtils.cp_r(File.join(ROOT, ".bundle"), root) if File.directory?(File.join(ROOT, ".bundle"))
    end
  end

  # @return [Hash{Array(String, Integer) => Array<String>}] by file and line the spec files that run it, the nearest first
  def cover(copies)
    specs = ROOMS.flat_map { |room| Dir[File.join(ROOT, room, "spec/**/*_spec.rb")].map { |file| file.delete_prefix("#{ROOT}/") } }
    by_line(abreast(copies, specs) { |spec, root| lines_of(spec, root) })
  end

  def by_line(covered)
    nearest = covered.sort_by { |_, lines| lines.values.sum(&:length) }
    nearest.each_with_object(Hash.new { |all, key| all[key] = [] }) do |(spec, lines), all|
      lines.each { |file, numbers| numbers.each { |number| all[[file, number]] << spec } }
    end
  end

  def lines_of(spec, root)
    Dir.mktmpdir do |folder|
      told = File.join(folder, "lines.json")
      run([spec], root, "-r", File.join(root, "bench/mutants/cover.rb"), "MUTANTS_ROOT" => root, "MUTANTS_COVER" => told)
      File.exist?(told) ? JSON.parse(File.read(told)) : {}
    end
  end

  def noticed?(mutant, root, covered)
    specs = covered[[mutant.file, mutant.line(root)]].first(NEAREST)
    kept = File.read(File.join(root, mutant.file))
    mutant.apply(root)
    specs.any? { |spec| !run([spec], root, "--fail-fast") }
  ensure
    File.write(File.join(root, mutant.file), kept) if kept
  end

  # @return [Boolean] whether they passed
  def run(specs, root, *options, **env)
    room = specs.first[%r{\A[^/]+}]
    files = specs.map { |spec| spec.delete_prefix("#{room}/") }
    command = ["timeout", PATIENCE.to_s, "bundle", "exec", "rspec", *options, *files]
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
