# frozen_string_literal: true

require_relative "../children/history"

module Bench
  # A unit of twelve lessons, or a term, given to a class of one family: recap, lesson, and an exit check of five, words and digits in turn.
  class Unit
    Core = Vantick::Core
    LESSONS = Sizes[:unit_lessons]
    RECAP = 8
    EXIT = 5
    AWAY = 0.06
    BASELINE = 12

    attr_reader :lessons, :answers, :day, :children, :aim, :count

    # @param make [Array(Symbol, Symbol)] of its children: one of {Children::FAMILIES}, and one of {Children::CLASSES}
    # @param teacher [#call] what chooses the step of a lesson, from the unit so far
    # @param aim [Symbol] the step that is to be known
    # @param count [Integer] lessons
    def initialize(make, seed, teacher, aim: :fives, count: LESSONS)
      family, kind = make
      @random = Random.new(seed)
      @children = Children::FAMILIES.fetch(family).of(kind, seed, Sizes[:term_children])
      @teacher = teacher
      @aim = Core::Term::Aim.new(aim)
      @count = count
      @answers = @children.to_h { |child| [child, []] }
      @lessons = []
    end

    def slots
      @slots ||= Array.new(count) { |at| Core::Term::Days::Slot.new(day: Children::History.day(at), minutes: 45) }
    end

    def aim_day = slots.last.day

    # @yield [Unit] before each lesson
    # @return [Unit] when it is over
    def run
      slots.each do |slot|
        @day = slot.day
        yield self if block_given?
        give(@teacher.call(self))
      end
      self
    end

    def progress_by_pupil
      answers.transform_values { |asked| Core::Teaching::ChildProgress.new(asked, lessons: there_for(asked), today: day) }
    end

    def expected = progress_by_pupil.transform_values(&:expected)

    # The plan as a class has it: it stands, and is changed where answers ask for that.
    def planned
      now = expected
      old = @plan.to_a.select { |lesson| lesson.day >= day }
      planner = lambda do |settled|
        Core::Term::Planner.new(expected: now, slots:, goal: Core::Term::Goal.new(aim:, day: aim_day),
                                past: Core::Term::Past.new(from: day, lessons:, unchecked: 3), choices: Core::Term::Choices.new(settled:))
      end
      @plan = Core::Term::Steady.new(old, planner, {}).plan
      @plan.first.step || Core::Teaching::SchemeOfWork.new(now, lessons).next_step.step || aim.step
    end

    # @param kinds [Array<Symbol>]
    # @return [Float] 0..1, of these kinds and all children, known in both notations
    def known(kinds = Core::Curriculum::KnowledgeComponents.all)
      children.sum { |child| kinds.count { |kind| child.knows?(kind, day + 1) } } / (children.length * kinds.length).to_f
    end

    private

    def there_for(asked) = asked.map(&:day).uniq.then { |days| lessons.select { |lesson| days.include?(lesson.day) } }

    def kinds(step) = Core::Curriculum::KnowledgeComponents.of_step(step)

    def here = children.select { |child| child.respond_to?(:here?) ? child.here?(day) : @random.rand >= AWAY }

    def give(step)
      there = here
      before = lessons.map(&:step).uniq.flat_map { |one| kinds(one) }.uniq
      there.each do |child|
        RECAP.times { child.practice(before.sample(random: @random), day) } if before.any?
        child.lesson(kinds(step), day)
      end
      lessons.empty? ? baseline(there) : exit_check(step, there)
      lessons << Core::Teaching::SchemeOfWork::GivenLesson.new(step:, day:)
    end

    def exit_check(step, there)
      task = step.whole? ? [WORDS, DIGITS][lessons.length % 2] : step.tasks.first
      times = step.pool_for(task).reject(&:hidden_hand?).sample(EXIT, random: @random)
      there.each { |child| times.each_with_index { |time, place| ask(child, step, [task, time], place) } }
    end

    def ask(child, step, asked, place, **how)
      task, time = asked
      kind = Core::Curriculum::KnowledgeComponents.of(task, time)
      marked = Core::Marking::Marker.mark(task:, time:, text: task.write(child.answer(kind, time, task, day, place)))
      answers[child] << Core::Curriculum::ItemResponse.new(step:, marked:, day:, **how)
    end

    # The first lesson ends with finding out where each child is: one page of twelve questions.
    def baseline(there)
      page = Core::Knowing::Baseline.page(count: BASELINE, seed: 1)
      there.each do |child|
        page.each_with_index { |question, place| ask(child, question.step, [question.task, question.time], place, baseline: true) }
      end
    end
  end
end
