# frozen_string_literal: true

# The journeys in two halves of about the same length, for two browsers side by side: ruby spec/halves.rb 1
half = Integer(ARGV.fetch(0)) - 1
# A journey takes about ten times as long as an example about one part of the front end.
LONG = { "journeys" => 10, "web" => 1 }.freeze
files = Dir[File.join(__dir__, "{web,journeys}/*_spec.rb")].to_h do |file|
  [file, File.readlines(file).grep(/^\s+it[ (]/).length * LONG.fetch(File.basename(File.dirname(file)))]
end
halves = files.sort_by { |file, length| [-length, file] }.each_with_object([{}, {}]) do |(file, length), found|
  found.min_by { |one| one.values.sum }[file] = length
end
puts halves.fetch(half).keys
