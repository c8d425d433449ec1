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
          store.register.add(school_class.id, names, now)
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
          unfit("#{child.name} is already in this class.", :to_class_id) if to.id == child.class_id

          check_room(to, 1, :to_class_id)
          check_names([child.name], :to_class_id, beside: names_in(to.id))
          check_owner(to)
          store.register.move(child.id, to.id, now)
          answer_json(store.classes.find(child.class_id))
        end

        get "/api/classes/:class_id/adjustments" do
          found = store.register.adjustments(store.classes.find(input[:class_id]).id)
          answer_json({ children: found.map { |id, one| adjusted(id, one) } })
        end

        put "/api/classes/:class_id/children/:child_id/adjustments" do
          adjustments = Core::Teaching::Adjustments.new(sent)
          store.register.adjust(child.id, adjustments)
          answer_json(adjusted(child.id, adjustments))
        end

        get "/api/classes/:class_id/children/:child_id/file.json" do
          attachment "child.json"
          answer_json({ **Formats::ChildFile::MARK, **copy.to_h })
        end

        get "/api/classes/:class_id/children/:child_id/file.csv" do
          content_type "text/csv", charset: "utf-8"
          attachment "child.csv"
          Documents::AnswerTables.rows(COLUMNS, copy.answers)
        end

        get "/api/classes/:class_id/children/:child_id/file.pdf" do
          content_type "application/pdf"
          attachment "child.pdf"
          Documents::ChildPages.write(copy.to_h, copy.pictures, day: Date.jd(Store::SchoolDay.today).iso8601)
        end

        post "/api/classes/:class_id/children/:child_id/erasure" do
          unfit("Type the child's name exactly: #{child.name}.", :name) unless tidy(sent[:name]) == child.name

          answer_json({ erased: true, job: Work::Erasure.begin(store, "child", child.id, class_id: child.class_id) })
        end

        get "/api/classes/:class_id/erasures" do
          store.classes.plain(input[:class_id])
          answer_json(Views::JobView.jobs(store, Work::Erasure::KIND, class_id: input[:class_id]))
        end

        private

        def adjusted(child_id, adjustments) = { child_id:, set: adjustments.to_h, names: adjustments.names }

        def copy = @copy ||= Store::ChildCopy.new(store.db, child.id)

        def child = @child ||= store.classes.child_in(input[:class_id], input[:child_id])

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
