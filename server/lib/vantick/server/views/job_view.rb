# frozen_string_literal: true

module Vantick
  module Server
    module Views
      # What is worked on beside requests, as the contract describes it.
      module JobView
        JOB = %i[id kind state done of trouble changed_at].freeze

        class << self
          # @param store [Store::Database]
          # @param kind [String]
          # @param class_id [Integer, nil] of the school as a whole where there is none
          # @return [Hash] those that are not done, and the last one that is
          def jobs(store, kind, class_id:)
            last = store.jobs.last_done([kind], class_id:)
            { open: store.jobs.open([kind], class_id:).map { |job| job(job) }, last: last && job(last) }
          end

          private

          def job(job) = { **job.slice(*JOB), places: job.result.is_a?(Hash) ? job.result[:places] : nil }
        end
      end
    end
  end
end
