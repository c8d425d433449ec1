# frozen_string_literal: true

module Vantick
  module Core
    module Marking
      # An answer with what was made of it.
      class MarkedAnswer
        VERDICTS = %i[right right_other_words right_writing_slip right_gap right_time_only near misread unexplained
                      unreadable blank].freeze
        RIGHT = %i[right right_other_words right_writing_slip near].freeze
        # Verdicts of a time read rightly, whatever else was asked.
        READ_RIGHT = [*RIGHT, :right_time_only].freeze
        # Verdicts that say nothing of how the child reads.
        SILENT = %i[blank unreadable].freeze

        # @return [Tasks::Task]
        attr_reader :task
        # @return [DialTime, DayTime] what was shown
        attr_reader :time
        # @return [Symbol] one of {VERDICTS}
        attr_reader :verdict
        # @return [Array<Symbol>] ids of all misreadings that predict exactly this answer
        attr_reader :misreadings
        # @return [String] what the answer was taken for; empty where it could not be read
        attr_reader :read_as
        # @return [String] the same for narrow places
        attr_reader :read_short
        # @return [Float, nil] how far the hour hand is off, where the hands were set in the right gap
        attr_reader :offset_degrees
        # @return [Array<Symbol>] writing slips, some of {ParsedAnswer::SLIPS}
        attr_reader :slips

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
        # @param misreadings [Array<Symbol>] that explain it
        # @param read_as [String] what was read; empty where nothing was
        # @param read_short [String] the same as it is written
        # @param slips [Array<Symbol>] some of {ParsedAnswer::SLIPS}
        # @param accepted [Boolean] whether the class takes it for right
        # @param offset_degrees [Float, nil] how far the hour hand is off
        def initialize(task:, time:, verdict:, misreadings: [], read_as: "", read_short: "", slips: [], accepted: true, offset_degrees: nil)
          raise ArgumentError, "no verdict: #{verdict}" unless VERDICTS.include?(verdict)

          @task = task
          @time = time
          @verdict = verdict
          @misreadings = misreadings.dup.freeze
          @read_as = read_as
          @read_short = read_short
          @slips = slips.dup.freeze
          @accepted = accepted
          @offset_degrees = offset_degrees
          freeze
        end

        # @return [MarkedAnswer] the same of an answer that is not spelled as it should be
        def misspelt
          MarkedAnswer.new(task:, time:, verdict: verdict == :right ? :right_writing_slip : verdict, misreadings:, read_as:, read_short:,
                           slips: slips | [:spelling], accepted: @accepted, offset_degrees:)
        end

        # @return [Array<Symbol>] those of its misreadings that are told of it
        def causes = Reading::Misreading.likeliest(misreadings)

        # @return [Boolean] whether it is right and accepted: a class can ask for its own words alone
        def right? = RIGHT.include?(verdict) && @accepted

        # @return [Symbol] the verdict as a class hears it: `:not_accepted` where it was right in other words than the class wants
        def verdict_for_class = RIGHT.include?(verdict) && !@accepted ? :not_accepted : verdict

        # @return [Boolean] whether the time was read rightly, in whatever words
        def read_right? = READ_RIGHT.include?(verdict)

        # @return [Boolean] whether it says something of how the child reads
        def telling? = !SILENT.include?(verdict)
      end
    end
  end
end
