# frozen_string_literal: true

module Vantick
  module Core
    # Which step is next for a class: a scheme of work goes up the ladder with a usual number of lessons a step, and is left only
    # on evidence. A step that most are expected to know is left early or passed over; every fourth lesson, and all that are left
    # at the end, go back to the step taught before with the most to gain.
    class Course
      ROW = Tracing::SCHEME[:course].freeze
      USUAL = Tracing::SCHEME[:lessons].freeze

      # A lesson that was given.
      Given = Struct.new(:step, :day, keyword_init: true)
      # What is next, and why.
      # @!attribute step [Step, nil] nothing where the class is at the top and knows it
      # @!attribute reason [Symbol] one of {REASONS}
      # @!attribute children [Array] keys of those the reason speaks of
      # @!attribute lesson [Integer] the how manieth on the step this would be
      Next = Struct.new(:step, :reason, :children, :lesson, keyword_init: true)
      # `:begin` nobody has answered anything, `:new` the next step, `:again` it goes on with the step, `:passed` on with a step above
      # some that most know already, `:back` gone back to, `:done`.
      REASONS = %i[begin new again passed back done].freeze

      # @param step [Step]
      # @return [Integer] lessons it usually has
      def self.usual(step) = USUAL.fetch(step.id, USUAL[:usual])

      # Lessons that were given; a day on which much of a class answered on a step that no lesson is known of counts as one.
      # @param by_child [Hash{Object => Array<Standing::Asked>}]
      # @param given [Array<Given>]
      # @return [Array<Given>] oldest first, one a day
      def self.lessons(by_child, given)
        days = given.map(&:day)
        answered = by_child.values.flat_map { |asked| asked.map { |one| [one.day, one.step] }.uniq }.tally
        seen = answered.select { |(day, _), count| !days.include?(day) && count >= ROW[:met_share] * by_child.length }
        more = seen.max_by(seen.length) { |_, count| count }.uniq { |(day, _), _| day }.map { |(day, step), _| Given.new(step:, day:) }
        (given + more).sort_by.with_index { |lesson, at| [lesson.day, at] }
      end

      # @param by_child [Hash{Object => Tracing}]
      # @param lessons [Array<Given>] oldest first
      def initialize(by_child, lessons)
        @by_child = by_child
        @lessons = lessons
        @counts = lessons.map(&:step).tally
        @last = lessons.last&.step
      end

      # @return [Next]
      def next_step
        return Next.new(step: ladder.first, reason: :begin, children: [], lesson: 1) if @lessons.empty? && nothing_known?

        following = scheme
        back = going_back(following) if @lessons.length % ROW[:back_every] == ROW[:back_every] - 1 || following.nil?
        step = back || following
        step ? told(step, step == following ? nil : :back) : Next.new(step: nil, reason: :done, children: [], lesson: 0)
      end

      # @param step [Step]
      # @return [Float] 0..1, the share of the children expected to know it
      def expected(step) = (@expected ||= {})[step] ||= @by_child.values.sum { |one| one.of_step(step) } / [@by_child.length, 1].max

      private

      def ladder = Step.with_times

      def nothing_known? = ladder.none? { |step| expected(step) >= ROW[:known] }

      # The first step that has lessons left and is not known by most; one lesson more where few know it, not twice.
      def scheme
        ladder.find do |step|
          next if expected(step) >= ROW[:known]

          count = @counts.fetch(step, 0)
          usual = Course.usual(step)
          count < usual || (count == usual && step == @last && expected(step) < ROW[:again_below])
        end
      end

      def going_back(following)
        taught = @counts.keys - [@last, following]
        taught.max_by { |step| [@by_child.values.sum { |one| one.gain(step) }, -ladder.index(step)] }
      end

      def told(step, reason)
        lesson = @counts.fetch(step, 0) + 1
        reason ||= if lesson > 1 then :again
                   else passed?(step) ? :passed : :new
                   end
        Next.new(step:, reason:, children: unsure(step), lesson:)
      end

      # Whether steps before it were left out since most know them.
      def passed?(step) = ladder.take_while { |one| one != step }.last(1).any? { |one| @counts.fetch(one, 0).zero? }

      def unsure(step) = @by_child.select { |_, one| one.of_step(step) < 0.5 }.keys
    end
  end
end
