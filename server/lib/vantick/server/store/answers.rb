# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Every answer given. Rows are only ever added.
      class Answers
        # The id of an answer was used before, for another answer.
        class IdTaken < StandardError; end

        GIVEN = %i[item_id child_id answer].freeze
        LISTS = %i[misreadings slips].freeze
        # Answers of a child that are looked at (judgement: more than a year of checks).
        RECENT = 300
        # An item of a desk has a step and a task of its own, all others those of their check.
        ASKED = %i[step task].map { |name| Sequel.function(:coalesce, Sequel[:items][name], Sequel[:checks][name]).as(name) }.freeze
        OF_CLASS = [*%i[id item_id child_id misreadings].map { |name| Sequel[:answers][name] }, :check_id, :answer, :verdict, :read_as,
                    :answered_at, :time, :helped, *ASKED].freeze

        def initialize(database)
          @db = database
        end

        # Adds an answer; it corrects the one that stood before it.
        # @param given [Hash] `uuid`, `item_id`, `child_id` and `answer`
        # @param marked [Core::Marking::MarkedAnswer]
        # @return [Array(Rows::Answer, Boolean)] the answer as kept, and whether it is new
        # @raise [IdTaken]
        def add(given, marked, answered_at:)
          @db.transaction do
            kept = @db[:answers].first(uuid: given[:uuid])
            next [same(kept, given), false] if kept

            id = @db[:answers].insert(**given, **judgement(marked), corrects_id: current_id(given), answered_at:)
            [described(@db[:answers].first(id:)), true]
          end
        end

        # A whole table at once: each corrects what stood in its place.
        # @param rows [Array<Array(Hash, Core::Marking::MarkedAnswer)>] as for {#add}, no place twice
        def add_all(rows, answered_at:)
          @db.transaction do
            places = rows.map { |given, _| given.values_at(:item_id, :child_id) }
            last = @db[:answers].where(%i[item_id child_id] => places).order(:id)
            before = last.select_hash(%i[item_id child_id], :id)
            @db[:answers].multi_insert(rows.map do |given, marked|
              { **given, **judgement(marked), corrects_id: before[given.values_at(:item_id, :child_id)], answered_at: }
            end)
          end
        end

        # A first answer to what nobody else was asked: nothing stood before it.
        # @param given [Hash] as for {#add}
        # @param marked [Core::Marking::MarkedAnswer]
        def add_first(given, marked, answered_at:)
          @db[:answers].insert(**given, **judgement(marked), answered_at:)
        end

        # @param check_ids [Array<Integer>]
        # @return [Hash{Integer => Array<Rows::Answer>}] by check, the answers that no other corrects
        def current(check_ids)
          rows = @db[:answers].join(:items, id: :item_id).where(check_id: check_ids).select_all(:answers).select_append(:check_id)
          corrected = rows.exclude(corrects_id: nil).select_map(:corrects_id).to_set
          found = readable(rows.order(Sequel[:answers][:id]).all.reject { |row| corrected.include?(row[:id]) })
          by_check(found, overrides(found.map { |row| row[:id] }))
        end

        # @param check_id [Integer]
        # @return [Hash{Integer => Hash{String => Integer}}] by child, how many answers that stand have each verdict
        def tally(check_id)
          counts = of_check(check_id).group_and_count(Sequel[:answers][:child_id], :verdict).all
          counts.group_by { |row| row[:child_id] }.transform_values { |rows| rows.to_h { |row| row.values_at(:verdict, :count) } }
        end

        # @param check_id [Integer]
        # @param most [Integer]
        # @return [Hash{Integer => Array<Rows::AnswerWithItem>}] by child, the last answers that stand, oldest first, with
        #   what was asked and the verdict of the `second` try
        def last_of_each(check_id, most)
          place = Sequel.function(:row_number).over(partition: Sequel[:answers][:child_id], order: Sequel.desc(Sequel[:answers][:id]))
          numbered = of_check(check_id).select_all(:answers).select_append(place.as(:place))
          rows = @db.from(numbered.as(:answers)).where(Sequel[:place] <= most).order(Sequel[:answers][:id])
          with_second(readable(filtered(rows).all)).group_by(&:child_id)
        end

        # @param item_ids [Array<Integer>]
        # @return [Hash{Array(Integer, Integer) => String}] by item and child, the verdict that stands
        def verdicts(item_ids)
          rows = @db[:answers].where(item_id: item_ids).order(:id).select(:item_id, :child_id, :verdict).all
          rows.to_h { |row| [row.values_at(:item_id, :child_id), row[:verdict]] }
        end

        # A teacher's own verdict; the first one stays.
        # @param uuid [String]
        # @param verdict [String, nil] nothing takes it back
        # @return [Rows::Answer]
        # @raise [Missing]
        def overrule(uuid, verdict, ruled_at:)
          row = @db[:answers].first(uuid:) || raise(Missing.new("answer", uuid, field: "id"))
          @db[:overrules].insert(answer_id: row[:id], verdict: verdict || row[:verdict], ruled_at:)
          described(row, override_of(row[:id]))
        end

        # @param class_id [Integer]
        # @return [Array<Rows::AnswerWithItem>] the last {RECENT} answers of each child that stand, oldest first, with what was asked
        def of_class(class_id, limit: RECENT)
          children = @db[:children].where(class_id:, left_at: nil).order(:position).select_map(:id)
          return [] if children.empty?

          each = children.map { |child_id| recent(child_id, limit).from_self }
          with_overrides(each.reduce { |all, part| all.union(part, all: true, from_self: false) }.all)
        end

        # @param child_id [Integer]
        # @return [Array<Rows::AnswerWithItem>] the same of one child
        def of_child(child_id) = with_overrides(recent(child_id, RECENT).all)

        # @param child_id [Integer]
        # @return [Array<Hash>] answers that cannot be read and count nowhere: `id`, and `why` in words
        def unreadable(child_id)
          filtered(current_rows.where(Sequel[:answers][:child_id] => child_id)).all.filter_map do |row|
            why = Unreadable.why(row)
            { id: row[:uuid], why: } if why
          end
        end

        # @param row [Hash]
        # @return [Rows::Answer] as the rules judged it, whoever judged otherwise
        def self.first_said(row)
          lists = LISTS.to_h { |list| [list, row[list].split.freeze] }
          Rows::Answer.of(row, id: row[:uuid], first_verdict: row[:verdict], **lists)
        end

        private

        # One bad row takes no page with it: it is left out, and said in the log and on the child's page.
        def readable(rows) = rows.reject { |row| Unreadable.reported?(row) }

        # Those that no other corrects.
        def current_rows
          later = @db[:answers].from(Sequel[:answers].as(:later)).where(Sequel[:later][:corrects_id] => Sequel[:answers][:id])
          @db[:answers].exclude(later.exists)
        end

        # With what was asked.
        def filtered(rows)
          found = rows.join(:items, id: :item_id).join(:checks, id: Sequel[:items][:check_id])
          found.select_all(:answers).select_append(:time, :check_id, :helped, *ASKED)
        end

        def of_check(check_id) = current_rows.join(:items, id: :item_id).where(check_id:)

        def with_second(rows)
          second = @db[:tries].where(answer_id: rows.map { |row| row[:id] }).order(:id).select_hash(:answer_id, :verdict)
          rows.map { |row| Rows::AnswerWithItem.of(row, second: second[row[:id]], misreadings: row[:misreadings].split.freeze) }
        end

        # From the index of a child's answers backwards: as quick after a year as after a week. Oldest first.
        def recent(child_id, limit)
          rows = current_rows.where(Sequel[:answers][:child_id] => child_id)
          rows = rows.join(:items, id: :item_id).join(:checks, id: Sequel[:items][:check_id])
          rows.select(*OF_CLASS).reverse(Sequel[:answers][:id]).limit(limit).from_self.order(:id)
        end

        def by_check(found, overrides)
          found.group_by { |row| row[:check_id] }.transform_values { |group| group.map { |row| described(row, overrides[row[:id]]) } }
        end

        def with_overrides(found)
          overrides = overrides(found.map { |row| row[:id] })
          readable(found).map do |row|
            verdict = overrides.fetch(row[:id], row[:verdict])
            misreadings = (verdict == row[:verdict] ? row[:misreadings].split : []).freeze
            Rows::AnswerWithItem.of(row, second: nil, verdict:, misreadings:)
          end
        end

        # The verdict that a teacher gave last, by answer.
        def overrides(ids) = @db[:overrules].where(answer_id: ids).order(:id).select_hash(:answer_id, :verdict)

        def override_of(id) = overrides([id])[id]

        def judgement(marked)
          { verdict: marked.verdict.to_s, read_as: marked.read_as, read_short: marked.read_short,
            misreadings: marked.misreadings.join(" "), slips: marked.slips.join(" ") }
        end

        def current_id(given) = @db[:answers].where(given.slice(:item_id, :child_id)).max(:id)

        def same(kept, given)
          raise IdTaken unless kept.slice(*GIVEN) == given.slice(*GIVEN)

          described(kept, override_of(kept[:id]))
        end

        # The verdict that stands, and the first one beside it.
        def described(row, override = nil)
          first = Answers.first_said(row)
          # What a teacher judged otherwise is nobody's misreading.
          [nil, row[:verdict]].include?(override) ? first : first.with(verdict: override, misreadings: [].freeze)
        end
      end
    end
  end
end
