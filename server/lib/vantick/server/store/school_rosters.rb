# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Lists of the whole school that were taken, all of each or nothing. The last one can be taken back.
      class SchoolRosters
        # Days for which one can be taken back (as with what was removed).
        DAYS = Trash::DAYS
        MOVED = %i[id name class_id left_at joined_at].freeze

        def initialize(database)
          @db = database
          @register = Register.new(database)
          @lists = ListsTaken.new(database)
        end

        # @return [Array<Hash>] classes of the school: `id`, `name`, `school`, `source_id`, `account_id`, `archived`
        def classes
          @db[:classes].exclude(name: ClassRows::UNNAMED[:name]).order(:id).map do |row|
            { **row.slice(:id, :name, :school, :source_id, :account_id), archived: !row[:archived_at].nil? }
          end
        end

        # @param parts [Array<Hash>] of each class `class_id` (nothing for a new one), `new` (name, school, account_id, conventions),
        #   `source_id`, `movers` (ids of children) and `change` as for {ListsTaken#take}
        # @param at [String]
        def take(parts, at)
          @db.transaction do
            made = []
            whole = parts.map { |part| part[:class_id] ? part : { **part, class_id: make(part[:new], at).tap { |id| made << id } } }
            moves = whole.flat_map { |part| move(part[:movers], part[:class_id], at) }
            lists = whole.to_h { |part| [part[:class_id], list(part, at)] }
            @db[:school_rosters].insert(moves: JSON.generate(moves), lists: JSON.generate(lists), made: JSON.generate(made), taken_at: at)
          end
        end

        # @return [Array<Hash>] the last one first: `id`, `taken_at`, `moved`, `classes`, `made`, `last`
        def all
          @db[:school_rosters].reverse(:id).each_with_index.map do |row, at|
            moves, lists, made = row.values_at(:moves, :lists, :made).map { |text| JSON.parse(text).length }
            { id: row[:id], taken_at: row[:taken_at], moved: moves, classes: lists, made:, last: at.zero? }
          end
        end

        # Every class is as before. Who moved goes back, unless somebody moved the child on; a class that was made for it goes where
        # nothing happened in it, and is put away otherwise.
        # @param at [String]
        # @raise [Missing]
        # @raise [Core::Error] where something later has to be taken back first
        def take_back(id, at)
          @db.transaction do
            row = @db[:school_rosters].first(id:) || raise(Missing.new("list", id, field: "school_list_id"))
            later = @db[:school_rosters].where { self.id > id }.any?
            raise Core::Error.new("Another list was added after this one. Undo that one first.", field: :school_list_id) if later

            undo(row, at)
            @db[:school_rosters].where(id:).delete
          end
        end

        # @param now [Time]
        def forget_old(now)
          oldest = (now - (DAYS * 86_400)).utc.iso8601
          @db[:school_rosters].where { taken_at < oldest }.delete
        end

        private

        def undo(row, at)
          back(JSON.parse(row[:moves], symbolize_names: true))
          lists = JSON.parse(row[:lists]).select { |_, list_id| @db[:lists_taken].first(id: list_id) }
          lists.each { |class_id, list_id| @lists.take_back(class_id.to_i, list_id, at) }
          JSON.parse(row[:made]).each { |class_id| unmake(class_id, at) }
        end

        def make(new, at) = Classes.new(@db).add(**new, names: [], made_at: at).id

        # @return [Array<Hash>] where each was before
        def move(ids, class_id, at)
          before = @db[:children].where(id: ids).order(:id).map { |row| row.slice(*MOVED) }
          before.each { |row| put(row, class_id, joined_at: at, left_at: nil) }
          before.map { |row| { **row, to: class_id } }
        end

        def list(part, at)
          Classes.new(@db).known_as(part[:class_id], part[:source_id]) if part[:source_id]
          @lists.take(part[:class_id], part[:change], at)
        end

        def back(moves)
          moves.each do |moved|
            next unless @db[:children].first(id: moved[:id], class_id: moved[:to]) && @db[:classes].first(id: moved[:class_id])

            put(moved, moved[:class_id], **moved.slice(:joined_at, :left_at))
          end
        end

        # By its own name, unless somebody in the class is called so.
        def put(child, class_id, joined_at:, left_at:)
          name = Core::Wording::ChildNames.apart(child[:name], @register.named(class_id).keys)
          @db[:children].where(id: child[:id]).update(name: "\uF8FF#{child[:id]}")
          @register.move(child[:id], class_id, joined_at)
          @db[:children].where(id: child[:id]).update(name:, left_at:)
        end

        def unmake(class_id, at)
          used = %i[children checks lessons desks].any? { |table| @db[table].where(class_id:).any? }
          used ? Classes.new(@db).archive(class_id, at) : ClassRows::ALL.each { |place| place.delete(@db, class_id) }
        end
      end
    end
  end
end
