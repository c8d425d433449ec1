# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Check
      # Answers come in one at a time, are marked by core, and stay.
      class Answers < Handler
        def add_answer
          check = store.checks.find(params.check_id)
          item = item_of(check)
          child_of(check)
          conventions = store.classes.conventions(check.class_id)
          answer, new = keep(item, conventions)
          reply(Views::CheckView.answer(answer, conventions, item), status: new ? 201 : 200)
        end

        def override_verdict
          ruled = store.answers.overrule(params.answer_id, body.verdict, ruled_at: now)
          check = store.checks.find(store.checks.check_of_item(ruled.item_id))
          item = check.items.find { |candidate| candidate.id == ruled.item_id }
          Views::CheckView.answer(ruled, store.classes.conventions(check.class_id), item)
        end

        # All of a table or nothing: a row that cannot be taken is named, and nothing is kept.
        def import_answers
          check = store.checks.find(params.check_id)
          school_class = store.classes.find(check.class_id)
          # Marked before anybody has to wait for it.
          store.answer_imports.add(check.id, rows_marked(check, school_class), now)
          current = store.answers.current([check.id]).fetch(check.id, [])
          Views::CheckView.check(check, school_class, current)
        end

        private

        # @return [Array(Store::Rows::Answer, Boolean)] and whether it is new
        def keep(item, conventions)
          given = { item_id: item.id, child_id: body.child_id, answer: Store::MarkedAnswers.plain(body.answer) }
          marked = mark(item, given, conventions, store.register.adjustments_of(body.child_id).home)
          store.answers.add({ uuid: body.id, **given }, marked, answered_at: now)
        end

        def rows_marked(check, school_class)
          homes = store.register.adjustments(school_class.id).transform_values(&:home)
          Documents::AnswerTables.read(body.table, check, school_class).map do |row|
            marked(check, row, school_class.wording, homes[row[:child_id]])
          end
        end

        def marked(check, row, conventions, home)
          item = check.items.find { |candidate| candidate.id == row[:item_id] }
          [{ uuid: SecureRandom.uuid, **row }, mark(item, row, conventions, home)]
        rescue Core::Error => e
          child = store.classes.children(check.class_id).find { |candidate| candidate.id == row[:child_id] }
          unfit("#{child.name}, “#{row[:answer][0, 20]}”: #{e.message}", e.field)
        end

        def mark(item, row, conventions, home)
          own = -> { store.own_words.of(row[:child_id]) }
          Store::MarkedAnswers.typed(item, row[:answer], conventions.of_child(home:, own:))
        end

        def item_of(check)
          item = check.items.find { |candidate| candidate.id == body.item_id } || unfit("This clock isn't in this check.", :item_id)
          return item if [nil, body.child_id].include?(item.child_id)

          unfit("This clock is on another child's sheet.", :item_id)
        end

        def child_of(check)
          children = store.classes.children(check.class_id)
          children.find { |child| child.id == body.child_id } || unfit("This child isn't in the check's class.", :child_id)
        end
      end
    end
  end
end
