# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Paper that is read: the files as they come in, their pages and the pieces with an answer on each.
      class Scans
        # Still coming in; waiting for its turn; being read; read; stopped by a person; not readable.
        STATES = %w[coming waiting reading read stopped failed].freeze
        # Read; read before; no code found; of another class or school; without a child.
        PAGE_STATES = %w[read twice unfound refused unnamed].freeze
        # Days for which pictures of pages are kept (rules of the house: no longer than they are needed).
        DAYS = 30
        # Days after which a file counts as given up that did not come whole.
        DAYS_COMING = 1
        PAGE = %i[id scan_id number state words check_id child_id page corners].freeze

        # @param database [Sequel::Database]
        # @param path [String] of the school's file: what comes in lies beside it until it is read
        def initialize(database, path)
          @db = database
          @folder = File.join(File.dirname(path), "paper")
        end

        # @return [Rows::Scan]
        def add(class_id:, name:, bytes:, made_at:)
          find(@db[:scans].insert(class_id:, name:, bytes:, made_at:, state: "coming"))
        end

        # @return [Rows::Scan]
        # @raise [Missing]
        def find(id) = Rows::Scan.of(@db[:scans].first(id:) || raise(Missing.new("file", id, field: "scan_id")))

        # @return [Array<Rows::Scan>] the last one first
        def of_class(class_id) = @db[:scans].where(class_id:).reverse(:id).map { |row| Rows::Scan.of(row) }

        # @return [String] where files lie until they are read
        attr_reader :folder

        # @return [String] where the file lies
        def file(id) = File.join(@folder, id.to_s)

        # @return [Hash, nil] the sheet of the stack that the demo class comes with, where there is one
        def made_up
          about = File.join(@folder, "made-up.json")
          JSON.parse(File.read(about), symbolize_names: true) if File.exist?(about)
        end

        # @return [Rows::Scan] of the made-up stack, waiting for its turn
        def take_made_up(class_id, made_at)
          stack = File.join(@folder, "made-up.pdf")
          bytes = File.size(stack)
          scan = add(class_id:, name: File.basename(stack), bytes:, made_at:)
          FileUtils.cp(stack, file(scan.id))
          update(scan.id, received: bytes, state: "waiting")
        end

        # @return [Rows::Scan]
        def update(id, **changes)
          @db[:scans].where(id:).update(changes)
          find(id)
        end

        # @return [Rows::Scan, nil] the next that waits; what was begun before a fall goes first
        def next_waiting
          row = @db[:scans].where(state: %w[reading waiting]).order(:state, :id).first
          row && update(row[:id], state: "reading")
        end

        # @return [Boolean] whether there is one to read
        def waiting? = !@db[:scans].where(state: %w[reading waiting]).empty?

        # @return [Integer] pages of a file that are done
        def done(id) = @db[:scan_pages].where(scan_id: id).max(:number).to_i

        # A page with its pieces and their answers, all or nothing.
        # @param pages [Array<Hash>] of one page of the file, each with its `pieces`
        # @yield within the same transaction
        # @return [Array<Integer>] their ids
        def add_pages(scan_id, pages)
          @db.transaction do
            next [] if @db[:scans].where(id: scan_id, state: "reading").empty?

            ids = pages.map { |page| add_page(scan_id, page) }
            yield if block_given?
            ids
          end
        end

        # @return [Array<Rows::ScanPage>]
        def pages(scan_id) = @db[:scan_pages].where(scan_id:).order(:number, :id).select(*PAGE).map { |row| Rows::ScanPage.of(row) }

        # @return [Rows::ScanPage]
        # @raise [Missing]
        def page(id)
          Rows::ScanPage.of(@db[:scan_pages].select(*PAGE).first(id:) || raise(Missing.new("page", id, field: "scan_page_id")))
        end

        # @param check_ids [Array<Integer>]
        # @return [Array<Integer>] children of whom some paper was read, in whichever file
        def children_of(check_ids) = @db[:scan_pages].where(check_id: check_ids, state: "read").distinct.select_map(:child_id)

        # @return [Boolean] whether a child's page of a check was read before
        def read?(check_id, child_id, page) = @db[:scan_pages].where(check_id:, child_id:, page:, state: "read").any?

        # Names a page, or takes it in the place of the one read before, whose pieces go.
        # @param pieces [Array<Hash>]
        def name_page(id, check_id:, child_id:, page:, pieces:)
          @db.transaction do
            older = @db[:scan_pages].where(check_id:, child_id:, page:, state: "read").select(:id)
            @db[:scan_pieces].where(scan_page_id: older).delete
            @db[:scan_pages].where(id: older).exclude(id:).update(state: "twice")
            @db[:scan_pieces].where(scan_page_id: id).delete
            @db[:scan_pages].where(id:).update(state: "read", words: "", check_id:, child_id:, page:)
            @db[:scan_pieces].multi_insert(pieces.map { |piece| { **piece, scan_page_id: id } })
            yield if block_given?
          end
        end

        # A page that could not be read before, read again.
        # @param page [Rows::ScanPage]
        # @param pages [Array<Hash>] as for {#add_pages}
        # @yield within the same transaction
        def replace_page(page, pages)
          @db.transaction do
            @db[:scan_pieces].where(scan_page_id: page.id).delete
            @db[:scan_pages].where(id: page.id).delete
            pages.each { |added| add_page(page.scan_id, added) }
            yield
          end
        end

        def transaction(&) = @db.transaction(&)

        # @param table [Symbol] `:scan_pages` or `:scan_pieces`
        # @return [String, nil]
        def picture(table, id) = @db[table].where(id:).get(:picture)

        # A file and all of its pictures; what was read of it stays among the answers.
        def remove(id)
          @db.transaction { Scans.rows(@db, @db[:scans].where(id:)).each(&:delete) }
          FileUtils.rm_f(file(id))
        end

        # Pictures that were kept long enough, and files that never came whole.
        # @param now [Time]
        def forget_old(now)
          before = ->(days) { (now.utc - (days * 86_400)).iso8601 }
          old = @db[:scans].where { made_at < before[DAYS] }.select_map(:id)
          half = @db[:scans].where(state: "coming").where { made_at < before[DAYS_COMING] }.select_map(:id)
          (old | half).each { |id| remove(id) }
        end

        # @return [Array<Sequel::Dataset>] what belongs to files, the farthest first
        def self.rows(database, scans)
          [*%i[scan_pieces scan_pages].map { |table| Ownership.rows(database, table, :scans, scans) }, scans]
        end

        private

        def add_page(scan_id, page)
          row = page.slice(:number, :state, :words, :check_id, :child_id, :page, :picture)
          corners = page[:corners] && JSON.generate(page[:corners])
          id = @db[:scan_pages].insert(**row, picture: row[:picture] && Sequel.blob(row[:picture]), corners:, scan_id:)
          @db[:scan_pieces].multi_insert(page.fetch(:pieces, []).map { |piece| { **piece, scan_page_id: id } })
          id
        end
      end
    end
  end
end
