# frozen_string_literal: true

require_relative "pupil"

module Bench
  # A term of a made-up class: three lessons a week, each with its recap and an exit check, now and then ten tasks at the desks.
  class Term
    CHILDREN = 26
    LESSONS = 36
    AWAY = 0.06
    EXIT = 5
    RECAP = 8
    DESK = 10
    DAYS = [0, 2, 4].freeze

    attr_reader :lessons, :answers, :pupils, :weeks, :day

    # @param teacher [#call] what chooses the step of a lesson, from the term so far
    def initialize(kind, seed, teacher, desks: false, recap: :chosen)
      @random = Random.new(seed)
      @pupils = Array.new(CHILDREN) { Pupil.new(kind, Random.new(@random.rand(2**31))) }
      @answers = @pupils.to_h { |pupil| [pupil, []] }
      @lessons = []
      @weeks = []
      @teacher = teacher
      @desks = desks
      @recap = recap
    end

    def run
      LESSONS.times do |at|
        @day = ((at / 3) * 7) + DAYS[at % 3]
        yield self if block_given?
        give(@teacher.call(self) || Vantick::Core::Step.hardest)
        desks if @desks && at % 3 == 2
        @weeks << known if at % 3 == 2
      end
      self
    end

    # @return [Float] of what is to be known, known today
    def known
      steps = Vantick::Core::Step.with_times
      @pupils.sum { |pupil| steps.sum { |step| pupil.knows(step, @day) } } / (CHILDREN * steps.length)
    end

    def tracings = @answers.transform_values { |asked| Vantick::Core::Tracing.new(asked, lessons: @lessons, today: @day) }

    def longest = @lessons.map(&:step).chunk_while { |one, other| one == other }.map(&:length).max

    private

    def give(step)
      here = @pupils.reject { @random.rand < AWAY }
      recap = recap_kinds(step)
      here.each do |pupil|
        recap.each { |kind| pupil.practice(kind, @day) }
        pupil.lesson(step, @day)
      end
      exit_check(step, here)
      @lessons << Vantick::Core::Course::Given.new(step:, day: @day)
    end

    def exit_check(step, here)
      task = step.whole? ? [WORDS, DIGITS].sample(random: @random) : step.tasks.first
      times = Term.exit_times(step, task, @random.rand(8))
      here.each { |pupil| ask(pupil, step, task, times) }
    end

    def ask(pupil, step, task, times)
      times.each do |time|
        marked = Vantick::Core::Marker.mark(task:, time:, text: task.write(pupil.answer(time, task, @day)))
        @answers[pupil] << Vantick::Core::Standing::Asked.new(step:, marked:, day: @day)
      end
    end

    def self.exit_times(step, task, seed)
      (@exit_times ||= {})[[step.id, task.id, seed]] ||=
        Vantick::Core::Chooser.choose(step:, task:, count: [EXIT, step.pool_for(task).length].min, seed:).times
    end

    # What is gone over: chosen by Vantick, or as of old all that the step rests on.
    def recap_kinds(step)
      below = step.foundations.select { |one| one.pool.any? }
      chosen = @recap == :chosen ? Vantick::Core::Recap.steps(tracings, step, before: @lessons.map(&:step).uniq) : []
      aimed = chosen.flat_map { |one| Vantick::Core::KindsOfTime.of_step(one) }
      other = below.flat_map { |one| Vantick::Core::KindsOfTime.of_step(one) }.uniq
      return [] if (aimed | other).empty?

      Array.new(RECAP) do |at|
        (if at < RECAP * 0.7 && aimed.any?
           aimed.rotate(at).first
         else
           (other.any? ? other : aimed).sample(random: @random)
         end)
      end
    end

    # Ten tasks at a child's own step; what was known comes now and then.
    def desks
      limit = above(@lessons.last.step)
      @pupils.each do |pupil|
        next if @random.rand < AWAY

        standing = Vantick::Core::Standing.new(@answers[pupil].last(120), today: @day)
        step = standing.next_step(limit:) || limit
        task = step.whole? ? WORDS : step.tasks.first
        times = step.pool_for(task).reject(&:hidden_hand?).sample(DESK, random: @random)
        ask(pupil, step, task, times)
        times.each { |time| pupil.practice(Vantick::Core::KindsOfTime.of(task, time), @day, helped: 0.05) }
      end
    end

    def above(step)
      ladder = Vantick::Core::Step.with_times
      ladder[[ladder.index(step) + 1, ladder.length - 1].min]
    end
  end
end
