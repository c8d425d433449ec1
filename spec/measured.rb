# frozen_string_literal: true

# What specs reach of the lines and branches of core, server and cli, where it is asked for (VANTICK_COVERAGE=1). Each part of
# the tests writes what it reached; bin/coverage puts them together and holds the floors.
module Measured
  ROOT = File.expand_path("..", __dir__)
  FOLDER = File.join(ROOT, "coverage")
  OURS = %r{\A#{ROOT}/(core|server|cli)/lib/}

  module_function

  # @param part [String] of the tests
  def start(part)
    return unless ENV["VANTICK_COVERAGE"]

    require "simplecov"
    SimpleCov.start do
      root Measured::ROOT
      coverage_dir File.join(Measured::FOLDER, part)
      command_name part
      enable_coverage :branch
      add_filter { |file| !file.filename.match?(Measured::OURS) }
      formatter SimpleCov::Formatter::SimpleFormatter
    end
  end

  # Programs that tests start are measured as well: they load {measured_child}.
  def follow_children
    ENV["RUBYOPT"] = "#{ENV.fetch('RUBYOPT', nil)} -r#{File.join(ROOT, 'spec/measured_child')}" if ENV["VANTICK_COVERAGE"]
  end
end
