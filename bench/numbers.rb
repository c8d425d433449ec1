# frozen_string_literal: true

require "json"
require "vantick/core"
require_relative "../core/spec/knowing/figures"

# Changes each number of the model by a fifth, up and down, and says which changes the recorded figures do not notice: bin/numbers
# With --record it writes the figures anew, once a change is meant.
module Numbers
  FOLDER = File.expand_path("../core/lib/vantick/core", __dir__)
  # In the order in which they need each other.
  FILES = %w[graph mistakes item weighed asking skills places following belief hindrance seen states expected followed diagnosis
             headline baseline].freeze
  TABLE = Vantick::Core::Knowing::TABLE

  module_function

  def paths(value, path = [])
    case value
    when Hash then value.flat_map { |key, inner| paths(inner, [*path, key]) }
    when Array then value.each_with_index.flat_map { |inner, at| paths(inner, [*path, at]) }
    else value.is_a?(Numeric) ? [path] : []
    end
  end

  FACTORS = [0.8, 1.2].freeze

  def unnoticed = paths(TABLE).reject { |path| FACTORS.any? { |factor| noticed?(changed(path, factor)) } }

  def changed(path, factor)
    table = JSON.parse(JSON.generate(TABLE), symbolize_names: true)
    within = path[0..-2].reduce(table) { |inner, key| inner[key] }
    value = within[path.last]
    within[path.last] = value.is_a?(Integer) ? another(value, factor) : value * factor
    table
  end

  # A whole number by one at least.
  def another(value, factor) = [value + (factor > 1 ? 1 : -1), (value * factor).round].max_by { |one| (one - value).abs }

  # In a process of its own, in which the model is loaded again with another table.
  def noticed?(table)
    from, to = IO.pipe
    child = fork do
      load_with(table)
      to.write(Figures.all == Figures.recorded ? "same" : "other")
      to.close
      exit!(0)
    end
    to.close
    from.read.then { |said| Process.wait(child) && said != "same" }
  end

  def load_with(table)
    $VERBOSE = nil
    knowing = Vantick::Core::Knowing
    knowing.send(:remove_const, :TABLE)
    knowing.const_set(:TABLE, table)
    FILES.each do |file|
      known = knowing.const_get(file.capitalize)
      known.instance_variables.each { |name| known.remove_instance_variable(name) }
      load File.join(FOLDER, "knowing/#{file}.rb")
    end
    load File.join(FOLDER, "teaching/child_progress.rb")
  end
end

if ARGV.include?("--record")
  Figures.record
  puts "The figures are recorded."
else
  found = Numbers.unnoticed
  puts "#{Numbers.paths(Numbers::TABLE).length} numbers, of which nobody would notice #{found.length}:"
  puts(found.map { |path| "  #{path.join(' ')}" })
end
