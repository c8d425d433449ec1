# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Every place in which something of a child is kept. A copy of everything and an erasure both go through this one list, so that
      # what is erased is what can be asked for.
      module ChildPlaces
        OWN = ->(table, db, ids) { Ownership.rows(db, table, :children, ids) }.curry
        # On pages of the child's, and by the child's hand on any other.
        PIECES = ->(db, ids) { OWN[:scan_pieces, db, ids].or(child_id: ids) }

        # The farthest from the child first.
        ALL = [
          Places::Rows.new("pieces of handwriting", { scan_pieces: %i[child_id scan_page_id], scan_pages: %i[child_id] },
                           %i[id item_id kind seen guesses settled_at], &PIECES),
          Places::Rows.new("pages of paper", { scan_pages: %i[child_id] }, %i[id number state check_id page], &OWN[:scan_pages]),
          Places::Rows.new("second tries", { tries: %i[answer_id] }, %i[answer_id answered_at answer verdict], &OWN[:tries]),
          Places::Rows.new("rulings", { overrules: %i[answer_id] }, %i[answer_id verdict ruled_at], &OWN[:overrules]),
          Places::Rows.new("tasks on devices", { turns: %i[child_id] }, %i[asked_at done_at step task reason tries], &OWN[:turns]),
          Places::Rows.new("sign-ins on devices", { seats: %i[child_id] }, %i[desk_id joined_at step round round_began_at], &OWN[:seats]),
          Places::Rows.new("answers", { answers: %i[child_id] }, %i[id item_id answered_at answer verdict corrects_id], &OWN[:answers]),
          Places::Rows.new("what a teacher said", { said: %i[child_id] }, %i[step known said_at], &OWN[:said]),
          Places::Rows.new("days away", { away: %i[child_id] }, %i[day said_at], &OWN[:away]),
          Places::Rows.new("weeks of help", { support_plans: %i[child_id] }, %i[began_on weeks made_at], &OWN[:support_plans]),
          Places::Rows.new("clocks of the child's own", { items: %i[child_id] }, %i[check_id time said step task], &OWN[:items]),
          Places::Lists.new("what was deleted", %i[removed rows], Places::Held::Deleted, %i[removed_at]),
          Places::Lists.new("lists that were added", %i[lists_taken before], Places::Held::Children, %i[taken_at]),
          Places::Lists.new("lists that brought the child", %i[lists_taken added], Places::Held::Ids, %i[taken_at]),
          Places::Lists.new("lists of the school", %i[school_rosters moves], Places::Held::Children, %i[taken_at]),
          Places::Lists.new("groups", %i[kept_groups groups], Places::Held::Groups, %i[kept_at], key: :class_id),
          Places::Lists.new("lessons for some", %i[lessons child_ids], Places::Held::Ids, %i[day made_at]),
          Places::Lists.new("sessions for some", %i[desks child_ids], Places::Held::Ids, %i[kind step opened_at]),
          Places::Lists.new("sheets for some", %i[checks sheet], Places::Held::Settings, %i[step task code made_at]),
          Places::Rows.new("the register", { children: %i[id] }, %i[name source_id pictures joined_at left_at adjustments]) do |db, ids|
            db[:children].where(id: ids)
          end
        ].freeze

        class << self
          # @param database [Sequel::Database]
          # @return [Array<Places::Rows, Places::Lists>] those that it has
          def of(database) = ALL.select { |place| place.in?(database) }

          # @param database [Sequel::Database]
          # @param ids [Array<Integer>] of children
          def erase(database, ids) = of(database).each { |place| place.erase(database, ids) }

          # @return [Integer] how much is there yet of these children
          def left(database, ids) = of(database).sum { |place| place.left(database, ids) }

          # @param id [Integer] of a child
          # @return [Hash{String => Array<Hash>}] by place, where there is something
          def copy(database, id) = of(database).to_h { |place| [place.name, place.copy(database, id)] }.reject { |_, rows| rows.empty? }
        end
      end
    end
  end
end
