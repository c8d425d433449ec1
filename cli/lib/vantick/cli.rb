# frozen_string_literal: true

require "csv"
require "json"
require "optparse"
require "vantick/core"
require "yaml"

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
    HELP = YAML.safe_load_file(File.join(__dir__, "cli/help.yml")).freeze
    MORE = ["--help", "-h"].freeze

    # @return [Integer] the exit code: 1 for bad input, with one line on standard error
    def self.run(arguments, input: $stdin, output: $stdout, errors: $stderr)
      name, *rest = arguments
      return say(output, "vantick #{Core::VERSION}") if name == "--version"
      return say(output, help(arguments)) if name.nil? || name == "help" || arguments.intersect?(MORE)

      command = COMMANDS.fetch(name) { raise UsageError, "no command #{Core.excerpt(name)}: use one of #{COMMANDS.keys.join(', ')}" }
      const_get(command).new(input:, output:).run(rest)
      0
    rescue Core::Error, UsageError, OptionParser::ParseError, CSV::MalformedCSVError => e
      errors.puts "vantick: #{e.message.lines.first.to_s.strip}"
      1
    end

    def self.say(output, words)
      output.puts words
      0
    end

    # All commands, or what one of them does, with an example.
    def self.help(arguments)
      name = (arguments - ["help", *MORE]).first
      about = HELP[name] or return ["Usage:", *HELP.values.flat_map { |command| command["usage"] }.map { |line| "  #{line}" }, "",
                                    "vantick help COMMAND says more, with an example. vantick --version says which Vantick this is."]
      [about["does"], "", "Usage:", *about["usage"].map { |line| "  #{line}" }, "", "Example:", "  #{about['example']}"]
    end
    private_class_method :say, :help
  end
end
