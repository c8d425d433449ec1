# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Paper
      # Pieces of paper with an answer on each: what a person has to look at, clock by clock, and who read what.
      class Pieces < Resource
        # So many that were read alone are shown as well (judgement: seen at a glance).
        SAMPLE = 3

        get "/api/checks/:check_id/pieces" do
          check = store.checks.find(input[:check_id])
          answer_json(seen(check, waiting: input.fetch(:waiting, false)))
        end

        # All of them are read as the reader read them: a person has looked at each. Whoever was quicker changes nothing here. Of those that
        # were marked already the wrong ones wait for a person from now on.
        post "/api/checks/:check_id/agreements" do
          check = store.checks.find(input[:check_id])
          agreed = store.pieces.pieces(check[:id], waiting: true).select { |piece| sent[:piece_ids].include?(piece.id) && piece.seen != "" }
          given = agreed.map { |piece| [piece, SecureRandom.uuid, marked(check, piece, piece.seen)] }
          store.scans.transaction do
            given.each { |piece, uuid, marked| settle(piece, uuid, piece.seen, marked) }
            store.pieces.looked(check[:id], right: sent.fetch(:sure_ids, []), wrong: sent.fetch(:wrong_ids, []))
          end
          answer_json(seen(check, waiting: true))
        end

        # What a person reads stands over what the reader read; both are kept.
        put "/api/pieces/:piece_id" do
          piece = store.pieces.piece(input[:piece_id])
          check = store.checks.find(store.checks.check_of_item(piece.item_id))
          uuid = SecureRandom.uuid
          answer = Store::MarkedAnswers.plain(sent[:answer])
          answer_json(piece_json(settle(piece, uuid, answer, marked(check, piece, answer))))
        end

        private

        def seen(check, waiting:)
          { pieces: store.pieces.pieces(check[:id], waiting:).map { |piece| piece_json(piece) },
            sample: store.pieces.sample(check[:id], SAMPLE).map { |piece| piece_json(piece) },
            looked_at: store.pieces.looked_at(check[:class_id]) }
        end

        def settle(piece, uuid, answer, marked)
          given = { uuid:, item_id: piece.item_id, child_id: piece.child_id, answer: }
          store.answers.add(given, marked, answered_at: now)
          store.pieces.settle(piece.id, uuid, now)
        end

        def marked(check, piece, text)
          item = check[:items].find { |one| one[:id] == piece.item_id }
          home = store.register.adjustments_of(piece.child_id).home
          conventions = store.classes.conventions(check[:class_id])
          Store::MarkedAnswers.typed(item, text, conventions, home:, own: -> { store.own_words.of(piece.child_id) })
        end

        def piece_json(piece)
          { **piece.slice(:id, :item_id, :child_id, :kind, :seen, :guesses, :answer_uuid), settled: !piece.settled_at.nil?,
            alone: piece.sure == 1, turned: piece.turned == 1 }
        end
      end
    end
  end
end
