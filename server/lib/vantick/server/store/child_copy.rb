# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Everything that is kept of one child, as plain data: the record as another Vantick takes it, and beside it every place in which
      # something of the child lies, as it lies there.
      class ChildCopy
        # Of pictures: where they lie, and what they are.
        PICTURES = { scan_pages: "jpg", scan_pieces: "png" }.freeze

        # @param database [Sequel::Database]
        # @param child_id [Integer]
        # @raise [Missing]
        def initialize(database, child_id)
          @db = database
          @id = child_id
          @child = @db[:children].first(id: child_id) || raise(Missing.new("child", child_id))
          @class = @db[:classes].first(id: @child[:class_id])
        end

        # @return [Hash]
        def to_h
          { **@child.slice(:name, :joined_at, :left_at, :source_id), class: @class[:name], school: @class[:school], answers:,
            kept: ChildPlaces.copy(@db, @id), pictures: pictures.map { |picture| picture.except(:bytes) } }
        end

        # The answers that stand, oldest first, with the teacher's ruling and what was tried second.
        # @return [Array<Hash>]
        def answers
          rows = current.all
          ids = rows.map { |row| row[:id] }
          rulings = @db[:overrules].where(answer_id: ids).order(:id).as_hash(:answer_id)
          tries = @db[:tries].where(answer_id: ids).order(:id).all.group_by { |row| row[:answer_id] }
          rows.map { |row| answer(row, rulings[row[:id]], tries.fetch(row[:id], [])) }
        end

        # @return [Array<Hash>] pages of paper and pieces of handwriting: `name`, `about`, `at` and `bytes`
        def pictures
          pages = @db[:scan_pages].join(:scans, id: :scan_id).where(child_id: @id).exclude(picture: nil)
          pages = pages.select(Sequel[:scan_pages][:id], :number, :made_at, :picture).order(Sequel[:scan_pages][:id])
          pages.map { |row| picture(:scan_pages, row, "Page #{row[:number]} of a file", row[:made_at]) } + pieces
        end

        private

        def current
          corrected = @db[:answers].where(child_id: @id).exclude(corrects_id: nil).select(:corrects_id)
          rows = @db[:answers].join(:items, id: :item_id).join(:checks, id: Sequel[:items][:check_id])
          rows = rows.where(Sequel[:answers][:child_id] => @id).exclude(Sequel[:answers][:id] => corrected)
          rows.order(Sequel[:answers][:id])
              .select(Sequel[:answers][:id], :answered_at, :time, *Answers::ASKED, :said, Sequel[:items][:misreading].as(:mistake),
                      :helped, :answer, :verdict, :read_as, Sequel[:answers][:misreadings])
        end

        def answer(row, ruling, tries)
          { **row.except(:id).compact, helped: row[:helped] == 1 || nil, misreadings: row[:misreadings].split,
            ruling: ruling&.slice(:verdict, :ruled_at),
            tries: tries.map { |try| try.slice(:answered_at, :answer, :verdict, :read_as) } }.compact
        end

        def pieces
          rows = @db[:scan_pieces].where(Sequel[:scan_pieces][:child_id] => @id).join(:items, id: :item_id)
                                  .join(:scan_pages, id: Sequel[:scan_pieces][:scan_page_id]).join(:scans, id: :scan_id)
          rows = rows.select(Sequel[:scan_pieces][:id], :time, :made_at, Sequel[:scan_pieces][:picture]).order(Sequel[:scan_pieces][:id])
          rows.map { |row| picture(:scan_pieces, row, "Written beside #{row[:time]}", row[:made_at]) }
        end

        def picture(table, row, about, at)
          { name: "#{table}-#{row[:id]}.#{PICTURES.fetch(table)}", about:, at:, bytes: row[:picture].to_s.b }
        end
      end
    end
  end
end
