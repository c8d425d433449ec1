# frozen_string_literal: true

require_relative "figures"

# Every number of the model decides something: changed by a fifth, something else is said of some child.
RSpec.describe "The numbers in knowing.yml" do
  table = Vantick::Core::Knowing::TABLE

  def self.paths(value, path = [])
    case value
    when Hash then value.flat_map { |key, inner| paths(inner, [*path, key]) }
    when Array then value.each_with_index.flat_map { |inner, at| paths(inner, [*path, at]) }
    else value.is_a?(Numeric) ? [path] : []
    end
  end

  # In a process of its own, in which the model is loaded again with another table.
  def figures_with(table)
    from, to = IO.pipe
    child = fork do
      Reloaded.with(table)
      to.write(Marshal.dump(Figures.all))
      to.close
      exit!(0)
    end
    to.close
    Marshal.load(from.read).tap { Process.wait(child) }
  end

  def changed(table, path, factor)
    copy = Marshal.load(Marshal.dump(table))
    within = path[0..-2].reduce(copy) { |inner, key| inner[key] }
    value = within[path.last]
    within[path.last] = if value.is_a?(Integer)
                          [value + (factor > 1 ? 1 : -1), (value * factor).round].max_by do |one|
                            (one - value).abs
                          end
                        else
                          value * factor
                        end
    copy
  end

  now = Figures.all

  it "say the same when they are loaded again, and something is said" do
    expect(figures_with(table)).to eq(now)
    expect(now.length).to be > 300
  end

  paths(table).each do |path|
    it "notice #{path.join(' ')}" do
      expect([0.8, 1.2].any? { |factor| figures_with(changed(table, path, factor)) != now }).to be(true)
    end
  end
end

# Loads the model anew.
module Reloaded
  FOLDER = File.expand_path("../../lib/vantick/core", __dir__)
  FILES = %w[graph mistakes item weighed asking skills places following belief hindrance seen states expected followed diagnosis
             headline].freeze

  def self.with(table)
    $VERBOSE = nil
    knowing = Vantick::Core::Knowing
    knowing.send(:remove_const, :TABLE)
    knowing.const_set(:TABLE, table)
    FILES.each do |file|
      known = knowing.const_get(file.capitalize)
      known.instance_variables.each { |name| known.remove_instance_variable(name) }
      load File.join(FOLDER, "knowing/#{file}.rb")
    end
    load File.join(FOLDER, "teaching/standing.rb")
  end
end
