# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The plan of a class's term: made, made anew once more is known, changed, and how likely it holds. What is over stays as it was.
      class TermPlanning
        Term = Core::Term
        private_constant :Term

        # @return [Store::Rows::Term]
        attr_reader :term
        # @return [Integer] the Julian day of today
        attr_reader :today

        # @param store [Store::Database]
        # @param term [Store::Rows::Term]
        # @param now [String]
        # @param today [Integer]
        def initialize(store, term, now:, today: Store::SchoolDay.today)
          @store = store
          @term = term
          @now = now
          @today = today
        end

        # Worked out where it is asked for: a plan that holds is shown without it.
        # @return [Core::Teaching::ClassProgress]
        def progress = @progress ||= Store::ProgressCache.of(@store.classes.find(term.class_id), @store, today: @today)

        # @return [Store::Rows::TermPlan] the one that holds, made anew where more is known of the class; not within a day that has begun
        def current
          plan = @store.terms.plan(term.id) || set
          plan.known_of == known_of ? plan : renew(plan)
        end

        # The term was set: what a teacher put so stays, where there is still a lesson on that day.
        # @return [Store::Rows::TermPlan]
        def set
          old = @store.terms.plan(term.id)
          past, coming = parted(old ? lessons(old) : [], @today)
          made = projection(@today, past, settled(coming)).plan
          keep("set", past + made, (TermChanges.by_setting(coming, made) if coming.any?))
        end

        # @param kind [String] one of {Core::Term::Arrangement::KINDS}
        # @return [Store::Rows::TermPlan]
        def change(kind, day:, to: nil, step: nil)
          past, coming = parted(lessons(current), @today)
          day, to = [day, to].map { |date| date && Date.iso8601(date).jd }
          return fell_out(past, coming, day) if kind == "skip" && day < @today

          arranged = Term::Arrangement.new(coming).settled(kind.to_sym, day:, to:, step: step && Core::Curriculum::Step.find(step))
          made = projection(@today, past, arranged).plan
          keep("change", past + made, TermChanges.by_teacher(kind, day, to, coming, made))
        end

        # @return [Store::Rows::TermPlan, nil] the one before that which holds, where it is known for which days and which aim it was made
        def before
          plan, older = @store.terms.plans(term.id, 2)
          older if older && (older.settings || plan.cause != "set")
        end

        # @return [Store::Rows::TermPlan] the plan before, which holds again with its days and its aim
        def put_back
          plan = @store.terms.plan(term.id)
          older = before or return plan

          @term = @store.terms.put_back(plan, older, @now)
          @store.terms.note(older, known_of:, forecast: nil)
        end

        # @param plan [Store::Rows::TermPlan]
        # @param older [Store::Rows::TermPlan, nil]
        # @return [Boolean] whether both were made for the same aim and day, so that what was told of them can be compared
        def same_aim?(plan, older)
          return false unless older
          return plan.cause != "set" unless plan.settings && older.settings

          plan.settings.slice(:aim, :aim_day) == older.settings.slice(:aim, :aim_day)
        end

        # @return [Hash] what was told of a plan, worked out once
        def forecast(plan = current)
          plan.forecast || @store.terms.note(plan, forecast: foretold(plan)).forecast
        end

        # @yieldparam done [Integer] how many were worked out
        # @yieldparam all [Integer] of so many
        # @return [Array<Core::Term::TermProjection::Intervention>]
        def interventions(&)
          past, coming = parted(lessons(current), @today)
          projection(@today, past, settled(coming)).interventions(&)
        end

        # @param plan [Store::Rows::TermPlan]
        # @return [Array<Core::Term::Planned>]
        def lessons(plan) = plan.lessons.map { |lesson| read(lesson) }

        private

        def known_of = @known_of ||= @store.terms.known_of(term.class_id)

        # Answers come one at a time: of the plans that they make on one day the last stays.
        def renew(plan)
          before = same_day?(plan) ? @store.terms.plans(term.id, 2).last : plan
          past, coming = parted(lessons(before), @today + 1)
          made = projection(@today + 1, past, settled(coming)).steady(coming)
          change = Term::Change.between(coming, made, progress)
          return @store.terms.note(plan, known_of:, forecast: nil) unless change

          keep("answers", past + made, TermChanges.by_answers(change), instead_of: (plan if same_day?(plan)))
        end

        def same_day?(plan) = plan.cause == "answers" && Store::SchoolDay.jd(plan.made_at) == @today

        def keep(cause, lessons, change, **how)
          @store.terms.add(term.id, made_at: @now, cause:, change:, lessons: lessons.map { |lesson| written(lesson) }, known_of:,
                                    settings: term.to_h.slice(*Store::Terms::SETTINGS), **how)
        end

        # A lesson that is over and was not held: the next ones are planned anew.
        def fell_out(past, coming, day)
          past.find { |lesson| lesson.day == day && lesson.taught? } ||
            raise(Core::Error.new("No lesson was planned for that day.", field: :day))
          past = past.map do |lesson|
            lesson.day == day ? Term::Planned.new(**lesson.to_h, kind: :skipped, step: nil, settled: :skipped) : lesson
          end
          # What is known of the class is worked out from the plan that lacks the lesson.
          @store.db.transaction do
            keep("change", past, nil)
            TermPlanning.new(@store, term, now: @now, today: @today).after(past, coming, day)
          end
        end

        protected

        # @return [Store::Rows::TermPlan] in the place of one that lacks what comes after a day that fell out
        def after(past, coming, day)
          made = projection(@today, past, settled(coming)).plan
          keep("change", past + made, TermChanges.by_teacher("skip", day, nil, coming, made), instead_of: @store.terms.plan(term.id))
        end

        private

        def parted(lessons, day) = lessons.partition { |lesson| lesson.day < day }

        def settled(lessons)
          lessons.select(&:settled).to_h do |lesson|
            [lesson.day, Term::Planner::Settled.new(step: lesson.step, kind: (lesson.kind unless lesson.taught?), how: lesson.settled)]
          end
        end

        def projection(from, past, settled)
          goal = Term::Goal.new(aim: Term::Aim.new(term.aim), day: Date.iso8601(term.aim_day).jd)
          Term::TermProjection.new(progress, days: TermPlanning.days(term.to_hash), goal:, past: Term::Past.of(past, from:), settled:)
        end

        def foretold(plan)
          past, coming = parted(lessons(plan), @today)
          Foretelling.new(@store, term, @today).call(projection(@today, past, settled(coming)), coming)
        end

        def read(lesson)
          steps = ->(ids) { ids.map { |id| Core::Curriculum::Step.find(id) } }
          Term::Planned.new(day: Date.iso8601(lesson[:day]).jd, minutes: lesson[:minutes], kind: lesson[:kind].to_sym,
                            step: steps[[*lesson[:step]]].first, task: lesson[:task]&.to_sym, recap: steps[lesson[:recap]],
                            check: lesson[:check], settled: lesson[:settled]&.to_sym)
        end

        def written(lesson)
          { **lesson.to_h, day: Date.jd(lesson.day).iso8601, step: lesson.step&.id, recap: lesson.recap.map(&:id) }
        end

        class << self
          # @param term [Hash] as it is set
          # @return [Hash] as core takes it
          def days(term)
            first, last = term.values_at(:first_day, :last_day).map { |text| jd(text) }
            off = term[:days_off].map { |days| jd(days[:from])..jd(days[:to]) }
            { first:, last:, weekdays: term[:weekdays].transform_keys(&:to_sym), off: }
          end

          # @return [Integer]
          def jd(text) = Date.iso8601(text).jd
        end
      end
    end
  end
end
