# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What a child's digits look like: of the pieces of paper that are still kept, those with an answer that stands.
      class OwnDigits
        # The last pieces tell enough (judgement: three sheets).
        PIECES = 60

        def initialize(database)
          @db = database
        end

        # @param child_id [Integer]
        # @return [Core::Paper::OwnDigits]
        def of(child_id)
          pieces = @db[:scan_pieces].where(child_id:).exclude(forms: nil).exclude(settled_at: nil)
          pieces = pieces.reverse(:id).limit(PIECES).select_map(%i[item_id forms])
          progress = @db[:answers].where(child_id:, item_id: pieces.map(&:first)).order(:id).select_hash(:item_id, :answer)
          Core::Paper::OwnDigits.from(pieces.filter_map { |item_id, forms| [read(forms), progress[item_id]] if progress[item_id] })
        end

        private

        def read(forms) = JSON.parse(forms).map { |form| form&.unpack1("m0") }
      end
    end
  end
end
