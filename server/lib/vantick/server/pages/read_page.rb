# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Pages
      # Pieces of paper of one class read: whose they are, and what is written in their fields.
      class ReadPage
        # A photograph whose paper is darker than this was taken in too little light (judgement: a third of white).
        DARK = 85
        WORDS = { "unfound" => "This page has no code.",
                  "dark" => "This photo is too dark. Take it again in more light.",
                  "far" => "The code can't be read. Take the photo again, closer and steadier.",
                  "no_marks" => "No sheet found. Take the photo again from above, with all four black corners in it.",
                  "unnamed" => "This page has no name.",
                  "removed" => "This sheet's check was deleted. Restore it under Check, then read this page again.",
                  "unknown" => "No sheet here has the code %<code>s. It may be from another school.",
                  "other" => "This page belongs to another class: %<name>s.", "anothers" => "This page belongs to another class.",
                  "gone" => "%<name>s is no longer in this class. Take the page all the same?",
                  "nobody" => "This page's child isn't in Vantick any more.",
                  "twice" => "%<name>s's page was read before, so nothing changes." }.freeze

        # @param store [Store::Database]
        # @param class_id [Integer]
        def initialize(store, class_id)
          @store = store
          @class = store.classes.find(class_id)
          @conventions = @class.wording
          @typed = TypedBefore.new(store, @conventions)
        end

        # @param page [Unpacked::Page]
        # @return [Array<Hash>] its pieces of paper, as {Store::Scans#add_pages} takes them, with the answers that are sure
        def read(page)
          return [{ number: page.number, state: "unfound", words: WORDS["unfound"] }] unless page.picture

          found = Found.of(page.picture)
          found = [Found::Piece.new(corners: nil, name: nil)] if found.empty?
          found.zip(pictures(page, found)).map do |piece, picture|
            read = piece.name ? of_piece(page.picture, piece) : refused("unfound", unfound(page, piece))
            { number: page.number, corners: piece.corners, picture:, **read }
          end
        end

        # @param picture [Core::Paper::GrayImage]
        # @return [Hash] the page as {#read} gives it, with its pieces and the answers that are sure
        def named(picture, corners, check, child_id, page_number)
          pieces, answers = fields(picture, corners, check, child_id, page_number)
          @typed.settle({ check_id: check.id, child_id:, page: page_number, pieces:, answers: })
        end

        private

        # @return [Array(Array<Hash>, Array<Hash>)] pieces, and answers that are sure
        def fields(picture, corners, check, child_id, page_number)
          page = drawn(check, child_id)[page_number - 1]
          return [[], []] unless page&.located?

          items = check.items.select { |item| [nil, child_id].include?(item.child_id) }
          own = @store.own_digits.of(child_id)
          pieces = page.read(picture, corners, items, own:).map { |field| piece(field, items[field.at], child_id) }
          [pieces, pieces.filter_map { |piece| answer(piece, items) if piece[:sure] == 1 }]
        end

        # Of a photograph, what to do about it.
        def unfound(page, piece)
          return WORDS["unfound"] unless page.light
          return WORDS["dark"] if page.light < DARK

          WORDS[piece.corners ? "far" : "no_marks"]
        end

        # Where several pieces lie on a page each keeps its own alone: one child's paper is in no other's picture.
        def pictures(page, found)
          return [page.jpeg] if found.one?

          Cut.apart(page.jpeg, found.map(&:corners))
        rescue Outside::LockedRoom::TooMuch
          found.map { nil }
        end

        def of_piece(picture, piece)
          check = @store.checks.coded(piece.name.code)
          child_id = whose(piece.name.child, check)
          return of_other(check, child_id) if check.class_id != @class.id

          known = { check_id: check.id, child_id:, page: piece.name.page }
          return { **refused("unnamed", WORDS["unnamed"]), **known } unless child_id

          of_child(picture, piece, check, known)
        rescue Store::Missing
          refused("refused", missing(piece.name.code))
        end

        def missing(code) = @store.removed.coded?(@class.id, code) ? WORDS["removed"] : format(WORDS["unknown"], code:)

        # Whose it is stays with the picture, so that it goes where the child is erased. Another teacher's class has no name here.
        def of_other(check, child_id)
          mine, theirs = [@class.id, check.class_id].map { |id| @store.shares.owner(id) }
          words = mine == theirs ? format(WORDS["other"], name: @store.classes.find(check.class_id).name) : WORDS["anothers"]
          { **refused("refused", words), child_id: child_of(check, child_id) }
        end

        def child_of(check, child_id)
          @store.classes.child(child_id).then { |child| child.id if child.class_id == check.class_id } if child_id
        rescue Store::Missing
          nil
        end

        def of_child(picture, piece, check, known)
          child = @class.children.find { |candidate| candidate.id == known[:child_id] }
          return gone(known) unless child

          return { **known, **refused("twice", format(WORDS["twice"], name: child.name)) } if @store.scans.read?(*known.values)

          pieces, answers = fields(picture, piece.corners, check, known[:child_id], known[:page])
          @typed.settle({ **known, state: "read", words: "", pieces:, answers: })
        end

        # Whoever left or moved may have worked on this sheet. A child who was never in this class is nobody here; whose it is stays with
        # the picture alone, so that it goes where the child is erased.
        def gone(known)
          here = @store.register.was_here?(known[:child_id], @class.id)
          return { **known, check_id: nil, **refused("refused", WORDS["nobody"]) } unless here

          { **known, **refused("refused", format(WORDS["gone"], name: @store.classes.child(known[:child_id]).name)) }
        end

        def refused(state, words) = { state:, words:, pieces: [], answers: [] }

        # A sheet that goes round without a name is whose letter it has.
        def whose(child, check)
          return child.to_i.nonzero? if child.match?(/\A\d+\z/)

          Views::CheckView.letters(check).find { |letter| letter[:letter] == child }&.fetch(:child_id)
        end

        # The pages that the child had; drawn once for all who had the same.
        def drawn(check, child_id)
          own = check.items.any? { |item| item.child_id == child_id }
          @drawn ||= {}
          @drawn[[check.id, (child_id if own)]] ||= begin
            sheet = Printing.of_check(check, @class).drawn_sheet(check, only: own ? child_id : :spare)
            sheet.pages.map { |page| FieldsSeen.new(page) }
          end
        end

        def piece(field, item, child_id)
          seen = field.seen
          { item_id: item.id, child_id:, kind: field.kind.to_s, **as_read(seen), forms: forms(seen),
            answer_uuid: (SecureRandom.uuid if seen.sure), settled_at: (Clock.iso8601 if seen.sure),
            picture: Sequel.blob(GreyPng.write(field.picture)) }
        end

        def as_read(seen)
          turned = seen.remarks.include?(:mirrored)
          { seen: seen.text, sure: seen.sure ? 1 : 0, guesses: JSON.generate(seen.guesses), turned: turned ? 1 : 0 }
        end

        def forms(seen) = (JSON.generate(seen.forms.map { |form| form && [form].pack("m0") }) if seen.forms.any?)

        # An empty field is answered with a dash, as a teacher would type it.
        def answer(piece, items)
          item = items.find { |candidate| candidate.id == piece[:item_id] }
          text = piece[:seen].empty? ? "-" : piece[:seen]
          marked(item, piece[:child_id], text, piece[:answer_uuid])
        end

        def marked(item, child_id, text, uuid)
          [{ uuid:, item_id: item.id, child_id:, answer: text }, Store::MarkedAnswers.judged(item, text, @conventions)]
        end
      end
    end
  end
end
