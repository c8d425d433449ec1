# frozen_string_literal: true

require "fileutils"
require "monitor"

module Vantick
  module Server
    module Store
      # One SQLite file, and what is kept in it.
      class Database
        MIGRATIONS = File.join(ROOT, "db/migrations")

        # Writers of this process wait for each other here, which costs less than asking SQLite again and again.
        module OneWriter
          def one_writer = @one_writer ||= Monitor.new

          def transaction(...) = one_writer.synchronize { super }
        end

        # @return [Sequel::Database]
        attr_reader :db

        # @param path [String] the file; made where it is missing
        # @return [Database] brought up to the newest migration
        def self.open(path)
          FileUtils.mkdir_p(File.dirname(path))
          new(Sequel.connect(adapter: "sqlite", database: path, max_connections: 8, after_connect: method(:prepare)))
        end

        # Writers of other processes are waited for in short sleeps: SQLite's own waiting gave "database is locked" under
        # four writers.
        def self.prepare(connection)
          connection.busy_handler do |tries|
            sleep 0.001
            tries < 5000
          end
          connection.execute("PRAGMA journal_mode = WAL")
          connection.execute("PRAGMA foreign_keys = ON")
          connection.execute("PRAGMA synchronous = FULL")
        end
        private_class_method :prepare

        def initialize(database)
          @db = database.extend(OneWriter)
          db.one_writer
          db.transaction_mode = :immediate
          # SQLite's own moments, which Rodauth's tables hold, are in it.
          Sequel.default_timezone = :utc
          Sequel.extension :migration
          Sequel::Migrator.run(db, MIGRATIONS)
        end

        # @return [Teachers]
        def teachers = Teachers.new(db)

        # @return [Classes]
        def classes = Classes.new(db)

        # @return [Desks]
        def desks = Desks.new(db)

        # @return [Turns]
        def turns = Turns.new(db)

        # @return [Keys]
        def keys = Keys.new(db)

        # @return [Checks]
        def checks = Checks.new(db)

        # @return [Lessons]
        def lessons = Lessons.new(db)

        # @return [Answers]
        def answers = Answers.new(db)

        def close = db.disconnect
      end
    end
  end
end
