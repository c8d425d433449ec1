# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Who is in a class: children come, leave, come back, move to another class with their record, or are erased.
      class Register
        def initialize(database)
          @db = database
        end

        # @param names [Array<String>] in the order in which they come after those there are
        # @param at [String] when they come
        def add(class_id, names, at)
          @db.transaction do
            last = @db[:children].where(class_id:).max(:position) || -1
            rows = names.each.with_index(last + 1).map { |name, position| { class_id:, name:, position:, joined_at: at } }
            @db[:children].multi_insert(rows)
          end
        end

        def rename(child_id, name) = @db[:children].where(id: child_id).update(name:)

        # @param at [String] when a child came into its class
        def joined(child_id, at) = @db[:children].where(id: child_id).update(joined_at: at)

        # @param adjustments [Core::Teaching::Adjustments]
        def adjust(child_id, adjustments)
          @db[:children].where(id: child_id).update(adjustments: adjustments.none? ? nil : JSON.generate(adjustments.to_h))
        end

        # @return [Core::Teaching::Adjustments] of a child
        def adjustments_of(child_id) = read_adjustments(@db[:children].where(id: child_id).get(:adjustments))

        # @return [Hash{Integer => Core::Teaching::Adjustments}] of those children of a class who have some
        def adjustments(class_id)
          rows = @db[:children].where(class_id:).exclude(adjustments: nil)
          rows.order(:position).select_hash(:id, :adjustments).transform_values { |text| read_adjustments(text) }
        end

        # All at once, so that two may change their names with each other: by way of names that nobody has.
        # @param names [Hash{Integer => String}] by child
        def rename_all(names)
          @db.transaction do
            names.each_key { |child_id| rename(child_id, "\uF8FF#{child_id}") }
            names.each { |child_id, name| rename(child_id, name) }
          end
        end

        # Nothing asks for a child who left; the record stays.
        # @param at [String, nil] when; nothing for who came back
        def leave(child_id, at)
          @db.transaction do
            @db[:children].where(id: child_id).update(left_at: at)
            Desks.new(@db).send_away_everywhere(child_id) if at
          end
        end

        # With the record: answers are the child's, wherever they were given.
        # @param at [String] when it comes
        def move(child_id, class_id, at)
          @db.transaction do
            Desks.new(@db).send_away_everywhere(child_id)
            position = (@db[:children].where(class_id:).max(:position) || -1) + 1
            # Pictures are told apart within a class.
            @db[:children].where(id: child_id).update(class_id:, position:, pictures: nil, joined_at: at)
          end
        end

        # Children of a class, those who left as well, by how their names are folded.
        # @return [Hash{String => Hash}]
        def named(class_id)
          rows = @db[:children].where(class_id:).order(:position).all
          rows.to_h { |row| [Core::Wording::ChildNames.folded(row[:name]), row] }
        end

        # @return [Hash{Integer => String}] by child when it came, of those who came after the class was made
        def joined_later(class_id) = @db[:children].where(class_id:).exclude(joined_at: nil).select_hash(:id, :joined_at)

        # A child who came after the others had answered a check, and has no answers to it, was not here then.
        # @param joined_at [String, nil]
        # @param answers [Array<Hash>] that stand to the check; while there are none nobody has come too late
        # @return [Boolean]
        def self.not_here_then?(joined_at, answers, child_id)
          return false if joined_at.nil? || answers.empty?

          answers.none? { |answer| answer.child_id == child_id } && answers.map(&:answered_at).max < joined_at
        end

        # @return [Array<Hash>] all children of a class, those who left as well
        def everybody(class_id)
          @db[:children].where(class_id:).order(:position).select(:id, :name, :source_id, :left_at).all
        end

        # @return [Hash{Integer => String}] by child, the id it came with
        def source_ids(class_id) = @db[:children].where(class_id:).exclude(source_id: nil).select_hash(:id, :source_id)

        # @param ids [Hash{Integer => String, nil}] by child, the id it has in the school's system
        def keep_ids(ids)
          @db.transaction do
            @db[:children].where(id: ids.keys).update(source_id: nil)
            ids.compact.each { |id, source_id| @db[:children].where(id:).update(source_id:) }
          end
        end

        # What each was last asked: a teacher knows a child by it.
        # @return [Boolean] whether a child is of a class, has left it, or answered there before moving away
        def was_here?(child_id, class_id)
          return true if @db[:children].where(id: child_id, class_id:).any?

          checks = @db[:checks].where(class_id:).select(:id)
          @db[:answers].where(child_id:, item_id: @db[:items].where(check_id: checks).select(:id)).any?
        end

        # @param child_ids [Array<Integer>]
        # @return [Hash{Integer => Hash}] by child `time` and `at`; nothing of who was never asked
        def last_clocks(child_ids)
          last = @db[:answers].where(child_id: child_ids).group(:child_id).select { max(:id) }
          rows = @db[:answers].where(Sequel[:answers][:id] => last).join(:items, id: :item_id)
          rows.select_map([Sequel[:answers][:child_id], :time, :answered_at]).to_h { |id, time, at| [id, { time:, at: }] }
        end

        # @return [Array<Hash>] those who left, the last one first
        def left(class_id)
          @db[:children].where(class_id:).exclude(left_at: nil).reverse(:left_at, :id).select(:id, :name, :left_at).all
        end

        private

        def read_adjustments(text) = Core::Teaching::Adjustments.new(text ? JSON.parse(text, symbolize_names: true) : {})
      end
    end
  end
end
