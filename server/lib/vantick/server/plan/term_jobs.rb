# frozen_string_literal: true

require "digest"

module Vantick
  module Server
    module Plan
      # Forecasts of a term, and what would help: seconds of work, which the worker does beside the requests. What came of it is kept
      # by what it depends on.
      module TermJobs
        FORECAST = "forecast"
        SUGGESTIONS = "helps"

        class << self
          # @param store [Store::Database]
          # @param kind [String] {FORECAST} or {SUGGESTIONS}
          # @param planning [TermPlanning]
          # @param plan [Store::Rows::TermPlan] the one that holds
          # @return [Store::Rows::Job] done where the same was asked before
          def ask(store, kind, planning, plan)
            term = planning.term
            key = Digest::SHA256.hexdigest(JSON.generate([kind, term.to_hash, plan.id, plan.known_of, planning.today]))
            store.jobs.add(kind, { term_id: term.id, plan_id: plan.id }, key:, class_id: term.class_id)
          end

          # @param job [Store::Rows::Job]
          # @return [Hash] what was told of the plan; it is kept with it
          def forecast(store, job)
            planning = of(store, job)
            planning.forecast(store.terms.find_plan(job.about[:plan_id]))
          end

          # @return [Array<Hash>]
          def suggestions(store, job)
            of(store, job).interventions { |done, all| store.jobs.change(job.id, done:, of: all) }.map { |help| TermView.help(help) }
          end

          private

          def of(store, job)
            term = store.terms.find(job.about[:term_id])
            TermPlanning.new(store, term, now: Clock.iso8601)
          end
        end
      end
    end
  end
end
