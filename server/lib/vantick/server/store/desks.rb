# frozen_string_literal: true

require "digest"
require "securerandom"

module Vantick
  module Server
    module Store
      # Desks that were opened for a class, and who sits at them.
      class Desks
        # Hours for which a class code opens a desk that nobody closes, and for which answers that were given at it may still
        # arrive (judgement: a lesson, and a day).
        OPEN_HOURS = 2
        ANSWERS_HOURS = 12
        # Minutes after the end for which a device may still look at how it ended (judgement).
        LOOK_MINUTES = 10
        CODE_LETTERS = 5
        SEAT = [*%i[id desk_id child_id round round_began_at joined_at].map { |name| Sequel[:seats][name] },
                Sequel[:seats][:step].as(:step),
                *%i[class_id check_id kind expires_at closed_at opened_at].map { |name| Sequel[:desks][name] }].freeze

        def initialize(database)
          @db = database
        end

        # @return [Rows::Desk]
        # @raise [Missing]
        def find(id) = described(@db[:desks].first(id:) || raise(Missing.new("desk", id)))

        # @param code [String] as it was typed
        # @param now [Time]
        # @return [Rows::Desk] the open desk
        # @raise [Missing] also where it is closed
        def coded(code, now)
          row = @db[:desks].where(code: Codes.tidy(code), closed_at: nil).where { expires_at > now.iso8601 }.first
          described(row || raise(Missing.new("open session with the code", code[0, 20], field: "code")))
        end

        # @return [Array<Rows::Desk>] newest first
        def all(class_id, limit:) = @db[:desks].where(class_id:).reverse(:id).limit(limit).map { |row| described(row) }

        # @param desk [Hash] `class_id`, `check_id`, `kind`, and `lesson_id`, `stage`, `step`, `child_ids` where there are some
        # @param now [Time]
        # @return [Rows::Desk] the desk, with its class code
        def open(desk, now)
          code = Codes.fresh(CODE_LETTERS) { |candidate| @db[:desks].where(code: candidate).any? }
          child_ids = desk[:child_ids] && JSON.generate(desk[:child_ids])
          find(@db[:desks].insert(**desk, child_ids:, code:, opened_at: now.iso8601, expires_at: (now + (OPEN_HOURS * 3600)).iso8601))
        end

        # @return [Rows::Desk]
        def close(id, at)
          @db[:desks].where(id:, closed_at: nil).update(closed_at: at)
          find(id)
        end

        # Where the child sat before, the new device takes the place of the old one.
        # @return [String] the key for the device; only what it hashes to is kept
        def sit(desk_id, child_id, step:, at:)
          token = SecureRandom.urlsafe_base64(32)
          token_hash = Desks.digest(token)
          @db.transaction do
            there = @db[:seats].where(desk_id:, child_id:)
            if there.update(token_hash:, **was(:moved)).zero?
              @db[:seats].insert(desk_id:, child_id:, token_hash:, step:, round_began_at: at, joined_at: at)
            end
          end
          token
        end

        # @param token [String]
        # @param now [Time]
        # @return [Rows::Seat, nil] the seat with its desk, as long as answers may arrive
        def seat(token, now)
          oldest = (now - (ANSWERS_HOURS * 3600)).iso8601
          found = @db[:seats].join(:desks, id: :desk_id).where(token_hash: Desks.digest(token)).where { opened_at > oldest }
          row = found.select(*SEAT).first
          row && Rows::Seat.of(row, **still(row, now))
        end

        # @return [Symbol, nil] why a device lost its seat: `:moved` to another one, `:away` by the teacher; nothing where it had none
        def lost(token) = @db[:seats].where(last_token_hash: Desks.digest(token)).get(:last_why)&.to_sym

        # @return [Rows::Seat, nil] the seat at which a child was asked a task, at this desk or another of the last hours
        def seat_of_turn(child_id, turn_id, now)
          oldest = (now - (ANSWERS_HOURS * 3600)).iso8601
          asked = @db[:turns].where(id: turn_id, child_id:).get(:desk_id)
          row = @db[:seats].join(:desks, id: :desk_id).where(desk_id: asked, child_id:).where { opened_at > oldest }.select(*SEAT).first
          row && Rows::Seat.of(row, **still(row, now))
        end

        # @param desk [Rows::Desk]
        # @param now [Time]
        # @return [Array<Rows::Seat>]
        def seats(desk, now)
          rows = @db[:seats].join(:desks, id: :desk_id).where(desk_id: desk.id).select(*SEAT)
          rows.map { |row| Rows::Seat.of(row, **still(row, now)) }
        end

        def leave(seat_id) = no_key(@db[:seats].where(id: seat_id), :left)

        # The device of a child at a desk is out, whoever holds it.
        # @return [Boolean] whether there was one
        def send_away(desk_id, child_id) = no_key(@db[:seats].where(desk_id:, child_id:), :away).positive?

        # The same at all desks.
        def send_away_everywhere(child_id) = no_key(@db[:seats].where(child_id:), :away)

        # @param step [String] that the child has come to
        def next_round(seat_id, at, step:)
          @db[:seats].where(id: seat_id).update(round: Sequel[:round] + 1, round_began_at: at, step:)
        end

        def self.digest(token) = Digest::SHA256.hexdigest(token)

        private

        def no_key(seats, why) = seats.update(token_hash: Sequel.lit("lower(hex(randomblob(32)))"), **was(why))

        def was(why) = { last_token_hash: :token_hash, last_why: why.to_s }

        # Whether it is open, and whether what is there may still be looked at.
        def still(row, now)
          ended = [row[:closed_at], row[:expires_at]].compact.min
          { open: ended > now.iso8601, readable: ended > (now - (LOOK_MINUTES * 60)).iso8601 }
        end

        def described(row) = Rows::Desk.of(row)
      end
    end
  end
end
