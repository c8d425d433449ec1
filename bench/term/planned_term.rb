# frozen_string_literal: true

require_relative "term"

module Bench
  # A term of twelve weeks with an aim: some lose two weeks, as classes do. Its pupils learn and forget otherwise than the planner assumes.
  class PlannedTerm < Term
    PUPIL = { half: 10..60, longest: 60.0, power: 0.4 }.freeze
    RATES = { behind: 0.2..0.35, usual: 0.25..0.5, ahead: 0.4..0.7, uneven: 0.2..0.7 }.freeze
    KNOWN = Core::Term::NUMBERS[:knows]
    LOST = (15..28)
    AIM = :fives

    attr_reader :aim, :ever

    # @param lost [Boolean] whether two weeks fall out that nobody foresaw
    def initialize(kind, seed, teacher, lost:, recap: :chosen)
      super(kind, seed, teacher, recap:)
      @lost = lost
      @aim = Core::Term::Aim.new(AIM)
      @ever = {}
    end

    # @return [Array<Core::Term::Days::Slot>] as they stood in the plan; Julian days from a Monday
    def slots = @slots ||= Term.instance_method(:days).bind_call(self).map { |one| Core::Term::Days::Slot.new(day: one, minutes: 45) }

    def days = slots.map(&:day).reject { |day| @lost && LOST.cover?(day) }

    def aim_day = slots.last.day

    def goal = Core::Term::Goal.new(aim:, day: aim_day)

    # @return [Integer] lessons that fell out so far
    def fallen = slots.count { |slot| slot.day < day } - lessons.length

    # @param from [Integer] the first day to plan
    # @param upto [Integer] the last
    def planner(from: day, upto: aim_day, settled: {})
      past = Core::Term::Past.new(from:, lessons:, lost: fallen)
      Core::Term::Planner.new(expected:, slots: slots.select { |slot| slot.day <= upto }, goal:, past:,
                              choices: Core::Term::Choices.new(settled:))
    end

    # The plan as a class has it: it stands, and is changed where answers ask for that.
    # @return [Core::Term::Planned] the lesson of today
    def steady_lesson
      old = plans.last.to_a.select { |lesson| lesson.day >= day }
      plans << Core::Term::Steady.new(old, ->(settled) { planner(settled:) }, {}).plan
      plans.last.first
    end

    # @return [Array<Array<Core::Term::Planned>>] one after each lesson
    def plans = @plans ||= []

    # @return [Float] 0..1, how much of the aim a child reads rightly
    def share(pupil) = aim.shares.sum { |kind, share| pupil.hindered?(kind) ? 0.0 : share * pupil.recall(kind, day) }

    # @return [Float] 0..1, of the aim, on its day
    def aim_known = pupils.sum { |pupil| share(pupil) } / pupils.length

    # @return [Integer] children who know the aim, drawn as a check would find them
    def children_knowing(random = Random.new(7))
      pupils.count do |pupil|
        aim.shares.sum { |kind, share| !pupil.hindered?(kind) && random.rand < pupil.recall(kind, day) ? share : 0.0 } >= KNOWN - 1e-9
      end
    end

    # @param after [Integer] days after the last lesson
    # @return [Float] of what was ever known to a child, what still is
    def kept(after = 0) = @ever.keys.count { |pupil, step| pupil.knows?(step, day + after) } / [@ever.length, 1].max.to_f

    private

    def traits(kind) = Core::Simulation::Traits.new(rates: RATES.fetch(kind), **PUPIL)

    def give(step)
      super
      met = lessons.map(&:step).uniq
      pupils.product(met).each { |pair| @ever[pair] = true if pair.first.knows?(pair.last, day) }
    end
  end
end
