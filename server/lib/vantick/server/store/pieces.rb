# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Pieces of paper with an answer on each: as they were read, and what a person found.
      class Pieces
        PIECE = %i[id scan_page_id item_id child_id kind seen sure guesses turned answer_uuid settled_at].freeze

        def initialize(database)
          @db = database
        end

        # @param uuids [Array<String>] of answers
        # @return [Array<String>] those that were read from paper without a person
        def alone(uuids) = @db[:scan_pieces].where(answer_uuid: uuids, sure: 1).select_map(:answer_uuid)

        # @param check_id [Integer]
        # @param waiting [Boolean] only those that a person has to look at
        # @return [Array<Rows::ScanPiece>] clock by clock
        def pieces(check_id, waiting: false)
          found = of_check(check_id)
          found = found.where(settled_at: nil) if waiting
          found.order(:position, Sequel[:scan_pieces][:child_id]).select(*PIECE.map { |name| Sequel[:scan_pieces][name] })
               .map { |row| Rows::ScanPiece.of(row) }
        end

        # @param check_id [Integer]
        # @param many [Integer]
        # @return [Array<Rows::ScanPiece>] of those that were read alone and nobody has looked at, so many from all over the stack
        def sample(check_id, many)
          ids = of_check(check_id).where(sure: 1, looked: nil).exclude(settled_at: nil).exclude(seen: "").order(Sequel[:scan_pieces][:id])
                                  .select_map(Sequel[:scan_pieces][:id])
          step = [ids.length / many, 1].max
          ids.each_slice(step).map(&:first).first(many).map { |id| piece(id) }
        end

        # Of those that were read alone, what a person found who looked: the wrong ones wait.
        # @param right [Array<Integer>]
        # @param wrong [Array<Integer>]
        def looked(check_id, right:, wrong:)
          alone = of_check(check_id).where(sure: 1).select(Sequel[:scan_pieces][:id])
          @db[:scan_pieces].where(id: right).where(id: alone).update(looked: 1)
          @db[:scan_pieces].where(id: wrong).where(id: alone).update(looked: 0, settled_at: nil)
        end

        # @param class_id [Integer]
        # @return [Hash{Symbol => Integer}] of those read alone that are still kept, how many a person looked at, and the wrong ones
        def looked_at(class_id)
          pages = @db[:scan_pages].where(scan_id: @db[:scans].where(class_id:).select(:id)).select(:id)
          looked = @db[:scan_pieces].where(scan_page_id: pages).exclude(looked: nil)
          { shown: looked.count, wrong: looked.where(looked: 0).count }
        end

        # @return [Rows::ScanPiece]
        # @raise [Missing]
        def piece(id)
          Rows::ScanPiece.of(@db[:scan_pieces].select(*PIECE).first(id:) || raise(Missing.new("piece of paper", id, field: "piece_id")))
        end

        # @return [Rows::ScanPiece] settled by a person
        def settle(id, answer_uuid, at)
          @db[:scan_pieces].where(id:).update(answer_uuid:, settled_at: at)
          piece(id)
        end

        # @return [Hash{Symbol => Integer}] of a file: answers read, read alone, and those to look at
        def counts(scan_id)
          pieces = @db[:scan_pieces].where(scan_page_id: @db[:scan_pages].where(scan_id:).select(:id))
          { answers: pieces.count, alone: pieces.where(sure: 1).count, to_look_at: pieces.where(settled_at: nil).count }
        end

        private

        def of_check(check_id)
          @db[:scan_pieces].where(item_id: @db[:items].where(check_id:).select(:id)).join(:items, id: :item_id)
        end
      end
    end
  end
end
