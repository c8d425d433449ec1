# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # How long records are kept after a child's last answer, as the school says; and whose time is over. Nothing goes by itself.
      class Retention
        YEARS = "retention_years"
        # What a school may choose (judgement: a primary school's years).
        CHOICES = (1..7)

        def initialize(database)
          @db = database
        end

        # @return [Integer, nil] nothing where records stay
        def years = @db[:facts].where(name: YEARS).get(:value)&.to_i

        # @param years [Integer, nil] one of {CHOICES}; nothing to let records stay
        def keep_for(years)
          return @db[:facts].where(name: YEARS).delete unless years

          value = years.to_s
          @db[:facts].insert_conflict(target: :name, update: { value: }).insert(name: YEARS, value:)
        end

        # Who has a name and has not answered for so long, nor come into a class.
        # @param today [Date]
        # @return [Array<Hash>] `id`, `class_id`, and the day of what was `last`
        def due(today)
          return [] unless years

          oldest = today.prev_year(years).iso8601
          rows = @db.from(lasts.as(:lasts)).where { last < oldest }.order(:id).all
          rows.reject { |row| row.delete(:name) == Erasing.nameless(row[:id]) }
        end

        private

        # Of each child when anything was last heard of it.
        def lasts
          answers = @db[:answers].where(child_id: Sequel[:children][:id]).select(Sequel.function(:max, :answered_at))
          moments = [answers, Sequel[:children][:joined_at]].map { |moment| Sequel.function(:coalesce, moment, "") }
          last = Sequel.function(:max, Sequel[:classes][:made_at], *moments)
          @db[:children].join(:classes, id: :class_id)
                        .select(Sequel[:children][:id], :class_id, Sequel[:children][:name], last.as(:last))
        end
      end
    end
  end
end
