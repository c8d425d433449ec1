# frozen_string_literal: true

module Vantick
  module Server
    module Paper
      # Pieces of paper with an answer on each: what a person has to look at, clock by clock, and who read what.
      class Pieces < Resource
        get "/api/checks/:check_id/pieces" do
          pieces = store.scans.pieces(input[:check_id], waiting: input.fetch(:waiting, false))
          answer_json({ pieces: pieces.map { |piece| told(piece) } })
        end

        # What a person reads stands over what the reader read; both are kept.
        put "/api/pieces/:piece_id" do
          piece = store.scans.piece(input[:piece_id])
          check = store.checks.find(store.checks.check_of_item(piece.item_id))
          uuid = SecureRandom.uuid
          answer = Store::Marks.plain(sent[:answer])
          given = { uuid:, item_id: piece.item_id, child_id: piece.child_id, answer: }
          store.answers.add(given, marked(check, piece, answer), answered_at: now)
          answer_json(told(store.scans.settle(piece.id, uuid, now)))
        end

        private

        def marked(check, piece, text)
          item = check[:items].find { |one| one[:id] == piece.item_id }
          home = store.register.adjustments_of(piece.child_id).home
          conventions = store.classes.conventions(check[:class_id])
          Store::Marks.typed(item, text, conventions, home:, own: -> { store.own_words.of(piece.child_id) })
        end

        def told(piece)
          { **piece.slice(:id, :item_id, :child_id, :kind, :seen, :guesses, :answer_uuid), settled: !piece.settled_at.nil?,
            alone: piece.sure == 1 }
        end
      end
    end
  end
end
