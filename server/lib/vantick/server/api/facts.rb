# frozen_string_literal: true

require "digest"

module Vantick
  module Server
    module Api
      # What core knows by itself: the table of 720 times, and the catalogue of steps and misreadings.
      class Facts < Base
        # @param conventions [Core::Conventions]
        # @return [String] the table of 720 as JSON
        def self.dial(conventions)
          JSON.generate(times: Core::DialTime.all.map do |time|
            { **Core::DialFacts.of(time, conventions), sentences: Core::TalkThrough.sentences(time, conventions) }
          end)
        end

        # Made once: they change only with a release.
        DIAL = dial(Core::Conventions.default).freeze
        CATALOGUE = JSON.generate(
          most_items: Checks::MOST_ITEMS,
          steps: Core::Step.reading.map { |step| { id: step.id, name: step.name, times: step.pool.length } },
          tasks: Core::Task.with_dial.map { |task| { id: task.id, name: task.name, notation: task.notation } },
          misreadings: Core::Misreading.all.map { |misreading| { id: misreading.id, **misreading.texts } },
          lenses: Core::DataFile.entries("lenses", required: %i[id name shows])
        ).freeze

        get("/api/health") { answer_json({ status: "ok", version: Core::VERSION }) }
        get("/api/dial") { unchanging(input[:conventions] ? Facts.dial(Core::Conventions.parse(input[:conventions])) : DIAL) }
        get("/api/catalogue") { unchanging(CATALOGUE) }

        private

        def unchanging(json)
          cache_control :no_cache
          etag Digest::SHA256.hexdigest(json)[0, 16], kind: :weak
          content_type :json
          json
        end
      end
    end
  end
end
