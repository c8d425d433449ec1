# frozen_string_literal: true

module Vantick
  class CLI
    # What all commands share: options, the times they are asked about, and a line for each object.
    class Command
      def initialize(input:, output:)
        @input = input
        @output = output
      end

      private

      # @yieldparam parser [OptionParser]
      # @return [Array<String>] what is left beside the options
      def parse(arguments)
        OptionParser.new do |parser|
          parser.program_name = "vantick"
          parser.version = Core::VERSION
          yield parser if block_given?
        end.parse(arguments)
      end

      # The one time that the arguments name, or all 720 with `--all`.
      def each_time(arguments, &)
        all = false
        words = parse(arguments) do |parser|
          parser.on("--all") { all = true }
          conventions_option(parser)
        end
        times(words, all).each(&)
      end

      # `--conventions after,point` or a JSON file such as {"past_word": "after"}.
      def conventions_option(parser)
        parser.on("--conventions NAMES") { |names| @conventions = read_conventions(names) }
      end

      def conventions = @conventions || Core::Wording::Conventions.default

      def read_conventions(names)
        return Core::Wording::Conventions.parse(names) unless names.end_with?(".json")

        choices = JSON.parse(File.read(names), symbolize_names: true)
        raise UsageError, "#{names} must hold an object, such as {\"past_word\": \"after\"}" unless choices.is_a?(Hash)

        Core::Wording::Conventions.new(**choices)
      rescue SystemCallError, JSON::ParserError
        raise UsageError, "#{names} cannot be read as JSON"
      end

      # @return [Array<Core::Dial::DialTime, Core::Dial::DayTime>] the one named, or all that the task can be asked about
      def times(words, all, task = Core::Tasks::Task.all.first)
        return task.times if all && words.empty?
        raise UsageError, "give one time, such as 7:45, or --all" if all || words.length != 1

        [task.parse_time(words.first)]
      end

      def nothing_left(words)
        name = self.class.name.split("::").last.downcase
        raise UsageError, "#{name} takes no #{Core.excerpt(words.first)}: see vantick help" if words.any?
      end

      def line(object) = @output.puts(JSON.generate(object))
    end
  end
end
