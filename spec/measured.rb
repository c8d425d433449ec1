# frozen_string_literal: true

# What specs reach of the lines and branches of core, server and cli, where it is asked for (VANTICK_COVERAGE=1). Each part of
# the tests writes what it reached; bin/coverage puts them together and holds the floors.
module Measured
  ROOT = File.expand_path("..", __dir__)
  FOLDER = File.join(ROOT, "coverage")
  OURS = %r{\A#{ROOT}/(core|server|cli)/lib/}

  # What the parts of the tests load, and the copier's stand-in: Ruby counts in every file that is loaded after it began to count,
  # packages too, and whatever is counted takes half as long again.
  UNCOUNTED = {
    "core" => %w[csv date erb json set yaml zeitwerk damerau-levenshtein twitter_cldr],
    "server" => %w[base64 csv date erb icalendar ice_cube json json_schemer logger lru_redux nokogiri openapi_first pdf-reader prawn puma
                   rack rack/attack rack/deflater rack/mock roda rodauth rqrcode sequel sinatra/base sqlite3 time yaml zeitwerk zip],
    "whole" => %w[axe-rspec capybara/rspec csv date erb json net/http nokogiri selenium-webdriver sequel sqlite3 yaml zeitwerk]
  }.freeze
  OWN = %w[rspec/expectations rspec/matchers rspec/mocks].freeze

  module_function

  # @param part [String] of the tests, a key of UNCOUNTED, or one that begins with it
  def start(part)
    return unless ENV["VANTICK_COVERAGE"]

    require "simplecov"
    [*OWN, *UNCOUNTED.fetch(part[/\A\w+/]), File.join(ROOT, "demo/copier/child_hand")].each { |name| require name }
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
