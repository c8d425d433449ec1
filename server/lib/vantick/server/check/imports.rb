# frozen_string_literal: true

module Vantick
  module Server
    module Check
      # Answers that were given in another program: looked at first, taken as a table, and taken out again.
      class Imports < Handler
        def preview_answers
          matched = MatchedResponses.new(check, Package.asked_first(check), children, school_class.wording)
                                    .match(Formats::Foreign.responses(file_sent))
          unfit(none(matched), :file) if matched.answers.empty?
          { table: Documents::AnswerTables.csv(check, answering(matched), matched.answers),
            answers: matched.answers.length, left_out: matched.left_out.map(&:to_h) }
        end

        def list_imports = { imports: store.answer_imports.all(params.check_id) }

        def remove_import
          store.answer_imports.remove(params.check_id, params.import_id)
          current = store.answers.current([check.id]).fetch(check.id, [])
          Views::CheckView.check(check, school_class, current)
        end

        private

        def check = @check ||= store.checks.find(params.check_id)

        def school_class = @school_class ||= store.classes.find(check.class_id)

        # The table has a row for each child with answers, and for no other.
        def answering(matched)
          ids = matched.answers.map(&:child_id)
          school_class.with(children: school_class.children.select { |child| ids.include?(child.id) })
        end

        def none(matched)
          first = matched.left_out.first or return "There are no answers in this file."
          "None of the #{matched.left_out.length} answers fits this check. The first one: #{first.why}."
        end

        # By name, by the id that a child came with, and by the one that goes out with this school's lists.
        def children
          ids = store.register.source_ids(school_class.id)
          own_ids = Formats::OwnIds.new(store.school.sign)
          named = school_class.children.flat_map do |child|
            names = [child.name, ids[child.id], own_ids.of(:child, child.id)]
            folded(names.compact).map { |name| [name, child] }
          end
          named.group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
        end

        def folded(names)
          names.map { |name| Core::Wording::ChildNames.folded(name) }.uniq
        end
      end
    end
  end
end
