# frozen_string_literal: true

# Which lines of ours a file of specs runs: written as JSON to MUTANTS_COVER once it is done.
require "coverage"
require "json"

Coverage.start(lines: true)
at_exit do
  root = ENV.fetch("MUTANTS_ROOT")
  ours = Coverage.result.select { |file, _| file.start_with?("#{root}/core/lib", "#{root}/server/lib", "#{root}/cli/lib") }
  lines = ours.transform_keys { |file| file.delete_prefix("#{root}/") }
              .transform_values { |found| found[:lines].each_index.select { |at| found[:lines][at].to_i.positive? }.map { |at| at + 1 } }
  File.write(ENV.fetch("MUTANTS_COVER"), JSON.generate(lines))
end
