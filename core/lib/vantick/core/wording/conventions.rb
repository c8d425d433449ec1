# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # How a class says, writes and counts: one choice for each convention of conventions.yml.
      class Conventions
        # Each with its name, why it differs, and its choices with a text for each.
        ENTRIES = Facts::DataFile.entries("conventions", required: %i[id name why choices])
        TABLE = ENTRIES.to_h { |entry| [entry[:id].to_sym, entry[:choices].map { |choice| choice[:id].to_sym }.freeze] }.freeze
        SEPARATORS = { colon: ":", point: "." }.freeze

        TABLE.each_key { |id| define_method(id) { @choices.fetch(id) } }

        class << self
          # @return [Conventions] the first choice of each
          def default = @default ||= new

          # @param text [String] names of choices with commas between, such as "after,point,landmarks"
          # @return [Conventions] these, and the default of the others
          # @raise [UnknownName] by the name that no convention has
          # @raise [Error] where two choices of one convention are named
          def parse(text)
            chosen = text.split(",").map(&:strip).reject(&:empty?).map { |name| [convention_of(name), name.to_sym] }
            twice = chosen.map(&:first).tally.find { |_, count| count > 1 }&.first
            raise Error.new("#{twice} has two choices here: name one of #{TABLE[twice].join(', ')}.", field: :conventions) if twice

            new(**chosen.to_h)
          end

          private

          def convention_of(name)
            TABLE.find { |_, choices| choices.include?(name.to_sym) }&.first ||
              raise(UnknownName.new("convention", name, TABLE.values.flatten, field: :conventions))
          end
        end

        # @return [HomeLanguage, nil] of the child, where they are those of one child
        attr_reader :home
        # @return [Proc, nil] gives the {OwnWords} of that child
        attr_reader :own

        # @param home [HomeLanguage, nil] see {#of_child}
        # @param own [Proc, nil] see {#of_child}
        # @param choices [Hash{Symbol => Symbol, String}] by convention; what is left out is the default
        # @raise [UnknownName] by the convention or choice that there is not
        def initialize(home: nil, own: nil, **choices)
          unknown = choices.keys.find { |id| !TABLE.key?(id.to_sym) }
          raise UnknownName.new("convention", unknown, TABLE.keys, field: :conventions) if unknown

          @choices = TABLE.to_h { |id, known| [id, chosen(id, choices[id], known)] }.freeze
          @home = home
          @own = own
          freeze
        end

        # @return [String] the sign between hours and minutes
        def sign = SEPARATORS.fetch(separator)

        # @param side [Symbol] `:past` or `:to`
        # @return [String] the word for `:past` or `:to`
        def word(side) = (side == :past ? past_word : to_word).to_s

        # @param verdict [Symbol] one of {MarkedAnswer::VERDICTS}
        # @return [Boolean] whether an answer that is right in this way counts as right in the class
        def accepts?(verdict) = verdict != :right_other_words || other_words == :other_words_accepted

        # @param choices [Hash{Symbol => Symbol, String}]
        # @return [Conventions] these changed, all others as they are
        # @raise [UnknownName]
        def with(**choices) = Conventions.new(home:, own:, **to_h, **choices.transform_keys(&:to_sym))

        # @param home [HomeLanguage, nil] what the child speaks at home: half past with the hour that comes is no mistake, where it has that
        # @param own [Proc, nil] gives the {OwnWords} of the child; it is asked where an answer cannot be read without them
        # @return [Conventions] the same, as answers of one child are marked with them
        # @example
        #   Conventions.default.of_child(home: HomeLanguage.find(:pl)).home.name # "Polish"
        def of_child(home: nil, own: nil) = Conventions.new(home:, own:, **to_h)

        # @return [Hash{Symbol => Symbol}]
        def to_h = @choices

        def ==(other) = other.is_a?(Conventions) && parts == other.parts
        alias eql? ==

        def hash = [Conventions, *parts].hash

        protected

        def parts = [to_h, home, own]

        private

        def chosen(id, choice, known)
          return known.first if choice.nil?

          known.find { |candidate| candidate.to_s == choice.to_s } || raise(UnknownName.new(id.to_s, choice, known, field: :conventions))
        end
      end
    end
  end
end
