# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Classes and their children.
      class Classes
        LIMIT = 100

        def initialize(database)
          @db = database
        end

        # @param of [Integer, nil] a teacher's account; nothing for everybody's
        # @return [Array<Rows::SchoolClass>] newest first, those that were put away behind them, each with its children
        def all(of: nil)
          classes = listed(of).all
          ids = classes.map { |row| row[:id] }
          children = present.where(class_id: ids).order(:class_id, :position).all.group_by { |row| row[:class_id] }
          classes.map { |row| described(row, children.fetch(row[:id], [])) }
        end

        # @param id [Integer]
        # @return [Rows::SchoolClass]
        # @raise [Missing]
        def find(id)
          row = @db[:classes].first(id:) || raise(Missing.new("class", id))
          described(row, children(id))
        end

        # @param id [Integer]
        # @return [Rows::SchoolClass] none of its children among what is told
        # @raise [Missing]
        def plain(id) = described(@db[:classes].first(id:) || raise(Missing.new("class", id)), [])

        # @return [Rows::Child]
        # @raise [Missing]
        def child(id) = Rows::Child.of(@db[:children].first(id:) || raise(Missing.new("child", id)))

        # @return [Rows::Child] of this class, also one who left
        # @raise [Missing]
        def child_in(class_id, id) = child(id).tap { |found| raise Missing.new("child", id) unless found.class_id == class_id }

        # @return [Array<Rows::Child>] in the order of the register, without those who left
        def children(class_id) = present.where(class_id:).order(:position).map { |row| Rows::Child.of(row) }

        # @param names [Array<String>] first names or aliases
        # @param more [Hash] `account_id`, whose it is (without one it is for whoever comes first), `conventions` as plain data, and
        #   `made_up`, 1 where nobody is in it
        # @return [Rows::SchoolClass] the class made
        def add(name:, school:, names:, made_at:, **more)
          @db.transaction do
            more = { **more, conventions: JSON.generate(more.fetch(:conventions, {})) }
            id = @db[:classes].insert(name:, school:, made_at:, **more)
            rows = names.each_with_index.map { |child, position| { class_id: id, name: child, position: } }
            @db[:children].multi_insert(rows)
            find(id)
          end
        end

        # @param id [Integer]
        # @param changes [Hash] `conventions` and `day`, as plain data
        # @return [Rows::SchoolClass] the class as it is now
        # @raise [Missing]
        def change(id, **changes)
          @db[:classes].where(id:).update(changes.transform_values { |value| JSON.generate(value) })
          find(id)
        end

        # @param id [Integer]
        # @return [Core::Wording::Conventions]
        # @raise [Missing]
        def conventions(id) = plain(id).wording

        # @return [Core::Wording::Conventions, nil] those of most classes that are taught; nothing where there is no class
        def usual_conventions
          most, = @db[:classes].where(archived_at: nil).select_map(:conventions).tally.max_by(&:last)
          most && wording(most)
        end

        # @param account_id [Integer]
        # @return [Hash{Integer => Core::Wording::Conventions}] by class that a teacher works with, in the order of {#all}
        def wordings(account_id) = listed(account_id).select_hash(:id, :conventions).transform_values { |kept| wording(kept) }

        # @param name [String]
        # @param school [String, nil] as it is where left out
        # @return [Rows::SchoolClass]
        def rename(id, name:, school: nil)
          @db[:classes].where(id:).update(**{ name:, school: }.compact)
          find(id)
        end

        # @return [String, nil] the id of a class in the school's own system
        def source_id(id) = @db[:classes].where(id:).get(:source_id)

        # @param source_id [String] the id of the class in the school's own system
        def known_as(id, source_id) = @db[:classes].where(id:).update(source_id:)

        # @param at [String, nil] when it was put away; nothing to bring it back
        # @return [Rows::SchoolClass]
        def archive(id, at)
          @db[:classes].where(id:).update(archived_at: at)
          find(id)
        end

        # Children move up with their records, into a class that speaks as theirs did; the old one is put away.
        # @param old [Rows::SchoolClass]
        # @return [Rows::SchoolClass] the new one
        def next_year(old, name:, child_ids:, at:, account_id:)
          @db.transaction do
            made = add(name:, school: old.school, names: [], made_at: at, made_up: old.made_up, account_id:)
            change(made.id, conventions: old.conventions, day: old.day)
            child_ids.each { |id| Register.new(@db).move(id, made.id, at) }
            archive(old.id, at)
            find(made.id)
          end
        end

        private

        # Those that are taught, the newest first, and then those that were put away.
        def listed(account_id)
          shared = account_id && Shares.new(@db).of_account(account_id).keys
          found = @db[:classes].where(account_id ? Sequel.|({ account_id: }, { id: shared }) : true)
          found.order(Sequel.~(archived_at: nil), Sequel.desc(:id)).limit(LIMIT)
        end

        def wording(kept) = Core::Wording::Conventions.new(**JSON.parse(kept, symbolize_names: true))

        def present = @db[:children].where(left_at: nil)

        def described(row, children)
          kept = JSON.parse(row[:conventions], symbolize_names: true)
          Rows::SchoolClass.of(row, made_up: row[:made_up] == 1, archived: !row[:archived_at].nil?,
                                    conventions: Core::Wording::Conventions.new(**kept).to_h.freeze,
                                    children: children.map { |child| Rows::ChildName.of(child) }.freeze)
        end
      end
    end
  end
end
