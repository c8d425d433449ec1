# frozen_string_literal: true

require "csv"
require "json"
require "optparse"
require "vantick/core"

module Vantick
  # The core from the command line, for scripts and spreadsheets: JSON out, one line an object.
  class CLI
    LOADER = Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "vantick-cli"
      loader.push_dir("#{__dir__}/cli", namespace: CLI)
      loader.setup
    end

    # The command line itself is wrong; the message says how to write it.
    class UsageError < StandardError; end

    COMMANDS = { "read" => :Read, "explain" => :Explain, "misreadings" => :Misreadings, "mark" => :Mark, "choose" => :Choose,
                 "diagnose" => :Diagnose, "check-drawing" => :CheckDrawing, "simulate" => :Simulate,
                 "backup" => :Backup, "restore" => :Restore, "password" => :Password }.freeze
    USAGE = <<~TEXT
      Usage:
        vantick read 7:45 | --all [--conventions american,after,of | --conventions class.json]
        vantick explain 4:49 | --all [--conventions ...]
        vantick misreadings --task dial_to_words 7:45 | --all
        vantick mark < answers.csv              (columns task,time,answer, and said for spot_mistake)
        vantick diagnose < answers.csv          (columns child,task,time,answer, and day where known)
        vantick choose --step fives --task dial_to_words --count 5 --seed 7 [--levels] [--avoid 7:45,8:15]
        vantick check-drawing --hour-hand 120 --minute-hand 270
        vantick simulate --misreading next_hour_early --step fives --task dial_to_words --count 6 --seed 3
      The school's own file (data/vantick.sqlite3, or --db FILE):
        vantick backup monday.sqlite3           (also while Vantick runs)
        vantick restore monday.sqlite3          (while it does not; what was there is saved)
        vantick password Marit                  (a new password for a teacher who forgot theirs)
    TEXT

    # @return [Integer] the exit code: 1 for bad input, with one line on standard error
    def self.run(arguments, input: $stdin, output: $stdout, errors: $stderr)
      name, *rest = arguments
      return help(output) if name.nil? || name == "help" || arguments.intersect?(["--help", "-h"])

      command = COMMANDS.fetch(name) { raise UsageError, "no command #{Core.excerpt(name)}: use one of #{COMMANDS.keys.join(', ')}" }
      const_get(command).new(input:, output:).run(rest)
      0
    rescue Core::Error, UsageError, OptionParser::ParseError, CSV::MalformedCSVError => e
      errors.puts "vantick: #{e.message.lines.first.to_s.strip}"
      1
    end

    def self.help(output)
      output.puts USAGE
      0
    end
    private_class_method :help
  end
end
