# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The term of a class: set, planned, changed, put back; how likely it holds.
      class Terms < Handler
        def read_term
          school_class
          return TermView.none unless planning

          view(planning, planning.current)
        end

        def set_term
          school_class
          check(body.to_h)
          store.terms.set(params.class_id, changed_at: now, **body)
          view(planning, planning.set)
        end

        def remove_term
          school_class
          store.terms.remove(params.class_id)
          TermView.none
        end

        def change_term
          plan = term!.change(body.kind, day: body.day, **body.slice(:to, :step).compact)
          view(planning, plan)
        end

        def revert_term
          planning = term!
          view(planning, planning.put_back)
        end

        def read_forecast
          planning = term!
          planning.current
          plan = store.terms.plan(planning.term.id)
          return forecast(planning, plan) if plan.forecast

          job = job(TermJobs::FORECAST, plan)
          done?(job) ? forecast(planning, store.terms.note(plan, forecast: job.result)) : working(job)
        end

        def read_suggestions
          job = job(TermJobs::SUGGESTIONS, term!.current)
          done?(job) ? reply({ suggestions: job.result.to_a }, status: 200) : working(job)
        end

        # Days off from a calendar file: nothing is kept of it.
        def read_days_off
          school_class
          Formats::Foreign.days_off(body.content, from: body.first_day, to: body.last_day)
        end

        private

        def forecast(planning, plan)
          before = planning.before.then { |older| older if planning.same_aim?(plan, older) }
          reply(TermView.forecast(plan.forecast, before&.forecast), status: 200)
        end

        # @return [Store::Rows::Job] one that is done, or that is worked on now
        def job(kind, plan)
          job = TermJobs.ask(store, kind, planning, plan)
          refuse(503, "This didn't work. Try again in a minute.", nil) if job.state == "failed"
          Work::Runner.wake(store) unless done?(job)
          job
        end

        def done?(job) = job.state == "done"

        # What is not worked out yet comes later: how far it is, and how much is before it.
        def working(job)
          reply({ working: true, done: job.done, of: job.of, ahead: store.jobs.ahead_of(job) }, status: 202)
        end

        def school_class = store.classes.find(params.class_id)

        def planning
          return @planning if @planning

          term = store.terms.of_class(params.class_id)
          @planning = term && TermPlanning.new(store, term, now:)
        end

        def term!
          school_class
          planning || raise(Store::Missing.new("term", params.class_id))
        end

        # Says which row it is about: there may be twenty.
        def check_off(rows, ranges)
          at = ranges.index { |off| off.end < off.begin } or return
          row = rows[at]
          name = row[:name].to_s.strip
          unfit("Row #{at + 1} of the days off#{" (#{name})" unless name.empty?} ends before it starts.", :days_off)
        end

        def view(planning, plan) = TermView.term(planning, plan, store, Date.jd(Store::SchoolDay.today).iso8601)

        def check(term)
          days = TermPlanning.days(term)
          unfit("Choose at least one lesson day.", :weekdays) if term[:weekdays].empty?
          Core::Term::Days.lessons(**days)
          Core::Term::Aim.new(term[:aim])
          check_off(term[:days_off], days[:off])
          aim_day = TermPlanning.jd(term[:aim_day])
          return if aim_day.between?(days[:first], days[:last])

          unfit("The goal's day is outside the term. Choose a day within it.", :aim_day)
        end
      end
    end
  end
end
