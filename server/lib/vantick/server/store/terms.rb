# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # The term of a class, and its plans: the newest one that was not put back holds. What was told of them
      # stays, so that it can be judged.
      class Terms
        # Made when the term was set, when answers came in, or by a teacher's change.
        CAUSES = %w[set answers change].freeze
        JSON_COLUMNS = %i[weekdays days_off lessons change forecast settings].freeze
        # What a teacher sets.
        SETTINGS = %i[first_day last_day weekdays days_off aim aim_day].freeze

        def initialize(database)
          @db = database
        end

        # @return [Rows::Term, nil]
        def of_class(class_id) = @db[:terms].first(class_id:)&.then { |row| Rows::Term.of(row) }

        # @return [Rows::Term] the term as it is set now
        def set(class_id, changed_at:, **term)
          kept = { **written(term), changed_at: }
          @db[:terms].insert_conflict(target: :class_id, update: kept).insert(class_id:, **kept)
          of_class(class_id)
        end

        # Nothing is left of it but the lessons that were given.
        def remove(class_id)
          @db.transaction { Terms.rows(@db, @db[:terms].where(class_id:)).each(&:delete) }
        end

        # @return [Array<Sequel::Dataset>] all rows of terms, those first that refer to others
        def self.rows(database, terms) = [*%i[forecasts term_plans].map do |table|
          database[table].where(term_id: terms.select(:id))
        end, terms]

        # @return [Rows::Term]
        # @raise [Missing]
        def find(id) = Rows::Term.of(@db[:terms].first(id:) || raise(Missing.new("term", id)))

        # @return [Rows::TermPlan, nil] the one that holds
        def plan(term_id) = plans(term_id, 1).first

        # @return [Array<Rows::TermPlan>] the newest first, without those that were put back
        def plans(term_id, limit)
          @db[:term_plans].where(term_id:, put_back_at: nil).reverse(:id).limit(limit).map { |row| Rows::TermPlan.of(row) }
        end

        # @return [Rows::TermPlan]
        # @raise [Missing]
        def find_plan(id) = Rows::TermPlan.of(@db[:term_plans].first(id:) || raise(Missing.new("plan", id)))

        # @param instead_of [Rows::TermPlan, nil] one that it takes the place of
        # @return [Rows::TermPlan]
        def add(term_id, instead_of: nil, **plan)
          @db.transaction do
            @db[:term_plans].where(id: instead_of.id).delete if instead_of
            Rows::TermPlan.of(@db[:term_plans].first(id: @db[:term_plans].insert(term_id:, **written(plan))))
          end
        end

        # @return [Rows::TermPlan] with more known of it
        def note(plan, **known)
          @db[:term_plans].where(id: plan.id).update(written(known))
          plan.with(**known)
        end

        # What is told of a term; of a day the last stays.
        # @param points [Array<Hash>]
        def foretold(term, points, day:)
          forecast = { aim: term.aim, aim_day: term.aim_day, points: JSON.generate(points) }
          @db[:forecasts].insert_conflict(target: %i[term_id day], update: forecast).insert(term_id: term.id, day:, **forecast)
        end

        # @return [Hash{String => Array<Hash>}] by day, what was told of the same goal and its day
        def told_before(term)
          rows = @db[:forecasts].where(term_id: term.id, aim: term.aim, aim_day: term.aim_day)
          rows.select_hash(:day, :points).transform_values { |points| JSON.parse(points, symbolize_names: true) }
        end

        # The plan before holds again, with the days and the aim that it was made for.
        # @param plan [Rows::TermPlan] the one that holds
        # @param before [Rows::TermPlan]
        # @return [Rows::Term]
        def put_back(plan, before, at)
          @db.transaction do
            @db[:term_plans].where(id: plan.id).update(put_back_at: at)
            term = find(plan.term_id)
            before.settings ? set(term.class_id, changed_at: at, **before.settings) : term
          end
        end

        # @return [String] what tells whether more is known of a class than before: its last answer, its children, its lessons, what a
        #   teacher said
        def known_of(class_id)
          children = @db[:children].where(class_id:)
          last = @db[:answers].where(child_id: children.select(:id)).max(:id)
          [last, children.where(left_at: nil).count, @db[:lessons].where(class_id:).exclude(given_at: nil).count,
           *TeacherJudgements.new(@db).mark(children.select_map(:id)).then { |mark| mark if mark.first.positive? }].join("/")
        end

        # Lessons that were planned for days that are over, and of which nobody said that they fell out.
        # @param today [String]
        # @return [Array<Hash>] with `day` and `step`
        def held(class_id, today)
          term = of_class(class_id)
          plan = term && plan(term.id)
          plan.to_h.fetch(:lessons, []).select { |lesson| lesson[:step] && lesson[:day] < today }
        end

        private

        def written(columns) = columns.to_h { |name, value| [name, JSON_COLUMNS.include?(name) && value ? JSON.generate(value) : value] }
      end
    end
  end
end
