# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # A child comes with a file from another Vantick: the record is there as if it had been answered here, marked by the class's ways.
      class ChildFiles < Resource
        include Names

        post "/api/classes/:class_id/child-files" do
          school_class = store.classes.find(input[:class_id])
          file = Formats::ChildFile.new(file_sent)
          name = tidy(file.name)
          check_names([name], :file, beside: store.register.named(school_class.id).values.map { |row| row[:name] })
          unfit("A class has at most #{Children::MOST} children.", :file) if school_class.children.length >= Children::MOST
          store.db.transaction { take(school_class, name, file.answers) }
          answer_json(store.classes.find(school_class.id), code: 201)
        end

        private

        def take(school_class, name, answers)
          store.register.add(school_class.id, [name])
          child_id = store.register.named(school_class.id).fetch(Core::Wording::ChildNames.folded(name))[:id]
          return if answers.empty?

          items = answers.map { |one| { **one.item, child_id: } }
          about = answers.last.item.slice(:step, :task)
          check = store.checks.add(class_id: school_class.id, **about, items:, made_at: answers.last.at)
          keep(check, answers, child_id, school_class.wording)
        end

        def keep(check, answers, child_id, conventions)
          check.items.zip(answers).each do |item, one|
            marked = Core::Marking::Marker.mark(task: one.task, time: one.time, text: one.text, said: one.said, conventions:)
            store.answers.add_first({ uuid: SecureRandom.uuid, item_id: item.id, child_id:, answer: one.text }, marked, answered_at: one.at)
          end
        end
      end
    end
  end
end
