# frozen_string_literal: true

require_relative "term"

# Children of a term, as they stand at some of its days.
module Bench
  # What is true of a pupil on a day, kept since it goes on learning.
  class Frozen
    attr_reader :misreadings

    def initialize(pupil, day, ids)
      @known = Vantick::Core::Curriculum::Step.with_times.to_h { |step| [step, pupil.knows(step, day)] }
      @misreadings = ids.map { |id| Vantick::Core::Reading::Misreading.find(id) }
    end

    def knows(step, _day) = @known.fetch(step)

    def knows?(step, _day) = knows(step, nil) >= Pupil::KNOWS
  end

  # Lessons after which it is looked: in the second, fifth, eighth and eleventh week.
  LOOKS = [6, 15, 24, 33].freeze
  # A child as it stands at one of these looks.
  Look = Struct.new(:pupil, :progress, :limit, :day, keyword_init: true) do
    def knows?(step) = pupil.knows?(step, day)
  end

  # What measures of several families look at.
  module Looks
    include Vantick::Core

    # Terms are long: they are gone through once.
    def self.kept = @kept ||= {}

    def looks(seed)
      Looks.kept[seed] ||= [false, true].product(KINDS).flat_map { |desks, kind| looks_at(kind, seed, desks) }
    end

    def looks_at(kind, seed, desks)
      found = []
      Term.new(kind, seed, PROPOSED, desks:).run do |term|
        next unless LOOKS.include?(term.lessons.length)

        found << term.answers.map do |pupil, asked|
          progress = Teaching::ChildProgress.new(asked, today: term.day, lessons: term.lessons)
          Look.new(pupil: Frozen.new(pupil, term.day, pupil.misreadings.map(&:id)),
                   progress:, limit: term.limit, day: term.day)
        end
      end
      found.flatten
    end
  end
end
