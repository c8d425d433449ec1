# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Classes of children: made, renamed, put away at the end of their year, moved up, erased.
      class Registers < Resource
        include Names

        # Those of the teacher, and those that colleagues share with them or have lent them.
        get "/api/classes" do
          shared = store.shares.of_account(teacher)
          own = { of: nil, right: :owning, until: nil }
          classes = store.classes.all(of: teacher).map { |one| { **one.to_h, **shared.fetch(one.id, own) } }
          answer_json({ classes: })
        end

        post "/api/classes" do
          names = sent[:children].map { |name| tidy(name) }
          name = class_name(sent[:name])
          check_names(names, :children)
          conventions = Core::Wording::English.conventions_of(store.school.country[:id]).to_h
          school = tidy(sent.fetch(:school, ""))
          answer_json(store.classes.add(name:, school:, names:, made_at: now, account_id: teacher, conventions:), code: 201)
        end

        put "/api/classes/:class_id" do
          name = class_name(sent[:name])
          store.classes.find(input[:class_id])
          answer_json(store.classes.rename(input[:class_id], name:, school: sent[:school] && tidy(sent[:school])))
        end

        put "/api/classes/:class_id/conventions" do
          store.classes.find(input[:class_id])
          conventions = Core::Wording::Conventions.new(**sent[:conventions].transform_keys(&:to_sym))
          answer_json(store.classes.change(input[:class_id], conventions: conventions.to_h))
        end

        put "/api/classes/:class_id/day" do
          conventions = store.classes.find(input[:class_id]).wording
          day = sent[:day].map { |event| event.transform_keys(&:to_sym) }
          answer_json(store.classes.change(input[:class_id], day: Core::Wording::DayFacts.day(day, conventions)))
        end

        post("/api/classes/:class_id/archive") { answer_json(store.classes.archive(input[:class_id], sent[:archived] ? now : nil)) }

        post "/api/classes/:class_id/next-year" do
          old = store.classes.find(input[:class_id])
          name = class_name(sent[:name])
          unfit("Choose at least one child to move up.", :child_ids) if sent[:child_ids].empty?
          others = sent[:child_ids] - old.children.map { |child| child[:id] }
          unfit("One of these children isn't in the class.", :child_ids) if others.any?
          answer_json(store.classes.next_year(old, name:, child_ids: sent[:child_ids].uniq, at: now, account_id: teacher), code: 201)
        end

        post "/api/classes/:class_id/erasure" do
          school_class = store.classes.find(input[:class_id])
          unfit("Type the class's name exactly: #{school_class.name}.", :name) unless tidy(sent[:name]) == school_class.name

          answer_json({ erased: true, job: Work::Erasure.begin(store, "class", school_class.id) })
        end
      end
    end
  end
end
