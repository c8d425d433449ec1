# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Check
      # Answers come in one at a time, are marked by core, and stay.
      class Answers < Resource
        post "/api/checks/:check_id/answers" do
          check = store.checks.find(input[:check_id])
          item = item_of(check)
          child_of(check)
          text = Store::MarkedAnswers.plain(sent[:answer])
          conventions = store.classes.conventions(check[:class_id])
          home = store.register.adjustments_of(sent[:child_id]).home
          marked = Store::MarkedAnswers.typed(item, text, conventions, home:, own: -> { store.own_words.of(sent[:child_id]) })
          given = { uuid: sent[:id], item_id: item[:id], child_id: sent[:child_id], answer: text }
          answer, new = store.answers.add(given, marked, answered_at: now)
          answer_json(Views::CheckView.answer(answer, conventions, item), code: new ? 201 : 200)
        end

        post "/api/answers/:answer_id/overrides" do
          ruled = store.answers.overrule(input[:answer_id], sent[:verdict], ruled_at: now)
          check = store.checks.find(store.checks.check_of_item(ruled[:item_id]))
          item = check[:items].find { |one| one[:id] == ruled[:item_id] }
          answer_json(Views::CheckView.answer(ruled, store.classes.conventions(check[:class_id]), item))
        end

        # All of a table or nothing: a row that cannot be taken is named, and nothing is kept.
        post "/api/checks/:check_id/tables" do
          check = store.checks.find(input[:check_id])
          school_class = store.classes.find(check[:class_id])
          rows = Documents::AnswerTables.read(sent[:table], check, school_class)
          conventions = school_class.wording
          homes = store.register.adjustments(school_class.id).transform_values(&:home)
          # Marked before anybody has to wait for it.
          store.answer_imports.add(check.id, rows.map { |row| marked(check, row, conventions, homes[row[:child_id]]) }, now)
          current = store.answers.current([check[:id]]).fetch(check[:id], [])
          answer_json(Views::CheckView.check(check, school_class, current), code: 201)
        end

        private

        def marked(check, row, conventions, home)
          item = check[:items].find { |one| one[:id] == row[:item_id] }
          [{ uuid: SecureRandom.uuid, **row }, mark(item, row, conventions, home)]
        rescue Core::Error => e
          child = store.classes.children(check[:class_id]).find { |one| one[:id] == row[:child_id] }
          unfit("#{child[:name]}, “#{row[:answer][0, 20]}”: #{e.message}", e.field)
        end

        def mark(item, row, conventions, home)
          Store::MarkedAnswers.typed(item, row[:answer], conventions, home:, own: -> { store.own_words.of(row[:child_id]) })
        end

        def item_of(check)
          item = check[:items].find { |one| one[:id] == sent[:item_id] } || unfit("This clock isn't in this check.", :item_id)
          return item if [nil, sent[:child_id]].include?(item[:child_id])

          unfit("This clock is on another child's sheet.", :item_id)
        end

        def child_of(check)
          children = store.classes.children(check[:class_id])
          children.find { |child| child[:id] == sent[:child_id] } || unfit("This child isn't in the check's class.", :child_id)
        end
      end
    end
  end
end
