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
        # @return [Array<Rows::SchoolClass>] newest first, each with its children
        def all(of: nil)
          classes = @db[:classes].where(of ? { account_id: of } : true).reverse(:id).limit(LIMIT).all
          ids = classes.map { |row| row[:id] }
          children = @db[:children].where(class_id: ids).order(:class_id, :position).all.group_by { |row| row[:class_id] }
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

        # @return [Array<Rows::Child>] in the order of the register
        def children(class_id) = @db[:children].where(class_id:).order(:position).map { |row| Rows::Child.of(row) }

        # @param names [Array<String>] first names or aliases
        # @param account_id [Integer, nil] whose it is; nothing for whoever comes first
        # @return [Rows::SchoolClass] the class made
        def add(name:, school:, names:, made_at:, made_up: false, account_id: nil)
          @db.transaction do
            id = @db[:classes].insert(name:, school:, made_up: made_up ? 1 : 0, made_at:, account_id:)
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

        private

        def described(row, children)
          kept = JSON.parse(row[:conventions], symbolize_names: true)
          Rows::SchoolClass.of(row, made_up: row[:made_up] == 1, conventions: Core::Wording::Conventions.new(**kept).to_h.freeze,
                                    children: children.map { |child| child.slice(:id, :name).freeze }.freeze)
        end
      end
    end
  end
end
