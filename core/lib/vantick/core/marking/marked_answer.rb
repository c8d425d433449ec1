# frozen_string_literal: true

module Vantick
  module Core
    module Marking
      # An answer with what was made of it.
      #
      # @!attribute task [Tasks::Task]
      # @!attribute time [DialTime, DayTime] what was shown
      # @!attribute verdict [Symbol] one of {VERDICTS}
      # @!attribute misreadings [Array<Symbol>] ids of all misreadings that predict exactly this answer
      # @!attribute read_as [String] what the answer was taken for; empty where it could not be read
      # @!attribute read_short [String] the same for narrow places
      # @!attribute slips [Array<Symbol>] writing slips, some of {ParsedAnswer::SLIPS}
      # @!attribute accepted [Boolean] whether the class takes it for right
      # @!attribute offset_degrees [Float, nil] how far the hour hand is off, where the hands were set in the right gap
      MarkedAnswer = Struct.new(:task, :time, :verdict, :misreadings, :read_as, :read_short, :slips, :accepted, :offset_degrees,
                                keyword_init: true)

      # See above.
      class MarkedAnswer
        VERDICTS = %i[right right_other_words right_writing_slip right_gap right_time_only near misread unexplained
                      unreadable blank].freeze
        RIGHT = %i[right right_other_words right_writing_slip near].freeze
        # Verdicts of a time read rightly, whatever else was asked.
        READ_RIGHT = [*RIGHT, :right_time_only].freeze
        # Verdicts that say nothing of how the child reads.
        SILENT = %i[blank unreadable].freeze

        # @param text [String] one that could not be read, or is none
        # @param task [Tasks::Task]
        # @param time [DialTime, DayTime]
        # @return [MarkedAnswer]
        def self.unread(task, time, text) = new(task:, time:, verdict: Wording::AnswerReader.blank?(text) ? :blank : :unreadable)

        # @param verdict [Symbol, String] one of {VERDICTS}
        # @param conventions [Conventions]
        # @return [Boolean] whether it counts as right in a class
        def self.right?(verdict, conventions) = RIGHT.include?(verdict.to_sym) && conventions.accepts?(verdict.to_sym)

        # @param task [Tasks::Task]
        # @param time [DialTime, DayTime] that was asked
        # @param verdict [Symbol] one of {VERDICTS}
        # @param more [Hash{Symbol => Object}] other parts by name; what is left out is empty, and an answer is accepted
        # @raise [ArgumentError] where there is no such verdict or part
        def initialize(task:, time:, verdict:, **more)
          raise ArgumentError, "no verdict: #{verdict}" unless VERDICTS.include?(verdict)

          lists = %i[misreadings slips].to_h { |name| [name, more.fetch(name, []).dup.freeze] }
          super(task:, time:, verdict:, read_as: "", read_short: "", accepted: true, **more, **lists)
          freeze
        end

        # @return [MarkedAnswer] the same of an answer that is not spelled as it should be
        def misspelt
          MarkedAnswer.new(**to_h, verdict: verdict == :right ? :right_writing_slip : verdict, slips: slips | [:spelling])
        end

        # @return [Array<Symbol>] those of its misreadings that are told of it
        def causes = Reading::Misreading.likeliest(misreadings)

        # @return [Boolean] whether it is right and accepted: a class can ask for its own words alone
        def right? = RIGHT.include?(verdict) && accepted

        # @return [Symbol] the verdict as a class hears it: `:not_accepted` where it was right in other words than the class wants
        def verdict_for_class = RIGHT.include?(verdict) && !accepted ? :not_accepted : verdict

        # @return [Boolean] whether the time was read rightly, in whatever words
        def read_right? = READ_RIGHT.include?(verdict)

        # @return [Boolean] whether it says something of how the child reads
        def telling? = !SILENT.include?(verdict)
      end
    end
  end
end
