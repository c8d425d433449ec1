# frozen_string_literal: true

require "csv"

module Vantick
  module Server
    module Classes
      # The children of a class: they come, change their names, leave, come back, move, and are erased.
      class Children < Handler
        include Names

        MOST = 40
        COLUMNS = %i[answered_at step task time answer verdict read_as misreadings].freeze

        def read_register
          school_class = store.classes.find(params.class_id)
          { children: school_class.children, left: store.register.left(school_class.id) }
        end

        def add_children
          school_class = store.classes.find(params.class_id)
          names = body.names.map { |name| tidy(name) }
          check_room(school_class, names.length, :names)
          check_names(names, :names, beside: names_in(school_class.id))
          store.register.add(school_class.id, names, now)
          store.classes.find(school_class.id)
        end

        def rename_child
          name = tidy(body.name)
          check_names([name], :name, beside: names_in(child.class_id, but: child.id))
          store.register.rename(child.id, name)
          store.classes.find(child.class_id)
        end

        def mark_left
          # Who is brought back needs a place as whoever comes new.
          check_room(store.classes.find(child.class_id), 1, :left) if child.left_at && !body.left
          store.register.leave(child.id, body.left ? now : nil)
          store.classes.find(child.class_id)
        end

        def move_child
          to = store.classes.find(body.to_class_id)
          check_move(to)
          store.register.move(child.id, to.id, now)
          store.classes.find(child.class_id)
        end

        def read_adjustments
          found = store.register.adjustments(store.classes.find(params.class_id).id)
          { children: found.map { |id, adjustments| adjusted(id, adjustments) } }
        end

        def adjust_child
          adjustments = Core::Teaching::Adjustments.new(body.to_h)
          store.register.adjust(child.id, adjustments)
          adjusted(child.id, adjustments)
        end

        def export_child_file
          file({ **Formats::ChildFile::MARK, **copy.to_h }, "child.json")
        end

        def export_child_table
          file(Documents::AnswerTables.rows(COLUMNS, copy.answers), "child.csv")
        end

        def export_child_pages
          pages = Documents::ChildPages.write(copy.to_h, copy.pictures, day: Date.jd(Store::SchoolDay.today).iso8601)
          file(pages, "child.pdf")
        end

        def erase_child
          unfit("Type the child's name exactly: #{child.name}.", :name) unless tidy(body.name) == child.name

          { erased: true, job: Work::Erasure.begin(store, "child", child.id, class_id: child.class_id) }
        end

        def list_erasures
          store.classes.plain(params.class_id)
          Views::JobView.jobs(store, Work::Erasure::KIND, class_id: params.class_id)
        end

        private

        def adjusted(child_id, adjustments) = { child_id:, set: adjustments.to_h, names: adjustments.names }

        def copy = @copy ||= Store::ChildCopy.new(store.db, child.id)

        def child = @child ||= store.classes.child_in(params.class_id, params.child_id)

        def check_move(to)
          unfit("#{child.name} is already in this class.", :to_class_id) if to.id == child.class_id

          check_room(to, 1, :to_class_id)
          check_names([child.name], :to_class_id, beside: names_in(to.id))
          check_owner(to)
        end

        # A shared child goes into a colleague's own class where the owner says so.
        def check_owner(to)
          owner = store.shares.owner(child.class_id)
          return if [teacher, store.shares.owner(to.id)].include?(owner)

          refuse(403, "This is a colleague's class. Only they can move a child to another teacher's class.", :to_class_id)
        end

        def check_room(school_class, more, field)
          unfit("A class can have at most #{MOST} children.", field) if school_class.children.length + more > MOST
        end

        def names_in(class_id, but: nil)
          store.register.named(class_id).values.reject { |row| row[:id] == but }.map { |row| row[:name] }
        end
      end
    end
  end
end
