# frozen_string_literal: true

# What the specs of core and of the server reach of their own lines and branches, where it is asked for (VANTICK_COVERAGE=1).
# bin/coverage tells of it and holds the floors.
module Measured
  ROOT = File.expand_path("..", __dir__)
  FOLDER = File.join(ROOT, "coverage")
  OURS = %r{\A#{ROOT}/(core|server)/lib/}

  # What the parts of the tests load, and the copier's stand-in: Ruby counts in every file that is loaded after it began to count,
  # packages too, and whatever is counted takes half as long again.
  UNCOUNTED = {
    "core" => %w[csv date erb json set yaml zeitwerk damerau-levenshtein twitter_cldr],
    "server" => %w[base64 csv date erb icalendar ice_cube json json_schemer logger lru_redux nokogiri openapi_first pdf-reader prawn puma
                   rack rack/attack rack/deflater rack/mock roda rodauth rqrcode sequel sinatra/base sqlite3 time yaml zeitwerk zip]
  }.freeze
  OWN = %w[rspec/expectations rspec/matchers rspec/mocks].freeze

  module_function

  # @param part [String] of the tests, a key of UNCOUNTED
  def start(part)
    return unless ENV["VANTICK_COVERAGE"]

    require "simplecov"
    [*OWN, *UNCOUNTED.fetch(part), File.join(ROOT, "demo/copier/child_hand")].each { |name| require name }
    SimpleCov.start do
      root Measured::ROOT
      coverage_dir File.join(Measured::FOLDER, part)
      # A room's specs may be run in parts, side by side.
      command_name "#{part} #{Process.pid}"
      merge_timeout 7200
      enable_coverage :branch
      add_filter { |file| !file.filename.match?(Measured::OURS) }
      formatter SimpleCov::Formatter::SimpleFormatter
    end
  end
end
