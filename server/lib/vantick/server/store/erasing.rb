# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Children and classes are taken out of a database: the school's file, or a copy of it that an older Vantick may have made.
      class Erasing
        # What a file is called that was called after a child.
        FILE_NAME = "paper"
        # Files that were not read to their end, and pages of which nobody knows whose they are.
        UNREAD = %w[coming waiting reading].freeze
        UNKNOWN = %w[unfound unnamed refused].freeze

        # @param database [Sequel::Database]
        def initialize(database)
          @db = database
        end

        # @param ids [Array<Integer>]
        # @return [Array<Integer>] pages of other children that lay in one picture with these: they are to be cut
        def erase_children(ids)
          @db.transaction do
            shared = papers? ? paper(ids) : []
            ChildPlaces.erase(@db, ids)
            remember("child", ids)
            shared
          end
        end

        # @param id [Integer] of a child
        # @return [String] what it is called once its name is gone
        def self.nameless(id) = "Child #{id}"

        # Answers stay, and nobody knows whose they are. What could bring a name back goes as well.
        # @param ids [Array<Integer>]
        # @return [Array<Integer>] no page is to be cut
        def take_names(ids)
          @db.transaction do
            children = @db[:children].where(id: ids)
            classes = children.distinct.select_map(:class_id)
            rename(classes, ids, []) if papers?
            forget_lists(classes, ids)
            children.select_map(:id).each { |id| @db[:children].where(id:).update(unnamed(id)) }
            remember("name", ids)
            []
          end
        end

        # @param ids [Array<Integer>]
        # @return [Integer] how many of them have a name yet
        def named(ids) = @db[:children].where(id: ids).select_map(%i[id name]).count { |id, name| name != Erasing.nameless(id) }

        # A class, with its children and all that is its own.
        # @param id [Integer]
        # @return [Array<Integer>] pages that are to be cut
        def erase_class(id)
          @db.transaction do
            shared = erase_children(@db[:children].where(class_id: id).select_map(:id))
            ClassRows::ALL.each { |place| place.delete(@db, id) if place.in?(@db) }
            ClassRows.unname(@db, id)
            remember("class", [id])
            shared.empty? ? shared : shared & @db[:scan_pages].select_map(:id)
          end
        end

        # @return [Hash{String => Array<Integer>}] ids of what was erased, by kind; ids alone are kept
        def erased
          @db.table_exists?(:erased) ? @db[:erased].order(:thing_id).select_hash_groups(:kind, :thing_id) : {}
        end

        # @param found [Hash{String => Array<Integer>}] of another file of this school
        def erase_again(found)
          ids = found.fetch("child", [])
          shared = erase_children(ids)
          take_names(found.fetch("name", []))
          found.fetch("class", []).each { |id| erase_class(id) }
          shared
        end

        # Nothing of what was erased lies in what it left free, nor in the log beside the file.
        # @return [Boolean] false where somebody still reads what was there: to be tried again
        def rewrite
          @db.run("VACUUM")
          @db.fetch("PRAGMA wal_checkpoint(TRUNCATE)").first.fetch(:busy).zero?
        end

        private

        # Only the columns that this file has: it may be an older Vantick's.
        def unnamed(id)
          { name: Erasing.nameless(id), source_id: nil, pictures: nil, adjustments: nil }.slice(*@db[:children].columns)
        end

        def forget_lists(classes, ids)
          @db[:lists_taken].where(class_id: classes).delete if @db.table_exists?(:lists_taken)
          return unless @db.table_exists?(:school_rosters)

          rows = @db[:school_rosters].select_map(%i[id moves])
          named = rows.select { |_, moves| JSON.parse(moves, symbolize_names: true).any? { |child| ids.include?(child[:id]) } }
          @db[:school_rosters].where(id: named.map(&:first)).delete
        end

        def papers? = @db.table_exists?(:scan_pages)

        # Files and pages that may be of these children, and what files are called.
        def paper(ids)
          pages = @db[:scan_pages].where(child_id: ids)
          classes = @db[:children].where(id: ids).distinct.select_map(:class_id)
          rename(classes, ids, pages.distinct.select_map(:scan_id))
          shared = others_beside(pages, ids)
          Scans.rows(@db, @db[:scans].where(class_id: classes, state: UNREAD)).each(&:delete)
          unknown = @db[:scan_pages].where(scan_id: @db[:scans].where(class_id: classes).select(:id), state: UNKNOWN)
          @db[:scan_pieces].where(scan_page_id: unknown.select(:id)).delete
          unknown.delete
          shared
        end

        # Pages of others in the pictures that show these children's paper as well.
        def others_beside(pages, ids)
          places = pages.select_map(%i[scan_id number])
          return [] if places.empty?

          beside = @db[:scan_pages].where(%i[scan_id number] => places).exclude(picture: nil)
          beside.where(Sequel.|({ child_id: nil }, Sequel.~(child_id: ids))).select_map(:id)
        end

        def rename(classes, ids, scans)
          names = @db[:children].where(id: ids).select_map(:name).map { |name| folded(name) }
          @db[:scans].where(class_id: classes).select_map(%i[id name]).each do |id, name|
            next unless scans.include?(id) || names.any? { |child_name| folded(name).include?(child_name) }

            @db[:scans].where(id:).update(name: "#{FILE_NAME}#{File.extname(name)[/\A\.\w{1,4}\z/]}")
          end
        end

        def remember(kind, ids)
          return unless @db.table_exists?(:erased)

          rows = ids.map { |thing_id| { kind:, thing_id:, erased_at: Clock.iso8601 } }
          @db[:erased].insert_conflict.multi_insert(rows)
        end

        def folded(name) = Core::Wording::ChildNames.folded(name)
      end
    end
  end
end
