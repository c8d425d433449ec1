# frozen_string_literal: true

require "csv"

module Vantick
  module Server
    module Classes
      # The children of a class: they come, change their names, leave, come back, move, and are erased.
      class Children < Resource
        include Names

        MOST = 40
        COLUMNS = %i[answered_at step task time answer verdict read_as misreadings].freeze

        get "/api/classes/:class_id/register" do
          school_class = store.classes.find(input[:class_id])
          answer_json({ children: school_class.children, left: store.register.left(school_class.id) })
        end

        post "/api/classes/:class_id/children" do
          school_class = store.classes.find(input[:class_id])
          names = sent[:names].map { |name| tidy(name) }
          check_room(school_class, names.length, :names)
          check_names(names, :names, beside: names_in(school_class.id))
          store.register.add(school_class.id, names)
          answer_json(store.classes.find(school_class.id), code: 201)
        end

        put "/api/classes/:class_id/children/:child_id" do
          name = tidy(sent[:name])
          check_names([name], :name, beside: names_in(child.class_id, but: child.id))
          store.register.rename(child.id, name)
          answer_json(store.classes.find(child.class_id))
        end

        post "/api/classes/:class_id/children/:child_id/absence" do
          # Who is brought back needs a place as whoever comes new.
          check_room(store.classes.find(child.class_id), 1, :left) if child.left_at && !sent[:left]
          store.register.leave(child.id, sent[:left] ? now : nil)
          answer_json(store.classes.find(child.class_id))
        end

        post "/api/classes/:class_id/children/:child_id/move" do
          to = store.classes.find(sent[:to_class_id])
          unfit("#{child.name} is in this class already.", :to_class_id) if to.id == child.class_id

          check_room(to, 1, :to_class_id)
          check_names([child.name], :to_class_id, beside: names_in(to.id))
          store.register.move(child.id, to.id)
          answer_json(store.classes.find(child.class_id))
        end

        get "/api/classes/:class_id/children/:child_id/file.json" do
          attachment "child.json"
          answer_json({ **Formats::ChildFile::MARK, **store.register.everything(child.id) })
        end

        get "/api/classes/:class_id/children/:child_id/file.csv" do
          content_type "text/csv", charset: "utf-8"
          attachment "child.csv"
          Documents::AnswerTables.rows(COLUMNS, store.register.everything(child.id)[:answers])
        end

        post "/api/classes/:class_id/children/:child_id/erasure" do
          unfit("Type the child's name as it stands here: #{child.name}.", :name) unless tidy(sent[:name]) == child.name

          store.register.erase(child.id)
          Work::DailyCopies.after_erasure(store)
          answer_json({ erased: true })
        end

        private

        # Of this class, also one who left.
        def child
          @child ||= store.classes.child(input[:child_id]).tap do |found|
            raise Store::Missing.new("child", found.id) unless found.class_id == input[:class_id]
          end
        end

        def check_room(school_class, more, field)
          unfit("A class has at most #{MOST} children.", field) if school_class.children.length + more > MOST
        end

        def names_in(class_id, but: nil)
          store.register.named(class_id).values.reject { |row| row[:id] == but }.map { |row| row[:name] }
        end
      end
    end
  end
end
