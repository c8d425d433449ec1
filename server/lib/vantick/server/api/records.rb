# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # What the answers of a class say over all checks: of a child, of groups for tomorrow, and week by week.
      class Records < Base
        get "/api/classes/:class_id/children/:child_id/record" do
          school_class = store.classes.find(input[:class_id])
          child = child_of(school_class, input[:child_id])
          answers = store.answers.of_child(child[:id])
          answer_json(RecordView.record(child, answers, conventions(school_class), today))
        end

        get "/api/classes/:class_id/groups" do
          school_class = store.classes.find(input[:class_id])
          asked = asked(school_class)
          known = asked.map { |id, some| known(id, some) }
          groups = Core::Groups.of(known, most: input.fetch(:most, Core::Groups::MOST_GROUPS))
          answer_json({ groups: groups.map { |group| RecordView.group(group) } })
        end

        get "/api/classes/:class_id/history" do
          weeks = Core::ClassHistory.of(asked(store.classes.find(input[:class_id])), today:)
          answer_json({ weeks: weeks.map { |week| RecordView.week(week) } })
        end

        private

        def child_of(school_class, id)
          school_class[:children].find { |one| one[:id] == id } || raise(Store::Missing.new("child", id))
        end

        def today = SchoolDay.today

        def conventions(school_class) = Core::Conventions.new(**school_class[:conventions])

        def asked(school_class)
          answers = store.answers.of_class(school_class[:id]).group_by { |answer| answer[:child_id] }
          school_class[:children].to_h do |child|
            [child[:id], answers.fetch(child[:id], []).map { |answer| Standings.asked(answer, conventions(school_class)) }]
          end
        end

        # Answers say less as they grow old.
        def known(id, asked)
          last = asked.last(Core::Secure::LOOKED_AT)
          diagnosis = Core::Diagnosis.new(last.map(&:marked), ages: last.map { |one| today - one.day })
          misreading = diagnosis.top.misreadings.first if diagnosis.verdict == "likely"
          step = Core::Standing.new(asked, today:).next_step
          Core::Groups::Known.new(key: id, misreading:, step:)
        end
      end
    end
  end
end
