# frozen_string_literal: true

module Vantick
  module Server
    module Pages
      # Answers that a person typed before their paper was read. What a person typed stands: where the paper agrees nothing is asked, where
      # it differs a person sees both.
      class TypedBefore
        # @param store [Store::Database]
        # @param conventions [Core::Wording::Conventions]
        def initialize(store, conventions)
          @store = store
          @conventions = conventions
        end

        # @param page [Hash] as {ReadPage#read} gives it; its pieces are settled or asked, and answers to what was typed go
        # @return [Hash] the same page
        def settle(page)
          return page unless page[:pieces]&.any?

          typed = typed(page)
          items = @store.checks.find(page[:check_id]).items.to_h { |item| [item.id, item] }
          pieces = page[:pieces].map do |piece|
            before = typed[piece[:item_id]]
            before ? beside(piece, before, items[piece[:item_id]]) : piece
          end
          { **page, pieces:, answers: page[:answers].reject { |given, _| typed.key?(given[:item_id]) } }
        end

        private

        # @return [Hash{Integer => Store::Rows::Answer}] by item; what was read alone from paper was typed by nobody
        def typed(page)
          child_id = page[:pieces].first[:child_id]
          current = @store.answers.current([page[:check_id]]).fetch(page[:check_id], []).select { |answer| answer.child_id == child_id }
          alone = @store.pieces.alone(current.map(&:id))
          current.reject { |answer| alone.include?(answer.id) }.to_h { |answer| [answer.item_id, answer] }
        end

        def beside(piece, before, item)
          seen = [piece[:seen], *JSON.parse(piece[:guesses])].reject(&:empty?)
          return { **piece, answer_uuid: before.id, settled_at: Clock.iso8601 } if agree?(piece, seen, before, item)

          { **piece, sure: 0, answer_uuid: nil, settled_at: nil, guesses: JSON.generate([before.answer, *seen].uniq) }
        end

        # Where nothing could be read there is nothing that differs.
        def agree?(piece, seen, before, item)
          return piece[:sure].zero? || before.verdict == "blank" if seen.empty?
          return alike_drawn?(judged(item, seen.first), before) if piece[:kind] == "hands"

          before.read_as != "" && seen.any? { |text| judged(item, text).read_as.to_s == before.read_as }
        end

        def judged(item, text) = Store::MarkedAnswers.judged(item, text, @conventions)

        # What a teacher chose among pictures is no drawing, so its angles are not compared.
        def alike_drawn?(marked, before)
          marked.verdict.to_s == before.verdict && marked.misreadings.map(&:to_s) == before.misreadings.map(&:to_s)
        end
      end
    end
  end
end
