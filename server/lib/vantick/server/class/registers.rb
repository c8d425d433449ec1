# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Classes of children: made, renamed, put away at the end of their year, moved up, erased.
      class Registers < Handler
        include Names

        def list_classes = { classes: Views::ClassesOfTeacher.of(store, teacher) }

        def make_class
          names = body.children.map { |name| tidy(name) }
          name = class_name(body.name)
          check_names(names, :children)
          conventions = Core::Wording::English.conventions_of(store.school.country[:id]).to_h
          school = tidy(body.school.to_s)
          store.classes.add(name:, school:, names:, made_at: now, account_id: teacher, conventions:)
        end

        def rename_class
          name = class_name(body.name)
          store.classes.find(params.class_id)
          store.classes.rename(params.class_id, name:, school: body.school && tidy(body.school))
        end

        def set_conventions
          store.classes.find(params.class_id)
          conventions = Core::Wording::Conventions.new(**body.conventions)
          store.classes.change(params.class_id, conventions: conventions.to_h)
        end

        def set_day
          conventions = store.classes.find(params.class_id).wording
          day = body.day.map(&:to_h)
          store.classes.change(params.class_id, day: Core::Wording::DayFacts.day(day, conventions))
        end

        def archive_class = store.classes.archive(params.class_id, body.archived ? now : nil)

        def promote_class
          old = store.classes.find(params.class_id)
          name = class_name(body.name)
          store.classes.next_year(old, name:, child_ids: moving_up(old), at: now, account_id: teacher)
        end

        def erase_class
          school_class = store.classes.find(params.class_id)
          unfit("Type the class's name exactly: #{school_class.name}.", :name) unless tidy(body.name) == school_class.name

          { erased: true, job: Work::Erasure.begin(store, "class", school_class.id) }
        end

        private

        def moving_up(school_class)
          unfit("Choose at least one child to move up.", :child_ids) if body.child_ids.empty?
          others = body.child_ids - school_class.children.map(&:id)
          unfit("One of these children isn't in the class.", :child_ids) if others.any?
          body.child_ids.uniq
        end
      end
    end
  end
end
