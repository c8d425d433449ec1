# frozen_string_literal: true

module Vantick
  module Server
    # The one application behind the gate: a route for each operation of the contract, answered by the handler that has a method of
    # its name. It turns what the handler returns into a response, and errors into problem details.
    class Api < Sinatra::Base
      # Who may, from where, and what a mistake of ours is told as: each stands in one place before this.
      CHANGED = "This lesson was changed in another window. Reload, then make your change again."

      disable :static, :logging, :dump_errors, :protection, :sessions
      set :show_exceptions, false
      set :raise_errors, true
      set :host_authorization, { permitted_hosts: [] }

      error(Http::Refused) { |e| respond(e.problem, e.headers) }
      error(Core::Error) { |e| problem(422, e.message, e.field, nearest: (e.nearest if e.is_a?(Core::InvalidCount))) }
      error(Store::Missing) { |e| problem(404, e.message, e.field) }
      error(Store::Answers::IdTaken) { problem(409, "This id was used for another answer.", :id) }
      error(Store::Turns::Answered) { problem(409, "This task is already answered. Go on to the next.", :turn_id) }
      error(Store::Lessons::ChangedMeanwhile) { problem(409, CHANGED, :version) }
      error(Sinatra::NotFound) { problem(404, Http::ErrorBoundary::GENERAL.fetch(404)) }
      error(Sinatra::BadRequest) { problem(400, Http::ErrorBoundary::UNCLEAR) }

      # @param handlers [Array<Class>] subclasses of `Handler`
      # @return [Class] the application
      def self.of(handlers)
        Class.new(self) do
          Http::Operation.all.each do |operation|
            handler = handlers.find { |known| known.answers?(operation) } or next
            public_send(operation.verb, operation.route) { answer(operation, handler) }
          end
        end
      end

      private

      def answer(operation, handler)
        found = handler.new(env, operation).public_send(operation.name)
        reply = found.is_a?(Http::Reply) ? found : Http::Reply.new(body: found)
        status(reply.status || operation.status)
        headers(reply.headers)
        content_type(operation.content_type(response.status))
        unchanged(reply.etag) if reply.etag
        reply.body.is_a?(String) ? reply.body : JSON.generate(reply.body)
      end

      # Asked for again each time, sent only where it is another.
      def unchanged(tag)
        cache_control :no_cache
        etag tag, kind: :weak
      end

      def problem(status, detail, field = nil, nearest: nil) = respond(Http::Problem.new(status, detail, field:, nearest:))

      def respond(problem, more = {})
        code, own, body = problem.to_a
        halt code, { **own, **more }, body
      end
    end
  end
end
