# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What children are asked at a desk, and what they answered there.
      class Turns
        ITEM = %i[id time said misreading step task check_id child_id level helped larger example half variant].freeze
        # Somebody was quicker: the task has been answered meanwhile.
        class Answered < StandardError; end

        def initialize(database)
          @db = database
        end

        def transaction(&) = @db.transaction(&)

        # @param seat [Hash]
        # @return [Rows::Turn]
        # @raise [Missing] where it is none of this child's at this desk
        def find(seat, id)
          row = of(seat).first(id:) || raise(Missing.new("task", id, field: "turn_id"))
          with_items([row]).first
        end

        # @return [Array<Rows::Turn>] that are not done, the next first, then those kept ahead
        def open(seat) = with_items(of(seat).where(round: seat.round, done_at: nil).order(:ahead, :id).all)

        # @return [String, nil] when the first task of this round was done
        def began(seat) = of(seat).where(round: seat.round).min(:done_at)

        # @return [Integer] done in this round
        def done(seat) = of(seat).where(round: seat.round).exclude(done_at: nil).count

        # @return [Array<Rows::Turn>] of the round, oldest first, with their items
        def of_round(seat) = with_items(of(seat).where(round: seat.round).order(:id).all)

        # @param seat [Hash]
        # @param turn [Core::Desk::Turn]
        # @return [Rows::Turn]
        def add(seat, turn, ahead:, at:)
          same = { said: turn.said&.words, misreading: turn.mistake&.id&.to_s, step: turn.step.id.to_s, task: turn.task.id.to_s,
                   **looks(turn) }
          rows = turn.times.map { |time| { time: time.to_s, **same } }
          put(seat, turn, items: add_items(seat.check_id, seat.child_id, rows), ahead:, at:)
        end

        # A turn about items that are there for all.
        # @param items [Array<Rows::Item>]
        # @return [Rows::Turn]
        def put(seat, turn, items:, ahead:, at:)
          row = { **seat.slice(:desk_id, :child_id, :round), step: turn.step.id.to_s, task: turn.task.id.to_s, reason: turn.reason.to_s,
                  against: turn.against&.id&.to_s, ahead: ahead ? 1 : 0, asked_at: at }
          item_ids = items.map(&:id)
          id = @db[:turns].insert(**row, item_ids: JSON.generate(item_ids))
          asked = items.map { |item| item.with(**row.slice(:step, :task)) }.freeze
          Rows::Turn.of(row, id:, item_ids: item_ids.freeze, items: asked, tries: 0, done_at: nil)
        end

        # @param uuids [Array<String>] of first tries and later ones
        # @return [Hash{String => Array(Integer, String)}] by each that was used before, the item that was answered and what stood there
        def known(uuids)
          first = @db[:answers].where(uuid: uuids).select_hash(:uuid, %i[item_id answer])
          later = @db[:tries].join(:answers, id: :answer_id).where(Sequel[:tries][:uuid] => uuids)
          first.merge(later.select_hash(Sequel[:tries][:uuid], [Sequel[:answers][:item_id], Sequel[:tries][:answer]]))
        end

        # @param turn [Hash] as it was before the answer
        # @param done [Boolean]
        # @raise [Answered]
        def tried(turn, done:, at:)
          unchanged = @db[:turns].where(turn.slice(:id, :tries))
          raise Answered if unchanged.update(tries: turn.tries + 1, done_at: done ? at : nil).zero?
        end

        # A second try, kept beside the first.
        def add_try(given, marked, answered_at:)
          answer_id = @db[:answers].where(given.slice(:item_id, :child_id)).max(:id)
          @db[:tries].insert(uuid: given[:uuid], answer_id:, answer: given[:answer], verdict: marked.verdict.to_s,
                             misreadings: marked.misreadings.join(" "), read_as: marked.read_as, answered_at:)
        end

        # @param child_id [Integer]
        # @param item_ids [Array<Integer>]
        # @return [Array<Rows::Answer>] first tries, oldest first
        def answers(child_id, item_ids) = @db[:answers].where(child_id:, item_id: item_ids).order(:id).map { |row| Answers.first_said(row) }

        # @param desk [Hash]
        # @return [Hash{Integer => Array<Rows::Turn>}] by child, the turns of the round that each is in, oldest first
        def of_rounds(desk)
          now = { desk_id: Sequel[:turns][:desk_id], child_id: Sequel[:turns][:child_id], round: Sequel[:turns][:round] }
          rows = @db[:turns].join(:seats, now).where(Sequel[:turns][:desk_id] => desk.id).select_all(:turns)
          rows.order(Sequel[:turns][:id]).map { |row| Rows::Turn.of(row) }.group_by(&:child_id)
        end

        # @param ids [Array<Integer>]
        # @return [Hash{Integer => Rows::Item}]
        def items(ids) = @db[:items].where(id: ids).select(*ITEM).as_hash(:id).transform_values { |row| Rows::Item.of(row) }

        private

        def of(seat) = @db[:turns].where(seat.slice(:desk_id, :child_id))

        def with_items(rows)
          turns = rows.map { |row| Rows::Turn.of(row) }
          found = items(turns.flat_map(&:item_ids))
          turns.map { |turn| Rows::Turn.of(turn.to_hash, items: turn.item_ids.map { |id| item(found.fetch(id), turn) }.freeze) }
        end

        # Whatever its check is about: it is asked as the turn says.
        def item(row, turn) = Rows::Item.of(row, step: turn.step, task: turn.task)

        def looks(turn)
          { helped: turn.helped ? 1 : nil, larger: nil, example: turn.example&.to_s, half: turn.half? ? 1 : nil,
            variant: turn.variant&.to_s }
        end

        def add_items(check_id, child_id, rows)
          position = (@db[:items].where(check_id:).max(:position) || -1) + 1
          rows.each_with_index.map do |row, at|
            id = @db[:items].insert(**row, check_id:, child_id:, position: position + at)
            Rows::Item.of({ **row, id:, check_id:, child_id:, level: nil })
          end
        end
      end
    end
  end
end
