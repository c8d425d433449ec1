# frozen_string_literal: true

require "fileutils"

module Vantick
  module Server
    module Store
      # One SQLite file, and what is kept in it.
      class Database
        MIGRATIONS = File.join(ROOT, "db/migrations")

        # Seconds that one start waits for another's migrations (judgement).
        PATIENCE = 20
        # Connections: as many as there are threads, and some for what runs beside requests.
        CONNECTIONS = 18

        # @return [Sequel::Database]
        attr_reader :db
        # @return [String] the file
        attr_reader :path

        # @param path [String] the file; made where it is missing
        # @param loggers [Array<#info, #error>] told of every statement
        # @return [Database] brought up to the newest migration
        # @raise [Unusable]
        def self.open(path, loggers: [])
          hold = FileLock.shared(path)
          SchoolFile.prepare(path)
          new(connect(path, loggers), path, hold)
        rescue Unusable
          hold&.close
          raise
        rescue Sequel::Error, SQLite3::Exception, SystemCallError => e
          hold&.close
          raise Unusable.new(SchoolFile.why(e) || raise, path)
        end

        def self.connect(path, loggers)
          database = nil
          # The package would remember each file that was ever opened.
          database = Sequel.connect(adapter: "sqlite", database: path, max_connections: CONNECTIONS, loggers:, test: false,
                                    keep_reference: false, after_connect: ->(connection) { prepare(connection, database) })
          # By itself the package keeps moments of sign-ins as clocks on the wall show them, which go back once a year.
          database.current_timestamp_utc = true
          database.extend(WriteSerializer)
        end
        private_class_method :connect

        # Writers of other processes are waited for in short sleeps: SQLite's own waiting gave "database is locked" under
        # four writers.
        def self.prepare(connection, database)
          connection.busy_handler { |tries| database.wait_for_file(tries) }
          log_ahead(connection)
          connection.execute("PRAGMA foreign_keys = ON")
          connection.execute("PRAGMA synchronous = FULL")
          # What is deleted is overwritten.
          connection.execute("PRAGMA secure_delete = ON")
        end
        private_class_method :prepare

        # Of several starts at once one turns the file over to a log, and SQLite does not let the others wait for that.
        def self.log_ahead(connection)
          ends = WriteSerializer.now + PATIENCE
          begin
            connection.execute("PRAGMA journal_mode = WAL")
          rescue SQLite3::BusyException
            raise if WriteSerializer.now > ends

            sleep 0.02
            retry
          end
        end
        private_class_method :log_ahead

        # @param database [Sequel::Database]
        # @param path [String]
        # @param hold [FileLock]
        def initialize(database, path, hold)
          @path = path
          @hold = hold
          @db = database
          # SQLite's own moments, which Rodauth's tables hold, are in it.
          Sequel.default_timezone = :utc
          db.transaction_mode = :immediate
          db.with_patience(PATIENCE) { SchoolFile.bring_up(db, path) }
          fold_in
        rescue StandardError
          database.disconnect
          raise
        end

        # @return [Teachers]
        def teachers = Teachers.new(db)

        # @return [Classes]
        def classes = Classes.new(db)

        # @return [Register]
        def register = Register.new(db)

        # @param classes [Array<Rows::SchoolClass>]
        # @return [Search]
        def search(classes) = Search.new(db, classes)

        # @return [KeptGroups]
        def kept_groups = KeptGroups.new(db)

        # @return [Boards]
        def boards = Boards.new(db)

        # @return [TeacherJudgements]
        def teacher_judgements = TeacherJudgements.new(db)

        def away = Away.new(db)

        # @return [Stacks]
        def stacks = Stacks.new(db)

        # @return [Terms]
        def terms = Terms.new(db)

        # @return [Scans]
        def scans = Scans.new(db, path)

        # @return [Uploads]
        def uploads = Uploads.new(db, scans)

        # @return [School]
        def school = School.new(db)

        # @return [Shares]
        def shares = Shares.new(db)

        # @return [Trash]
        def removed = Trash.new(db)

        # @return [Journal]
        def journal = Journal.new(db)

        # @return [Jobs]
        def jobs = Jobs.new(db)

        # @return [ListsTaken]
        # @return [Retention]
        def retention = Retention.new(db)

        # @return [SupportPlans]
        def support_plans = SupportPlans.new(db)

        # @return [SchoolRosters]
        def school_rosters = SchoolRosters.new(db)

        # @return [CalendarAddresses]
        def calendar_addresses = CalendarAddresses.new(db)

        # @return [AccessTokens]
        def access_tokens = AccessTokens.new(db)

        # @return [AnswerImports]
        def answer_imports = AnswerImports.new(db)

        def lists_taken = ListsTaken.new(db)

        # @return [Desks]
        def desks = Desks.new(db)

        # @return [Pieces]
        def pieces = Pieces.new(db)

        # @return [OwnWords]
        def own_words = OwnWords.new(db)

        # @return [OwnDigits]
        def own_digits = OwnDigits.new(db)

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

        # What lies in the log beside the file goes into it, so that whoever copies the file alone has nearly everything.
        def fold_in
          db.run("PRAGMA wal_checkpoint(PASSIVE)")
        end

        def close
          db.disconnect
          @hold.close
        end
      end
    end
  end
end
