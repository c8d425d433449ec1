# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # A child's record, groups for tomorrow, and how a class has done.
      class Records < Resource
        WEEKS = Store::LastMade.new

        get "/api/classes/:class_id/children/:child_id/record" do
          school_class = store.classes.find(input[:class_id])
          child = child_of(school_class, input[:child_id])
          standing = child.left_at ? Store::Standings.of_child(child, school_class, store, today:) : standing_of(school_class)
          answers = store.answers.of_child(child[:id])
          answer_json(RecordView.record(child, answers, school_class.wording, standing))
        end

        get "/api/classes/:class_id/groups" do
          standing = Store::Standings.of(store.classes.find(input[:class_id]), store, today:)
          groups = Core::Teaching::Groups.of(standing.known, most: input.fetch(:most, Core::Teaching::Groups::MOST_GROUPS), seed: today)
          answer_json({ groups: groups.map { |group| RecordView.group(group) } })
        end

        # The whole year, so all answers and not the last ones alone.
        get "/api/classes/:class_id/history" do
          school_class = store.classes.find(input[:class_id])
          conventions = school_class.wording
          given = store.answers.of_class(school_class[:id], limit: nil)
          weeks = WEEKS.of([store.object_id, school_class[:id]], [given, conventions.to_h, today]) { weeks(given, conventions, today) }
          answer_json({ weeks: weeks.map { |week| RecordView.week(week) } })
        end

        private

        def weeks(given, conventions, today)
          asked = given.group_by { |answer| answer[:child_id] }
          Core::Teaching::ClassHistory.of(asked.transform_values do |answers|
            answers.map do |answer|
              Store::Standings.asked(answer, conventions)
            end
          end, today:)
        end

        def standing_of(school_class) = Store::Standings.of(school_class, store, today:)

        def child_of(school_class, id)
          found = store.classes.child(id)
          found.class_id == school_class.id ? found : raise(Store::Missing.new("child", id))
        end

        def today = Store::SchoolDay.today
      end
    end
  end
end
