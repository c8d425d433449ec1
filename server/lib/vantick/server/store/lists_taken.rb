# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Lists of children that were taken into a class, each with what the class was before. The last one can be taken back.
      class ListsTaken
        # Days for which a list can be taken back (as with what was removed).
        DAYS = Trash::DAYS
        KEPT = %i[id name source_id left_at].freeze

        def initialize(database)
          @db = database
          @register = Register.new(database)
        end

        # All of a list or nothing. What was before is kept, so that it can come back.
        # @param change [Hash] `names` and `ids` by child, `back` and `gone` as ids of children, and `added`, an id and a name each
        # @param at [String]
        def take(class_id, change, at)
          @db.transaction do
            before = JSON.generate(@register.everybody(class_id).map { |child| child.slice(*KEPT) })
            @register.rename_all(change[:names])
            change[:back].each { |id| @register.leave(id, nil) }
            change[:gone].each { |id| @register.leave(id, at) }
            @register.keep_ids(change[:ids])
            @db[:lists_taken].insert(class_id:, before:, added: JSON.generate(add(class_id, change[:added], at)), taken_at: at)
          end
        end

        # @return [Array<Hash>] the last one first: `id`, `taken_at`, `added` (how many came), `last` (whether it can be taken back now)
        def all(class_id)
          rows = @db[:lists_taken].where(class_id:).reverse(:id).select(:id, :taken_at, :added).all
          rows.each_with_index.map { |row, at| { **row, added: JSON.parse(row[:added]).length, last: at.zero? } }
        end

        # Names, ids, and who is here are as before. Who came with the list goes; whoever has answered since leaves, with the answers.
        # @param at [String]
        # @raise [Missing]
        # @raise [Core::Error] where a later list has to be taken back first
        def take_back(class_id, id, at)
          @db.transaction do
            row = @db[:lists_taken].first(id:, class_id:) || raise(Missing.new("list", id, field: "list_id"))
            later = @db[:lists_taken].where(class_id:).where { self.id > id }.any?
            raise Core::Error.new("Another list was added after this one. Undo that one first.", field: :list_id) if later

            send_away(JSON.parse(row[:added]), at)
            put_back(class_id, JSON.parse(row[:before], symbolize_names: true))
            @db[:lists_taken].where(id:).delete
          end
        end

        # @param now [Time]
        def forget_old(now)
          oldest = (now - (DAYS * 86_400)).utc.iso8601
          @db[:lists_taken].where { taken_at < oldest }.delete
        end

        private

        # @return [Array<Integer>] the ids of who has come
        def add(class_id, added, at)
          @register.add(class_id, added.map(&:last), at)
          ids = @register.everybody(class_id).last(added.length).map { |child| child[:id] }
          @register.keep_ids(ids.zip(added.map(&:first)).to_h.compact)
          ids
        end

        def send_away(ids, at)
          answered = @db[:answers].where(child_id: ids).distinct.select_map(:child_id)
          ChildPlaces.erase(@db, ids - answered)
          names = @db[:children].where(id: answered).select_hash(:id, :name)
          @register.rename_all(names.to_h { |id, name| [id, "#{name[0, 14]} (from a list #{id})"] })
          answered.each { |id| @register.leave(id, at) }
        end

        # A name that somebody was given since is theirs.
        def names_back(class_id, before)
          others = @db[:children].where(class_id:).exclude(id: before.map { |child| child[:id] }).select_map(:name)
          others.map! { |name| Core::Wording::ChildNames.folded(name) }
          before.to_h do |child|
            taken = others.include?(Core::Wording::ChildNames.folded(child[:name]))
            [child[:id], taken ? "#{child[:name][0, 20]} (#{child[:id]})" : child[:name]]
          end
        end

        # Children who went to another class meanwhile stay there as they are.
        def put_back(class_id, before)
          here = @db[:children].where(class_id:).select_map(:id)
          before = before.select { |child| here.include?(child[:id]) }
          @register.rename_all(names_back(class_id, before))
          before.each { |child| @db[:children].where(id: child[:id]).update(child.slice(:source_id, :left_at)) }
        end
      end
    end
  end
end
