# frozen_string_literal: true

require "yaml"

# The examples in the browser in two halves of about the same length, for two browsers side by side: ruby spec/halves.rb 1
half = Integer(ARGV.fetch(0)) - 1
MEASURED = YAML.safe_load_file(File.join(__dir__, "halves.yml")).freeze
# Seconds that an example takes, where its file was not measured; one about a part of the front end is quick.
USUAL = { "journeys" => 3, "web" => 0.4 }.freeze
files = Dir[File.join(__dir__, "{web,journeys}/*_spec.rb")].to_h do |file|
  kind = File.basename(File.dirname(file))
  measured = MEASURED[File.basename(file, "_spec.rb")] if kind == "journeys"
  [file, measured || (File.readlines(file).grep(/^\s+it[ (]/).length * USUAL.fetch(kind))]
end
halves = files.sort_by { |file, length| [-length, file] }.each_with_object([{}, {}]) do |(file, length), found|
  found.min_by { |one| one.values.sum }[file] = length
end
puts halves.fetch(half).keys
