# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # A child comes with a file from another Vantick: the record is there as if it had been answered here, marked by the class's ways.
      class ChildFiles < Handler
        include Names

        def preview_child_file
          name, file = read
          moments = file.answers.map(&:at)
          { name:, answers: moments.length, first: moments.min, last: moments.max }
        end

        def import_child_file
          name, file = read
          store.db.transaction { take(school_class, name, file) }
          store.classes.find(school_class.id)
        end

        private

        def school_class = @school_class ||= store.classes.find(params.class_id)

        # @return [Array(String, Formats::ChildFile)] the child's name as it is kept here, and the file
        def read
          file = Formats::ChildFile.new(file_sent, now: Clock.now)
          name = tidy(file.name)
          check_names([name], :file, beside: store.register.named(school_class.id).values.map { |row| row[:name] })
          unfit("A class can have at most #{Children::MOST} children.", :file) if school_class.children.length >= Children::MOST
          [name, file]
        end

        def take(school_class, name, file)
          store.register.add(school_class.id, [name], now)
          child_id = store.register.named(school_class.id).fetch(Core::Wording::ChildNames.folded(name))[:id]
          keep_id(school_class, child_id, file.source_id)
          return if file.answers.empty?

          check = build(school_class, child_id, file.answers)
          check.items.zip(file.answers).each { |item, answer| keep(item, answer, child_id, school_class.wording) }
        end

        # What was asked then, as one check.
        def build(school_class, child_id, answers)
          items = answers.map { |answer| { **answer.item, child_id: } }
          last = answers.last
          store.checks.add(class_id: school_class.id, **last.item.slice(:step, :task), items:, made_at: last.at)
        end

        # The school's own id goes along, where nobody of the class has it.
        def keep_id(school_class, child_id, source_id)
          return if source_id.to_s.empty? || store.register.source_ids(school_class.id).value?(source_id)

          store.register.keep_ids({ child_id => source_id })
        end

        # Marked anew by the class's ways; the teacher's ruling stays, and so does what was tried second.
        def keep(item, one, child_id, conventions)
          mark = ->(text) { Core::Marking::Marker.mark(task: one.task, time: one.time, text:, said: one.said, conventions:) }
          first = answer_row(item, child_id, one.text)
          store.answers.add_first(first, mark[one.text], answered_at: one.at)
          one.tries.each { |text, answered_at| store.turns.add_try(answer_row(item, child_id, text), mark[text], answered_at:) }
          rule(first[:uuid], one.ruling)
        end

        def answer_row(item, child_id, answer) = { uuid: SecureRandom.uuid, item_id: item.id, child_id:, answer: }

        def rule(uuid, ruling) = ruling && store.answers.overrule(uuid, ruling[:verdict], ruled_at: ruling[:ruled_at])
      end
    end
  end
end
