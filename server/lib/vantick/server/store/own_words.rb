# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Words as a child writes them, as a teacher read them: of an answer that could not be read, what it may mean.
      class OwnWords
        def initialize(database)
          @db = database
        end

        # @param child_id [Integer]
        # @return [Core::Wording::OwnWords]
        def of(child_id) = Core::Wording::OwnWords.from(pairs(child_id).select { |raw, meant| near?(raw, meant) })

        private

        def pairs(child_id)
          unread = @db[:answers].where(child_id:, verdict: "unreadable").select_hash(:id, :answer)
          meant = @db[:answers].where(corrects_id: unread.keys).order(:id).select_hash(:id, %i[corrects_id answer])
          # What was corrected once more is nobody's word.
          again = @db[:answers].where(corrects_id: meant.keys).select_map(:corrects_id)
          meant.except(*again).values.map { |raw_id, answer| [unread.fetch(raw_id), answer] }
        end

        # Whatever else was typed in its place was another answer.
        def near?(raw, meant)
          read = Core::Wording::AnswerReader.read(meant).map(&:time)
          Core::Wording::AnswerReader.near(raw).any? { |given| read.include?(given.time) }
        end
      end
    end
  end
end
