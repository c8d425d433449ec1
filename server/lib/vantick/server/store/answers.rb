# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Every answer given. Rows are only ever added.
      class Answers
        # The id of an answer was used before, for another answer.
        class IdTaken < StandardError; end

        GIVEN = %i[item_id child_id answer].freeze
        LISTS = %i[misreadings slips].freeze

        def initialize(database)
          @db = database
        end

        # Adds an answer; it corrects the one that stood before it.
        # @param given [Hash] `uuid`, `item_id`, `child_id` and `answer`
        # @param marked [Core::Marked]
        # @return [Array(Hash, Boolean)] the answer as kept, and whether it is new
        # @raise [IdTaken]
        def add(given, marked, answered_at:)
          @db.transaction do
            kept = @db[:answers].first(uuid: given[:uuid])
            next [same(kept, given), false] if kept

            id = @db[:answers].insert(**given, **judgement(marked), corrects_id: standing_id(given), answered_at:)
            [described(@db[:answers].first(id:)), true]
          end
        end

        # @param check_ids [Array<Integer>]
        # @return [Hash{Integer => Array<Hash>}] by check, the answers that no other corrects
        def standing(check_ids)
          rows = @db[:answers].join(:items, id: :item_id).where(check_id: check_ids).select_all(:answers).select_append(:check_id)
          corrected = rows.exclude(corrects_id: nil).select_map(:corrects_id).to_set
          found = rows.order(Sequel[:answers][:id]).all.reject { |row| corrected.include?(row[:id]) }
          found.group_by { |row| row[:check_id] }.transform_values { |group| group.map { |row| described(row) } }
        end

        # @param class_id [Integer]
        # @return [Array<Hash>] all answers that stand, oldest first, each with what was asked
        def of_class(class_id)
          corrected = @db[:answers].exclude(corrects_id: nil).select(:corrects_id)
          rows = @db[:answers].join(:items, id: :item_id).join(:checks, id: Sequel[:items][:check_id])
          rows.where(class_id:).exclude(Sequel[:answers][:id] => corrected).order(Sequel[:answers][:id])
              .select(Sequel[:answers][:child_id], :verdict, Sequel[:answers][:misreadings], :answered_at, :step, :task, :time).all
              .map { |row| { **row, misreadings: row[:misreadings].split } }
        end

        private

        def judgement(marked)
          { verdict: marked.verdict.to_s, read_as: marked.read_as, read_short: marked.read_short,
            misreadings: marked.misreadings.join(" "), slips: marked.slips.join(" ") }
        end

        def standing_id(given) = @db[:answers].where(given.slice(:item_id, :child_id)).max(:id)

        def same(kept, given)
          raise IdTaken unless kept.slice(*GIVEN) == given.slice(*GIVEN)

          described(kept)
        end

        def described(row)
          { id: row[:uuid], **row.slice(*GIVEN, :verdict, :read_as, :read_short, :answered_at), **LISTS.to_h do |list|
            [list, row[list].split]
          end }
        end
      end
    end
  end
end
