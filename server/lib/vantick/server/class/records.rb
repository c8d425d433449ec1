# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # A child's record, groups for tomorrow, and how a class has done.
      class Records < Handler
        def read_record
          school_class = store.classes.find(params.class_id)
          child = store.classes.child_in(school_class.id, params.child_id)
          progress = child.left_at ? Store::ProgressCache.of_child(child, school_class, store, today:) : standing_of(school_class)
          answers = store.answers.of_child(child.id)
          record = RecordView.record(child, answers, school_class.wording, progress)
          { **record, unreadable: store.answers.unreadable(child.id) }
        end

        # As they were put together by hand, or as the answers propose.
        def read_groups
          Grouping.of(store, store.classes.find(params.class_id), most:)
        end

        def keep_groups
          groups = body.groups.map(&:to_h)
          check_children(groups.flat_map { |group| group[:child_ids] })
          store.kept_groups.keep(params.class_id, groups, now)
          { groups:, kept_at: now }
        end

        def reset_groups
          store.kept_groups.forget(params.class_id)
          Grouping.of(store, store.classes.find(params.class_id), most:)
        end

        # The whole year, so all answers and not the last ones alone.
        def read_history
          school_class = store.classes.find(params.class_id)
          progress = Store::ProgressCache.of_year(school_class, store, today:)
          weeks = Core::Teaching::ClassHistory.of(progress, today:)
          { weeks: weeks.map { |week| RecordView.week(week) } }
        end

        private

        def most = params.most || Core::Teaching::Groups::MOST_GROUPS

        # Each of the class once.
        def check_children(child_ids)
          known = store.classes.find(params.class_id).children.map(&:id)
          unfit("One of these children isn't in the class. Reload the page.", :groups) if (child_ids - known).any?
          unfit("A child can be in one group only.", :groups) if child_ids.uniq.length < child_ids.length
        end

        def standing_of(school_class) = Store::ProgressCache.of(school_class, store, today:)

        def today = Store::SchoolDay.today
      end
    end
  end
end
