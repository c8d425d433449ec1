# frozen_string_literal: true

module Bench
  Pupil = Vantick::Core::Simulation::Pupil

  # A term of a made-up class: three lessons a week, each with its recap and an exit check, and, where there are desks, ten tasks a
  # week at them.
  class Term
    Core = Vantick::Core
    CHILDREN = Sizes[:term_children]
    LESSONS = Sizes[:term_lessons]
    AWAY = 0.06
    EXIT = 5
    RECAP = 8
    # As much of a lesson's recap as is chosen (see recap_aimed).
    AIMED = 0.85
    DESK = 10
    DAYS = [0, 2, 4].freeze
    # Seeds of exit times: the same times come again now and then.
    EXITS = 8

    # @return [Array<Core::Teaching::SchemeOfWork::GivenLesson>]
    attr_reader :lessons
    # @return [Hash{Pupil => Array<Core::Curriculum::ItemResponse>}]
    attr_reader :answers
    # @return [Array<Pupil>]
    attr_reader :pupils
    # @return [Array<Float>] what was known at the end of each week
    attr_reader :weeks
    # @return [Integer] days since the beginning
    attr_reader :day

    # @param kind [Symbol] one of {Pupil::CLASSES}
    # @param teacher [#call] what chooses the step of a lesson, from the term so far
    # @param desks [Boolean]
    # @param recap [Symbol] `:chosen`, or `:all` that a step rests on
    def initialize(kind, seed, teacher, desks: false, recap: :chosen)
      @random = Random.new(seed)
      @pupils = Array.new(CHILDREN) { Pupil.new(kind, Random.new(@random.rand(2**31)), traits(kind)) }
      @answers = @pupils.to_h { |pupil| [pupil, []] }
      @lessons = []
      @weeks = []
      @teacher = teacher
      @desks = desks
      @recap = recap
    end

    # @yield [Term] before each lesson
    # @return [Term] when it is over
    def run
      days.each_with_index do |day, at|
        @day = day
        yield self if block_given?
        give(@teacher.call(self) || Core::Curriculum::Step.hardest)
        week_ends if at % DAYS.length == DAYS.length - 1
      end
      self
    end

    # @return [Array<Integer>] on which there are lessons
    def days = Array.new(LESSONS) { |at| ((at / DAYS.length) * 7) + DAYS[at % DAYS.length] }

    # @return [Float] of what is to be known, known today
    def known
      steps = Core::Curriculum::Step.with_times
      @pupils.sum { |pupil| steps.sum { |step| pupil.knows(step, @day) } } / (CHILDREN * steps.length)
    end

    # What is expected of each today, from all that is known of it.
    def expected = progress_by_pupil.transform_values(&:expected)

    def progress_by_pupil
      @answers.transform_values { |asked| Core::Teaching::ChildProgress.new(asked, lessons: there_for(asked), today: @day) }
    end

    # @return [Integer] most lessons running on one step
    def longest = @lessons.map(&:step).chunk_while { |one, other| one == other }.map(&:length).max

    # @return [Core::Curriculum::Step] the highest for a child: one above the class
    def limit = Core::Curriculum::Step.above(@lessons.map(&:step))

    def self.exit_times(step, task, seed)
      (@exit_times ||= {})[[step.id, task.id, seed]] ||=
        Core::Choosing::Chooser.choose(step:, task:, count: [EXIT, step.pool_for(task).length].min, seed:).times
    end

    private

    # @return [Core::Simulation::Traits] of its pupils
    def traits(_kind) = Core::Simulation::Traits.new

    # Who did not answer on the day of a lesson was away.
    def there_for(asked)
      days = asked.map(&:day).uniq
      @lessons.select { |lesson| days.include?(lesson.day) }
    end

    def week_ends
      desks if @desks
      @weeks << known
    end

    def here = @pupils.reject { @random.rand < AWAY }

    def give(step)
      present = here
      recap = recap_kinds(step)
      present.each do |pupil|
        recap.each { |kind| pupil.practice(kind, @day) }
        pupil.lesson(step, @day)
      end
      exit_check(step, present)
      @lessons << Core::Teaching::SchemeOfWork::GivenLesson.new(step:, day: @day)
    end

    def exit_check(step, present)
      task = step.whole? ? [WORDS, DIGITS].sample(random: @random) : step.tasks.first
      times = Term.exit_times(step, task, @random.rand(EXITS))
      present.each { |pupil| ask(pupil, step, task, times) }
    end

    def ask(pupil, step, task, times)
      times.each do |time|
        marked = Core::Marking::Marker.mark(task:, time:, text: task.write(pupil.answer(time, task, @day)))
        @answers[pupil] << Core::Curriculum::ItemResponse.new(step:, marked:, day: @day)
      end
    end

    # Most of it what was chosen, the rest what the step rests on. As of old: times drawn from all that the step rests on.
    def recap_kinds(step)
      return [] if @recap == :none
      return recap_of_all(step) if @recap == :all

      other = kinds(step.foundations.select { |foundation| foundation.pool.any? })
      aimed = kinds(Core::Teaching::Recap.steps(expected, step, before: @lessons.map(&:step).uniq))
      pool = other.empty? ? aimed : other
      return [] if pool.empty?

      Array.new(RECAP) { |at| at < RECAP * AIMED && aimed.any? ? aimed.rotate(at).first : pool.sample(random: @random) }
    end

    def recap_of_all(step)
      times = step.foundations.select(&:whole?).flat_map(&:pool).uniq
      times.empty? ? [] : Array.new(RECAP) { Core::Curriculum::Difficulty.minute_class(times.sample(random: @random)) }
    end

    def kinds(steps) = steps.flat_map { |step| Core::Curriculum::KnowledgeComponents.of_step(step) }.uniq

    # Ten tasks at a child's own step.
    def desks
      here.each do |pupil|
        step = Core::Teaching::ChildProgress.new(@answers[pupil].last(120), today: @day).next_step(limit:) || limit
        task = step.whole? ? WORDS : step.tasks.first
        times = step.pool_for(task).reject(&:hidden_hand?).sample(DESK, random: @random)
        ask(pupil, step, task, times)
        times.each { |time| pupil.practice(Core::Curriculum::KnowledgeComponents.of(task, time), @day, helped: 0.05) }
      end
    end
  end
end
