# frozen_string_literal: true

require "benchmark"
require "json"
require "optparse"
require "vantick/core"
require_relative "sizes"

options = { seed: 1 }
names = OptionParser.new do |parser|
  parser.banner = "Usage: bin/bench [--json] [--smallest] [--seed N] [NAME ...]"
  parser.on("--json", "a line of JSON for each measure") { options[:json] = true }
  parser.on("--smallest", "the smallest sizes: to see that all of it runs") { Bench::Sizes.scale = :smallest }
  parser.on("--seed N", Integer, "for all that is drawn by lot (1)") { |seed| options[:seed] = seed }
end.parse!

# How much is taken is known before anything of it is made.
require_relative "measures"
Dir[File.join(__dir__, "measures", "*.rb")].each { |file| require file }

wanted = names.empty? ? Bench::MEASURES.keys : names.map(&:to_sym)
unknown = wanted - Bench::MEASURES.keys
abort "There is no measure #{unknown.first}: use #{Bench::MEASURES.keys.join(', ')}." if unknown.any?

puts Bench::Measure.heading(options[:seed]) unless options[:json]
failed = wanted.reject do |name|
  measure = Bench::MEASURES.fetch(name)
  taken = measure.take(options[:seed])
  puts options[:json] ? JSON.generate(measure.facts(taken, options[:seed])) : measure.table(taken)
  $stdout.flush
  true
rescue StandardError => e
  # The others are taken all the same.
  warn "#{name}: #{e.class} #{e.message[0, 200]}, in #{e.backtrace.find { |line| line.include?('/bench/') }}"
  false
end
abort "No figure for #{failed.join(', ')}." if failed.any?
