# frozen_string_literal: true

require "json"
require "logger"
require "time"
require "openapi_first"
require "rack"
require "rack/deflater"
require "sequel"
require "sqlite3"
require "sinatra/base"
require "vantick/core"

module Vantick
  # The way from the browser to the core and the store: a JSON API described by openapi.yaml.
  module Server
    ROOT = File.expand_path("../..", __dir__)
    Sequel.extension :migration

    # Bytes from which a response is sent deflated: below, it costs more than it saves.
    WORTH_DEFLATING = 4096

    LOADER = Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "vantick-server"
      loader.push_dir("#{__dir__}/server", namespace: Server)
      # A class of children; Ruby has a Class of its own.
      loader.inflector.inflect("class" => "Classes")
      loader.setup
    end

    # What the contract's operations do, by subject.
    HANDLERS = lambda do
      [Account::Copies, Account::Report, Account::Retention, Account::School, Account::Teachers,
       Check::Answers, Check::Checks, Check::Imports, Check::Package, Check::Packages,
       Classes::Behind, Classes::ChildFiles, Classes::Children, Classes::Presence, Classes::Records, Classes::Registers,
       Classes::Removals, Classes::Results, Classes::Rosters, Classes::SchoolRosters, Classes::Searches, Classes::Sharing,
       Classes::Supports, Classes::Tokens, Classes::TypedNames,
       Desk::Tasks, Desks::OpenDesks, Paper::Pictures, Paper::Pieces, Paper::Scans,
       Plan::Boards, Plan::Calendar, Plan::CalendarAddresses, Plan::Lessons, Plan::Terms,
       Sheets::Papers, Sheets::Sheets, Show::Facts, Tomorrow::Day, Tomorrow::Printed]
    end

    # Jobs that a teacher waits for: a second worker does these alone.
    WAITED_FOR = %w[forecast helps].freeze

    # What is done beside requests, each kind of job by what does it.
    # @return [Hash{String => Proc}] of a store and a job; it gives the result
    def self.work
      @work ||= {
        Work::Erasure::KIND => ->(store, job) { Work::Erasure.new(store, job).run },
        Pages::Queue::KIND => ->(store, _) { Pages::Queue.new(store).run },
        Plan::TermJobs::FORECAST => ->(store, job) { Plan::TermJobs.forecast(store, job) },
        Plan::TermJobs::SUGGESTIONS => ->(store, job) { Plan::TermJobs.suggestions(store, job) }
      }.freeze
    end

    # What is made before anybody asks, at the start and as a day begins.
    # @param store [Store::Database]
    def self.make_ready(store) = Plan::Ladders.make_all(store)

    # @param store [Store::Database]
    # @param web [String] the folder of the built front end
    # @param proxies [Array<IPAddr>] whose word on where a request comes from counts
    # @param log [#puts] where mistakes of Vantick's own are written
    # @return [#call] the whole application
    def self.app(store:, web: File.expand_path("../web/dist", ROOT), proxies: Http::ClientAddress.proxies(ENV.fetch("VANTICK_PROXY", "")),
                 log: $stderr)
      # Before threads ask: what is loaded by two at once can wait for each other.
      [Core::LOADER, LOADER].each(&:eager_load)
      Rack::Builder.app do
        use Http::ErrorBoundary, log: log, busy: [Store::Busy]
        Server.front(self, web, proxies, Show::FirstAsked.new(store))
        Server.gate(self, store)
        use Http::ResponseCheck
        run Api.of(HANDLERS.call)
      end
    end

    # What every request meets, whoever asks.
    def self.front(builder, web, proxies, first_asked)
      builder.instance_exec do
        use Http::PlainHeaders
        use Rack::Deflater, if: ->(_env, _status, headers, _body) { !headers["content-length"].to_i.between?(1, WORTH_DEFLATING) }
        use Http::Headers
        use Http::ClientAddress, proxies
        use Http::BodyLimit
        use Http::WellFormed
        use Http::WebFiles, web, first_asked
        use Http::ContractFile
        use Http::Throttle.middleware
        use Http::Lanes
        use Http::SameOrigin
        use OpenapiFirst::Middlewares::RequestValidation, spec: Http::Contract.definition, error_response: Http::Refusal
      end
    end

    # Who asks, and whether they may. Whether Vantick is there is said before anything is looked up.
    def self.gate(builder, store)
      builder.instance_exec do
        use Http::Health
        use Access::WithStore, store
        use Access::SignIn.middleware(store)
        use Access::Guard
      end
    end
  end
end
