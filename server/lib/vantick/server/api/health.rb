# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # Whether Vantick is there. Answered before anything is asked of the database, so that it is also said while that is held.
      class Health < Base
        get("/api/health") { answer_json({ status: "ok", version: Core::VERSION }) }
      end
    end
  end
end
