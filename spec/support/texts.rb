# frozen_string_literal: true

require "json"
require "open3"
require "ripper"
require "yaml"

# Every text that somebody may read, with its place and its reader: for the check of words.
module Texts
  # @!attribute place [String] file and line, or file and key
  # @!attribute text [String] places for words as `%{word}`
  # @!attribute reader [Symbol] `:teacher`, `:child`, `:reader` (of the README and docs) or `:program` (of the contract)
  Text = Struct.new(:place, :text, :reader) do
    # @return [Array<String>] what is between full stops; names of what is in code count as one word
    def sentences
      text.gsub(/`[^`]*`|\{\{.*?\}\}/, "x").split(/(?<=[.!?…])["”’)]*\s+|\s+·\s+/).map(&:strip).reject(&:empty?)
    end

    def to_s = "#{place}: #{text}"
  end

  # What children read on a device and on sheets, and hear.
  CHILDREN = Regexp.union(%r{\Aweb/src/desk/}, %r{\Acore/data/(desk|words)\.yml}, %r{\Acore/data/misreadings\.yml.*/(child|unseen|they)\b},
                          %r{\Acore/data/sheet_words\.yml(?!.*/(home|caution|answers|games/key|stories/day))})
  # Tables of what is read, and not said.
  SILENT = %w[clean day digits former_names home_languages scheme term showing].freeze
  # Keys of tables that nobody sees.
  KEYS = %w[id from minutes_from builds_on tasks times lens read own_words sounds_like day_halves beyond numbers pictures locale paper
            countries english steps seed first then day day_and_year].freeze
  DOCS = ["README.md", "CHANGELOG.md", "CONTRIBUTING.md", "docs/*.md"].freeze
  SENTENCE = /\A(\p{Lu}|x ).*\s.*[.:?…]\z/

  # Texts among the strings of a Ruby program: those that are sentences.
  class Strings
    def initialize(source)
      @source = source
      @depth = 0
      @found = []
    end

    # @return [Array<Array(Integer, String)>] each with its line
    def sentences
      Ripper.lex(@source).each { |(line, _), kind, token| take(line, kind, token) }
      @found.map { |line, said| [line, said.gsub(/\s+/, " ").strip] }.grep(->((_, said)) { said.match?(SENTENCE) })
    end

    private

    def take(line, kind, token)
      case kind
      when :on_tstring_beg, :on_heredoc_beg then begin_at(line)
      when :on_tstring_end, :on_heredoc_end, :on_label_end then @depth = [@depth - 1, 0].max
      when :on_tstring_content then add(token) if @depth.positive?
      when :on_embexpr_beg then add("x") if @depth == 1
      end
    end

    def begin_at(line)
      @depth += 1
      @found << [line, +""] if @depth == 1
    end

    def add(text) = @found.last&.last&.concat(text)
  end

  class << self
    # @return [Array<Text>]
    def all = @all ||= [*web, *data, *ruby, *docs, *contract].freeze

    def said_to(*readers) = all.select { |one| readers.include?(one.reader) }

    private

    def text(place, text, reader = nil) = Text.new(place, text, reader || (CHILDREN.match?(place) ? :child : :teacher)).freeze

    def named(file) = file.delete_prefix("#{ROOT}/")

    def web
      json, status = Open3.capture2("node", "texts.mjs", chdir: File.join(ROOT, "web"))
      raise "web/texts.mjs failed" unless status.success?

      JSON.parse(json).map { |one| text("web/#{one['file']}:#{one['line']}", one["text"]) }
    end

    def data
      files = Dir[File.join(ROOT, "core/data/*.yml")].reject { |file| SILENT.include?(File.basename(file, ".yml")) }
      files += Dir[File.join(ROOT, "server/lib/**/{refusals,day_words,child_pages}.yml")]
      files.flat_map { |file| leaves(YAML.load_file(file), named(file)) }
    end

    def leaves(value, place)
      case value
      when Hash then value.except(*KEYS).flat_map { |key, one| leaves(one, "#{place}/#{key}") }
      when Array then value.each_with_index.flat_map { |one, at| leaves(one, "#{place}/#{(one['id'] if one.is_a?(Hash)) || at}") }
      when /\s|\A\p{Lu}/ then [text(place, value)]
      else []
      end
    end

    def ruby
      Dir[File.join(ROOT, "{core,server,cli}/lib/**/*.rb"), File.join(ROOT, "demo/make.rb")].flat_map do |file|
        Strings.new(File.read(file)).sentences.map { |line, said| text("#{named(file)}:#{line}", said) }
      end
    end

    def docs
      Dir[*DOCS.map { |name| File.join(ROOT, name) }].flat_map do |file|
        prose(File.read(file)).map { |line, said| text("#{named(file)}:#{line}", said, :reader) }
      end
    end

    # Lines without code, tables of files and the addresses of links. The glossary's own tables hold what is out.
    def prose(markdown)
      plain = markdown.gsub(/^```.*?^```/m) { |code| "\n" * code.count("\n") }
      plain.lines.each_with_index.filter_map do |line, at|
        next if line.match?(/\A(\||    |\s*\z|<!--)/)

        [at + 1, line.gsub(/`[^`]*`/, "x").gsub(/!?\[([^\]]*)\]\([^)]*\)/, '\1').strip]
      end
    end

    def contract
      file = "server/openapi.yaml"
      described(YAML.load_file(File.join(ROOT, file), aliases: true), file)
    end

    def described(value, place)
      case value
      when Hash then value.flat_map { |key, one| said_of(key, one, place) || described(one, "#{place}/#{key}") }
      when Array then value.each_with_index.flat_map { |one, at| described(one, "#{place}/#{at}") }
      else []
      end
    end

    def said_of(key, value, place) = ([text(place, value, :program)] if %w[summary description].include?(key) && value.is_a?(String))
  end
end
