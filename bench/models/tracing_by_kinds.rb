# frozen_string_literal: true

module Bench
  # The model before the present one, which scores are compared with: each kind of times is followed by itself, by Bayes' rule for each
  # answer, a chance of learning for each lesson, and a half-life.
  class TracingByKinds
    Core = Vantick::Core
    ROW = { begin: 0.1, slip: 0.12, guess: 0.15, lesson: 0.45, shared: 0.9, alone: 0.2, half_days: 60 }.freeze

    def initialize
      @known = Core::Curriculum::KnowledgeComponents.all.to_h { |kind| [kind, ROW[:begin]] }
      @days = {}
    end

    # @return [Float] 0..1, that the next answer is right
    def chance_of_right(task, time, day)
      kind = kind(task, time)
      fade(kind, day)
      guess = [task.guess || 0, ROW[:guess]].max
      (@known[kind] * (1 - ROW[:slip])) + ((1 - @known[kind]) * guess)
    end

    def answered(marked, day)
      return unless marked.telling?

      believe(kind(marked.task, marked.time), marked.read_right?, day)
      parts(marked).each { |kind| believe(kind, true, day) }
    end

    def taught(step, day)
      kinds = Core::Curriculum::KnowledgeComponents.of_step(step)
      chance = kinds.one? ? ROW[:lesson] : ROW[:shared] / kinds.length
      kinds.each do |kind|
        fade(kind, day)
        @known[kind] += (1 - @known[kind]) * chance * reach(kind)
      end
    end

    private

    def kind(task, time) = Core::Curriculum::KnowledgeComponents.of(task, time)

    def reach(kind)
      below = Core::Curriculum::KnowledgeComponents.below(kind).map { |one| @known[one] }.min || 1.0
      ROW[:alone] + ((1 - ROW[:alone]) * below)
    end

    # A whole dial read rightly tells of the hour hand as well, one at fives of the numerals.
    def parts(marked)
      return [] unless marked.task.dial? && Core::Curriculum::Step.home(marked.task).nil? && marked.read_right?

      fives = marked.time.ticks.zero? && (marked.time.minute % 15).positive?
      [:hour_hand, *(:fives_facts if fives)]
    end

    def believe(kind, right, day)
      fade(kind, day)
      known = @known[kind]
      with, without = right ? [1 - ROW[:slip], ROW[:guess]] : [ROW[:slip], 1 - ROW[:guess]]
      @known[kind] = known * with / ((known * with) + ((1 - known) * without))
    end

    def fade(kind, day)
      since = @days[kind]
      @known[kind] *= 0.5**((day - since) / ROW[:half_days].to_f) if since && day > since
      @days[kind] = day
    end
  end
end
