# frozen_string_literal: true

require "test_queue"
require "test_queue/runner/rspec"

# Specs in several processes, each of which takes the next example where it has time: nobody waits for a half that is longer.
# From a room's folder: bundle exec ruby ../spec/queue.rb [what RSpec takes]. TEST_QUEUE_WORKERS says how many.
class SpecQueue < TestQueue::Runner::RSpec
  # An example is what is handed out, and how long each took is known next time.
  ENV["TEST_QUEUE_SPLIT_GROUPS"] = "true"
  ENV["TEST_QUEUE_STATS"] ||= File.expand_path("../tmp/spec_queue/#{File.basename(Dir.pwd)}", __dir__)

  # No example is called so.
  LAST_WORD = ""

  def run_worker(iterator)
    super(Enumerator.new { |running| iterator.each { |example| alone { running << example } } })
  end

  # The package runs an example as a group of one, and all groups within that group with it: there is nothing in them now.
  def alone
    examples = ::RSpec.world.filtered_examples
    all = examples.default_proc
    examples.default_proc = nil
    examples.default = [].freeze
    yield
  ensure
    examples.default_proc = all
  end

  # Who looks for examples says each, and ends. The package takes the end for the last word, but on a busy machine much is not heard yet:
  # whatever came later was not run, and all was well. So the master says a last word behind all others.
  def reap_suite_discovery_process(*)
    super.tap { |status| Thread.new { say_last } if status }
  end

  def say_last
    word = Marshal.dump([LAST_WORD, nil])
    @server.connect_address.connect { |socket| socket.write("TOKEN=#{@run_token}\nNEW SUITE #{word.bytesize}\n#{word}") }
  end

  def enqueue_discovered_suite(name, path)
    return super unless name == LAST_WORD

    @all_heard = true
  end

  def awaiting_suites? = super || (@queue.empty? && !@all_heard)

  # Where each process has fallen there is nobody left to take the next one.
  def queue_status(_start, waiting, workers, _elsewhere)
    abort("no process is left for #{waiting} examples") if workers.zero?
  end

  # An example that was handed to a process and is not among what it ran was lost with it: the package says so, and takes it for well.
  def summarize
    exit!(1) unless @discovered_suites.empty?
  end

  # Processes end at once here, and what was left for the end is not done: browsers would stay.
  def cleanup_worker
    Capybara.send(:session_pool).each_value(&:quit) if defined?(Capybara)
  end
end

require "fileutils"
FileUtils.mkdir_p(File.dirname(ENV.fetch("TEST_QUEUE_STATS")))
SpecQueue.new.execute
