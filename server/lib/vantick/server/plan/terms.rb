# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The term of a class: set, planned, changed, put back; how likely it holds.
      class Terms < Resource
        get "/api/classes/:class_id/term" do
          school_class
          halt answer_json(TermView.none) unless planning
          answer_json(view(planning, planning.current))
        end

        put "/api/classes/:class_id/term" do
          school_class
          check(sent)
          store.terms.set(input[:class_id], changed_at: now, **sent)
          answer_json(view(planning, planning.set))
        end

        delete "/api/classes/:class_id/term" do
          school_class
          store.terms.remove(input[:class_id])
          answer_json(TermView.none)
        end

        post "/api/classes/:class_id/term/changes" do
          plan = term!.change(sent[:kind], day: sent[:day], **sent.slice(:to, :step).compact)
          answer_json(view(planning, plan), code: 201)
        end

        post "/api/classes/:class_id/term/reverts" do
          planning = term!
          answer_json(view(planning, planning.put_back), code: 201)
        end

        get "/api/classes/:class_id/term/forecast" do
          planning = term!
          planning.current
          plan = store.terms.plan(planning.term.id)
          before = planning.before.then { |older| older if planning.same_aim?(plan, older) }
          plan = store.terms.note(plan, forecast: work(TermJobs::FORECAST, plan).result) unless plan.forecast
          answer_json(TermView.forecast(plan.forecast, before&.forecast))
        end

        get "/api/classes/:class_id/term/suggestions" do
          answer_json({ suggestions: work(TermJobs::SUGGESTIONS, term!.current).result.to_a })
        end

        # Days off from a calendar file: nothing is kept of it.
        post "/api/classes/:class_id/term/days-off" do
          school_class
          answer_json(Formats::Foreign.days_off(sent[:content], from: sent[:first_day], to: sent[:last_day]))
        end

        private

        # What is not worked out yet comes later: how far it is, and how much is before it.
        # @return [Store::Rows::Job] one that is done
        def work(kind, plan)
          job = TermJobs.ask(store, kind, planning, plan)
          return job if job.state == "done"

          refuse(503, "This didn't work. Try again in a minute.", nil) if job.state == "failed"
          Work::Runner.wake(store)
          halt answer_json({ working: true, done: job.done, of: job.of, ahead: store.jobs.ahead_of(job) }, code: 202)
        end

        def school_class = store.classes.find(input[:class_id])

        def planning
          return @planning if @planning

          term = store.terms.of_class(input[:class_id])
          @planning = term && TermPlanning.new(store, term, now:)
        end

        def term!
          school_class
          planning || raise(Store::Missing.new("term", input[:class_id]))
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
          days = TermPlanning.days({ **term, days_off: term[:days_off].map { |one| one.transform_keys(&:to_sym) } })
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
