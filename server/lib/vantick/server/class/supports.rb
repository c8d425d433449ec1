# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Weeks of help for a child: proposed, begun, and discarded.
      class Supports < Handler
        def read_support = record.to_h

        def begin_support
          weeks = record.weeks
          unfit("#{child.name} has shown every step.", :child_id) if weeks.empty?
          store.support_plans.begin(child.id, weeks, began_on: Date.jd(today).iso8601, at: now)
          record.to_h
        end

        def remove_support
          store.support_plans.remove(child.id)
          record.to_h
        end

        private

        def record = SupportRecord.new(store, school_class, child, today)

        def school_class = @school_class ||= store.classes.find(params.class_id)

        # Who left needs no weeks of help any more.
        def child
          @child ||= store.classes.child_in(school_class.id, params.child_id).tap do |found|
            raise Store::Missing.new("child", found.id) if found.left_at
          end
        end

        def today = Store::SchoolDay.today
      end
    end
  end
end
