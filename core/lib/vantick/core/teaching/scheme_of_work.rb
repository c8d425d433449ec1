# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Which step is next for a class. The backbone is a scheme of work: up the ladder with a usual number of lessons a step, which
      # most steps get in parts, since what comes again after a while stays longer. It is left on evidence alone: a step that most
      # are expected to know is left early or passed over, and wherever more is to be gained by going back to a step taught before
      # than by going on, it goes back; at the end all lessons do. Never more than three running on one step.
      class SchemeOfWork
        SCHEME = Facts::DataFile.load("scheme").freeze
        ROW = SCHEME[:course].freeze
        USUAL = SCHEME[:lessons].freeze

        # A lesson that was given.
        GivenLesson = Struct.new(:step, :day, keyword_init: true)
        # What is next, and why.
        # @!attribute step [Curriculum::Step, nil] nothing where the class is at the top and knows it
        # @!attribute reason [Symbol] one of {REASONS}
        # @!attribute children [Array] keys of those who are not expected to know it
        # @!attribute lesson [Integer] the how manieth on the step this would be
        # @!attribute days [Integer, nil] since the last lesson on it
        Next = Struct.new(:step, :reason, :children, :lesson, :days, keyword_init: true)
        # `:begin` nobody has answered anything, `:new` the next step, `:passed` a step above some that most know already, `:again` the
        # step of the last lesson, `:back` one from before it, `:done` most know all.
        REASONS = %i[begin new passed again back done].freeze

        # @param step [Curriculum::Step]
        # @return [Integer] lessons it usually has
        def self.usual(step) = USUAL.fetch(step.id, USUAL[:usual])

        # Lessons that were given; a day on which much of a class answered on a step that no lesson is known of counts as one.
        # @param by_child [Hash{Object => Array<Curriculum::ItemResponse>}]
        # @param given [Array<GivenLesson>]
        # @return [Array<GivenLesson>] oldest first, one a day
        def self.lessons(by_child, given)
          days = given.map(&:day)
          more = answered(by_child).reject { |lesson| days.include?(lesson.day) }
          (given + more).sort_by.with_index { |lesson, at| [lesson.day, at] }
        end

        # By day the step on which most answered, where that is enough of the class.
        def self.answered(by_child)
          given = by_child.values.flat_map do |asked|
            asked.reject(&:baseline).map { |answer| GivenLesson.new(step: answer.step, day: answer.day) }.uniq
          end
          counts = given.tally
          enough = counts.select { |_, count| count >= ROW[:met_share] * by_child.length }
          enough.group_by { |lesson, _| lesson.day }.values.map { |same| same.max_by(&:last).first }
        end
        private_class_method :answered

        # @param by_child [Hash{Object => Knowing::Expected}]
        # @param lessons [Array<GivenLesson>] oldest first
        # @param ladder [Array<Curriculum::Step>] what is to be known, where that is not all of it
        # @param left [Integer, nil] lessons that there are for it, where they are counted
        def initialize(by_child, lessons, ladder: Curriculum::Step.with_times, left: nil)
          @ladder = ladder
          @left = left
          @by_child = by_child
          @lessons = lessons
          @counts = lessons.map(&:step).tally
        end

        # @param today [Integer, nil] to say how long ago a lesson was
        # @return [Next]
        def next_step(today: nil)
          return on(not_begun.first, today) if few_left?

          following = forward
          step = candidates(following).max_by.with_index do |candidate, at|
            [worth(candidate) * (candidate == following ? ROW[:forward] : 1), -at]
          end
          return Next.new(step: nil, reason: :done, children: [], lesson: 0) if step.nil? || (following.nil? && known?)

          on(step, today)
        end

        # @return [Boolean] whether every step has had its first pass, or most know it
        def gone_through? = forward.nil?

        # @param step [Curriculum::Step]
        # @return [Float] how many children times kinds of times a lesson on it is expected to give
        def worth(step) = (@worth ||= {})[step] ||= @by_child.values.sum { |child| child.gain(step) }

        # @return [Curriculum::Step, nil] the first step above those that were taught or that most know
        def onward = forward

        # @param step [Curriculum::Step]
        # @return [Float] 0..1, the share of the children expected to know it
        def expected(step) = (@expected ||= {})[step] ||= @by_child.values.sum { |child| child.of_step(step) } / [@by_child.length, 1].max

        private

        attr_reader :ladder

        def on(step, today)
          lessons = @lessons.select { |lesson| lesson.step == step }
          Next.new(step:, reason: reason(step), children: unsure(step), lesson: lessons.length + 1,
                   days: lessons.any? && today ? today - lessons.last.day : nil)
        end

        def few_left? = @left && not_begun.any? && not_begun.length >= ROW[:few_left] * @left

        # Steps of which most know too little, and that nobody has been taught.
        def not_begun = @not_begun ||= ladder.reject { |step| @counts.key?(step) || expected(step) >= ROW[:known] }

        def known? = ladder.all? { |step| expected(step) >= ROW[:known] }

        # The first step that is not known by most and has had fewer lessons than a first pass gives it.
        def forward
          ladder.find do |step|
            expected(step) < ROW[:known] && @counts.fetch(step, 0) < [SchemeOfWork.usual(step) - ROW[:fewer_at_first], 1].max
          end
        end

        # Those that were taught, and the one to go on with; not the one that had its lessons running.
        def candidates(following)
          running = @lessons.last(ROW[:most_running]).map(&:step)
          tired = running.length == ROW[:most_running] && running.uniq.one? ? running.first(1) : []
          ladder & ([*@counts.keys, *following] - tired)
        end

        def reason(step)
          return @counts.key?(step) ? back_or_again(step) : first(step) unless @lessons.empty?

          ladder.first == step ? :begin : :passed
        end

        def back_or_again(step) = step == @lessons.last.step ? :again : :back

        # Whether the step before it was left out, since most know it.
        def first(step) = ladder[0...ladder.index(step)].last(1).any? { |lower| !@counts.key?(lower) } ? :passed : :new

        def unsure(step) = @by_child.select { |_, child| child.of_step(step) < ROW[:unsure] }.keys
      end
    end
  end
end
