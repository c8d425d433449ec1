# frozen_string_literal: true

require "benchmark"
require "json"
require "optparse"
require "vantick/core"
require_relative "measures"
Dir[File.join(__dir__, "measures", "*.rb")].each { |file| require file }

options = { seed: 1 }
names = OptionParser.new do |parser|
  parser.banner = "Usage: bin/bench [--json] [--seed N] [NAME ...]"
  parser.on("--json", "a line of JSON for each measure") { options[:json] = true }
  parser.on("--seed N", Integer, "for all that is drawn by lot (1)") { |seed| options[:seed] = seed }
end.parse!

wanted = names.empty? ? Bench::MEASURES.keys : names.map(&:to_sym)
unknown = wanted - Bench::MEASURES.keys
abort "There is no measure #{unknown.first}: use #{Bench::MEASURES.keys.join(', ')}." if unknown.any?

puts Bench::Measure.heading(options[:seed]) unless options[:json]
wanted.each do |name|
  measure = Bench::MEASURES.fetch(name)
  taken = measure.take(options[:seed])
  puts options[:json] ? JSON.generate(measure.facts(taken, options[:seed])) : measure.table(taken)
end
