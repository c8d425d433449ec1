# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Checks and their items.
      class Checks
        # Checks whose times are avoided in the next one.
        LAST = 2
        # Kinds of desks at which each child has tasks of their own, chosen as they go.
        OWN_TASKS = %w[baseline practice].freeze
        EMPTY = { child_id: nil, said: nil, misreading: nil, level: nil, step: nil, task: nil, helped: nil, larger: nil, example: nil,
                  half: nil, variant: nil }.freeze

        def initialize(database)
          @db = database
        end

        # @return [Rows::Check]
        # @raise [Missing]
        def find(id)
          described([@db[:checks].first(id:) || raise(Missing.new("check", id))]).first
        end

        # Desks for practice that nobody came to are no checks.
        # @param answered [Boolean] only those with an answer
        # @param only [Hash] `step`, those on it; `month` such as "2026-03", those made in it; `before`, those made before this check
        # @return [Array<Rows::Check>] newest first
        def all(class_id, limit:, answered: false, **only)
          found = some(class_id, **only)
          given = @db[:answers].join(:items, id: :item_id).where(check_id: Sequel[:checks][:id]).exists
          practice = @db[:desks].where(check_id: Sequel[:checks][:id], kind: OWN_TASKS).exists
          found = answered ? found.where(given) : found.where(Sequel.|(given, Sequel.~(practice)))
          described(found.reverse(:id).limit(limit).all)
        end

        def some(class_id, before: nil, step: nil, month: nil)
          found = @db[:checks].where(class_id:, **{ step: }.compact)
          found = found.where(Sequel.like(:made_at, "#{month}-%")) if month
          before ? found.where { id < before } : found
        end
        private :some

        # @return [Integer] the class that an item was made for
        def class_of_item(item_id) = @db[:items].join(:checks, id: :check_id).where(Sequel[:items][:id] => item_id).get(:class_id)

        # @return [Integer] the check that an item belongs to
        def check_of_item(item_id) = @db[:items].where(id: item_id).get(:check_id)

        # @return [Array<String>] the times of the class's last checks on a step; practice at the desks is none
        def last_times(class_id, step)
          practice = @db[:desks].where(check_id: Sequel[:checks][:id], kind: OWN_TASKS).exists
          last = @db[:checks].where(class_id:, step:).exclude(practice).reverse(:id).limit(LAST).select(:id)
          @db[:items].where(check_id: last).distinct.select_map(:time)
        end

        # @param child_ids [Array<Integer>]
        # @return [Hash{Integer => Hash}] by check that they answered, whether it was a `baseline`, and given on a `device`
        def ways(child_ids)
          answered = @db[:items].where(id: @db[:answers].where(child_id: child_ids).select(:item_id)).distinct.select(:check_id)
          kinds = @db[:desks].where(check_id: answered).select_hash(:check_id, :kind)
          paper = @db[:checks].where(id: answered).where(Sequel.like(:sheet, '%"kind":"baseline"%')).select_map(:id)
          kinds.transform_values { |kind| { baseline: kind == "baseline", device: true }.freeze }
               .merge(paper.to_h { |id| [id, { baseline: true, device: kinds.key?(id) }.freeze] })
        end

        # What was put before children since a moment, on paper or on screen.
        # @param since [String] ISO 8601
        # @return [Hash{Integer, nil => Array<Array(String, String)>}] task and time by child; by nobody what was for all
        def lately(class_id, since)
          task = Sequel.function(:coalesce, Sequel[:items][:task], Sequel[:checks][:task])
          rows = @db[:items].join(:checks, id: :check_id).where(class_id:).where { Sequel[:checks][:made_at] > since }
          had = rows.select_map([Sequel[:items][:child_id], task.as(:task), :time])
          had.group_by(&:first).transform_values { |some| some.map { |_, *asked| asked } }
        end

        # @return [Array<Integer>] the items that a child has
        def item_ids(id, child_id) = @db[:items].where(check_id: id).where(Sequel.|({ child_id: nil }, { child_id: })).select_map(:id)

        # @param code [String] as it was typed
        # @return [Rows::Check]
        # @raise [Missing]
        def coded(code)
          tidy = Codes.tidy(code)
          row = @db[:checks].first(code: tidy) || raise(Missing.new("sheet with the code", code[0, 20], field: "code"))
          described([row]).first
        end

        # @param times [Array<String>] in order, the same for all
        # @param items [Array<Hash>] in order, each with its `time`, where there is more to say of them
        # @param about [Hash] `step` and `task`; `sheet`, how the sheet looks; `code`, where it is printed already
        # @return [Rows::Check] the check made
        def add(class_id:, made_at:, times: [], items: times.map { |time| { time: } }, **about)
          @db.transaction do
            about[:code] ||= Codes.of_sheet { |candidate| @db[:checks].where(code: candidate).any? }
            id = @db[:checks].insert(class_id:, made_at:, **about, sheet: JSON.generate(about.fetch(:sheet, {})))
            rows = items.each_with_index.map { |item, position| { **EMPTY, **item, check_id: id, position: } }
            @db[:items].multi_insert(rows)
            find(id)
          end
        end

        # Two children have worked on each other's sheets: each gets the clocks that the other was given.
        # @raise [Core::Error] where one of them has answers already, or has no clocks of their own
        def swap(id, child_id, other_id)
          own = [child_id, other_id].map { |child| @db[:items].where(check_id: id, child_id: child).select_map(:id) }
          raise Core::Error.new("This child has no sheet in this check.", field: :child_id) if own.any?(&:empty?)
          if @db[:answers].where(item_id: own.flatten).any?
            raise Core::Error.new("Answers are already entered for these sheets. Clear them first.", field: :other_id)
          end

          @db.transaction do
            own.zip([other_id, child_id]) { |items, to| @db[:items].where(id: items).update(child_id: to) }
          end
        end

        private

        def described(rows)
          ids = rows.map { |row| row[:id] }
          desks = @db[:desks].where(check_id: ids).order(:id).select(:check_id, :id, :kind).as_hash(:check_id)
          items = @db[:items].where(check_id: ids).order(:position).select(:check_id, :id, :time, *EMPTY.keys).to_hash_groups(:check_id)
          rows.map do |row|
            asked = items.fetch(row[:id], []).map { |asked_item| item(asked_item, row) }
            Rows::Check.of(row, desk: desks[row[:id]]&.slice(:id, :kind)&.freeze, items: asked.freeze)
          end
        end

        def item(row, check) = Rows::Item.of(row, step: row[:step] || check[:step], task: row[:task] || check[:task])
      end
    end
  end
end
