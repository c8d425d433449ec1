# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The lesson that comes next in a class: the one that waits to be given, else what the term has, else what is proposed. Home, the
      # page for tomorrow and what is printed for it ask here, so that they cannot disagree.
      class NextLesson
        # Days for which a lesson that was planned and not given is offered again.
        OFFERED_AGAIN = Core::Teaching::TeachingNumbers.of(:offered_again_days)
        # Lessons that are looked through.
        LOOKED = 30
        # @!attribute how [Symbol] `:made`, `:late` (its day is over), `:planned` in the term, or `:proposed`
        # @!attribute day [String]
        # @!attribute step [String]
        # @!attribute minutes [Integer]
        # @!attribute task [String, nil] what it asks, where that is settled
        # @!attribute lesson_id [Integer, nil]
        # @!attribute recap [Array<String>] steps that the term goes over first
        Found = Struct.new(:how, :day, :step, :task, :minutes, :lesson_id, :recap, keyword_init: true)

        # @param store [Store::Database]
        # @param school_class [Store::Rows::SchoolClass]
        # @param now [String]
        def initialize(store, school_class, now:)
          @store = store
          @class = school_class
          @now = now
          @today = Date.jd(Store::SchoolDay.today)
        end

        # @return [Found, nil] nothing at the top of the ladder
        def find = saved || planned || proposed

        private

        def today = @today.iso8601

        def lessons = @lessons ||= @store.lessons.all(@class.id, limit: LOOKED)

        def saved
          coming, over = lessons.reject(&:given_at).partition { |lesson| lesson.day >= today }
          return of_lesson(coming.last, :made) if coming.any?

          missed = over.first
          of_lesson(missed, :late) if missed && missed.day >= (@today - OFFERED_AGAIN).iso8601 && !given_since?(missed.day)
        end

        def given_since?(day) = lessons.any? { |lesson| lesson.given_at && lesson.day >= day }

        def of_lesson(row, how)
          Found.new(how:, day: row.day, step: row.plan.step.to_s, task: row.plan.task&.to_s, minutes: row.plan.minutes,
                    lesson_id: row.id, recap: [])
        end

        # The first that is neither over nor given; where that one is left open there is nothing to make.
        def planned
          one = coming_in_term.find { |lesson| !lesson[:over] && !lesson[:given] && lesson[:kind].to_s != "skipped" }
          return unless one && one[:step]

          Found.new(how: :planned, day: one[:day], step: one[:step].to_s, task: one[:task]&.to_s, minutes: one[:minutes],
                    recap: one[:recap].to_a.map(&:to_s))
        end

        def coming_in_term
          term = @store.terms.of_class(@class.id) or return []
          planning = TermPlanning.new(@store, term, now: @now)
          TermView.term(planning, planning.current, @store, today).dig(:plan, :lessons)
        end

        def proposed
          step = Ladders.of(@store, @class).dig(:next, :step) or return
          task = LessonMaker.new(@store, @class.id, now: @now).task_in_turn(step.to_s)
          Found.new(how: :proposed, day: (@today + 1).iso8601, step: step.to_s, task:, minutes: Core::Teaching::Lesson::USUAL, recap: [])
        end
      end
    end
  end
end
