# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Children at desks come first, and whoever signs in. Whatever else is asked has a few places at a time, waits for one of them no
      # longer than a moment, and gives way while it is worked on.
      class Lanes
        FIRST = %r{\A/api/(desk|session)(/|\z)}
        # Pages and their files are sent, and work out nothing; that Vantick is there is always said.
        API = %r{\A/api/(?!health\z)}
        # Requests of desks that are worked on at once: Ruby runs one at a time, and with thirty at once all of them took seconds (measured
        # with `bin/bench load_p95`).
        DESKS = 5
        # The same of teachers, and those that wait for it (judgement: four pages that open at once, six each); what comes beyond is asked
        # to come again.
        PLACES = 2
        WAITING = 24
        # Seconds that one waits (judgement: a page asks again by itself).
        PATIENCE = 10
        # How much a teacher's request gives way: a desk's turn comes after a quarter of the time.
        GIVES_WAY = -3
        FULL = "Vantick is busy right now. Try again in a moment."

        def initialize(app)
          @app = app
          @desks = Lane.new(DESKS, waiting: Float::INFINITY, patience: PATIENCE)
          @teachers = Lane.new(PLACES, waiting: WAITING, patience: PATIENCE)
        end

        def call(env)
          path = env["PATH_INFO"].to_s
          return @app.call(env) unless path.match?(API)

          path.match?(FIRST) ? within(@desks, env, 0) : within(@teachers, env, GIVES_WAY)
        end

        # @return [Hash{Symbol => Integer}] requests that wait now, of desks and of teachers
        def waiting = { desks: @desks.waiting, teachers: @teachers.waiting }

        private

        def within(lane, env, priority)
          return Problem.new(503, FULL).to_a.tap { |_, headers, _| headers["retry-after"] = "1" } unless lane.take

          begin
            Thread.current.priority = priority
            @app.call(env)
          ensure
            Thread.current.priority = 0
            lane.give_back
          end
        end
      end
    end
  end
end
