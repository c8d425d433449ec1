# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Paper
      # Pieces of paper with an answer on each: what a person has to look at, clock by clock, and who read what.
      class Pieces < Handler
        # So many that were read alone are shown as well (judgement: seen at a glance).
        SAMPLE = 3

        def list_pieces
          check = store.checks.find(params.check_id)
          seen(check, waiting: params.waiting)
        end

        # All of them are read as the reader read them: a person has looked at each. Whoever was quicker changes nothing here. Of those that
        # were marked already the wrong ones wait for a person from now on.
        def confirm_pieces
          check = store.checks.find(params.check_id)
          given = agreed(check).map { |piece| [piece, SecureRandom.uuid, marked(check, piece, piece.seen)] }
          store.scans.transaction do
            given.each { |piece, uuid, marked| settle(piece, uuid, piece.seen, marked) }
            store.pieces.looked(check.id, right: body.sure_ids, wrong: body.wrong_ids)
          end
          seen(check, waiting: true)
        end

        # What a person reads stands over what the reader read; both are kept.
        def settle_piece
          piece = store.pieces.piece(params.piece_id)
          check = store.checks.find(store.checks.check_of_item(piece.item_id))
          uuid = SecureRandom.uuid
          answer = Store::MarkedAnswers.plain(body.answer)
          piece_json(settle(piece, uuid, answer, marked(check, piece, answer)))
        end

        private

        def agreed(check)
          store.pieces.pieces(check.id, waiting: true).select { |piece| body.piece_ids.include?(piece.id) && piece.seen != "" }
        end

        def seen(check, waiting:)
          { pieces: store.pieces.pieces(check.id, waiting:).map { |piece| piece_json(piece) },
            sample: store.pieces.sample(check.id, SAMPLE).map { |piece| piece_json(piece) },
            looked_at: store.pieces.looked_at(check.class_id) }
        end

        def settle(piece, uuid, answer, marked)
          given = { uuid:, item_id: piece.item_id, child_id: piece.child_id, answer: }
          store.answers.add(given, marked, answered_at: now)
          store.pieces.settle(piece.id, uuid, now)
        end

        def marked(check, piece, text)
          item = check.items.find { |candidate| candidate.id == piece.item_id }
          home = store.register.adjustments_of(piece.child_id).home
          conventions = store.classes.conventions(check.class_id).of_child(home:, own: -> { store.own_words.of(piece.child_id) })
          Store::MarkedAnswers.typed(item, text, conventions)
        end

        def piece_json(piece)
          { **piece.slice(:id, :item_id, :child_id, :kind, :seen, :guesses, :answer_uuid), settled: !piece.settled_at.nil?,
            alone: piece.sure == 1, turned: piece.turned == 1 }
        end
      end
    end
  end
end
