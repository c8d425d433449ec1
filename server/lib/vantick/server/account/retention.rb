# frozen_string_literal: true

module Vantick
  module Server
    module Account
      # How long records are kept, for whoever keeps the school: it is set here, and whoever is over time goes where somebody says so.
      class Retention < Handler
        # What becomes of the records, each by the kind of job that does it.
        HOW = { "erase" => "children", "nameless" => "names" }.freeze

        def read_retention = summary

        def set_retention
          keepers_only
          store.retention.keep_for(body.years)
          summary
        end

        def apply_retention
          keepers_only
          ids = due.map { |child| child[:id] }
          unfit("No records are over time.", :how) if ids.empty?
          Work::Erasure.begin(store, HOW.fetch(body.how), ids)
          summary
        end

        private

        def summary
          keepers_only
          { years: store.retention.years, choices: Store::Retention::CHOICES.to_a,
            due: { children: due.length, classes: due.map { |child| child[:class_id] }.uniq.length,
                   last: due.map { |child| child[:last] }.max } }
        end

        def due = store.retention.due(Date.jd(Store::SchoolDay.today))
      end
    end
  end
end
