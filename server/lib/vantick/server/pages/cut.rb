# frozen_string_literal: true

module Vantick
  module Server
    module Pages
      # Pictures of pages on which several pieces of paper lie: each piece keeps its own paper alone, so that nobody's is in another's.
      module Cut
        PROGRAM = File.join(ROOT, "cut.rb")

        class << self
          # @param jpeg [String] a page
          # @param pieces [Array<Array>] the four corners of each piece, in points of the picture
          # @return [Array<String>] for each a picture as large as the page, white all round the piece
          # @raise [Outside::LockedRoom::TooMuch]
          def apart(jpeg, pieces)
            Outside::LockedRoom.open(:paper) do |room|
              room.start_ruby(PROGRAM, room.keep("page", jpeg), *pieces.map { |corners| JSON.generate(corners) })
              room.read
              raise Outside::LockedRoom::TooMuch unless room.well?

              pieces.each_index.map { |number| File.binread(File.join(room.folder, "#{number}.jpg")) }
            end
          end

          # Cuts pages of a database, of which each knows the corners of its piece; a picture without any goes, and so does one that
          # cannot be cut.
          # @param database [Sequel::Database]
          # @param ids [Array<Integer>]
          def pages(database, ids)
            return if ids.empty?

            database[:scan_pages].where(id: ids).exclude(picture: nil).select(:id, :corners, :picture).each do |row|
              picture = row[:corners] && alone(row[:picture].to_s, JSON.parse(row[:corners]))
              database[:scan_pages].where(id: row[:id]).update(picture: picture && Sequel.blob(picture))
            end
          end

          private

          def alone(jpeg, corners)
            apart(jpeg, [corners]).first
          rescue Outside::LockedRoom::TooMuch
            nil
          end
        end
      end
    end
  end
end
