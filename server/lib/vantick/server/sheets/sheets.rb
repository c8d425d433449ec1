# frozen_string_literal: true

module Vantick
  module Server
    module Sheets
      # Sheets of a class: looked at before they are printed, kept with their code where they have answers.
      class Sheets < Resource
        # Children whose pages are in a preview.
        SHOWN = 1

        post "/api/classes/:class_id/sheet-previews" do
          maker = maker(input[:class_id], sent)
          sheet = maker.sheet(only: maker.kind.id == :slips ? 4 : SHOWN)
          pages = { pages: sheet.pages, answer_pages: sheet.answer_pages }
          choice = maker.choice(sheet)
          answer_json({ **pages.transform_values { |some| some.map { |page| Documents::SvgWriter.write(page) } },
                        task: maker.task&.id, choice: choice && Views::CheckView.choice(choice) })
        end

        post "/api/classes/:class_id/sheets" do
          maker = maker(input[:class_id], sent)
          unfit("#{maker.kind.name} has no answers to type in: print it as it is.", :kind) unless maker.kind.answered?

          check = store.checks.add(class_id: input[:class_id], step: maker.step.id.to_s, task: maker.task.id.to_s, items: maker.items,
                                   sheet: maker.settings, made_at: now)
          answer_json({ check_id: check[:id], code: check[:code] }, code: 201)
        end

        get "/api/sheets/:code" do
          check = store.checks.coded(input[:code])
          answer_json({ check_id: check[:id], code: check[:code], class_id: check[:class_id] })
        end

        private

        def maker(class_id, settings)
          school_class = store.classes.find(class_id)
          own = settings[:kind] == "spot" ? own_misreadings(school_class) : []
          SheetMaker.new(school_class, settings.transform_keys(&:to_sym), misreadings: own)
        end

        # What the class's answers show, the commonest first.
        def own_misreadings(school_class)
          conventions = school_class.wording
          answers = store.answers.of_class(school_class[:id]).group_by { |answer| answer[:child_id] }
          marked = answers.transform_values { |some| some.map { |answer| Store::Marks.asked(answer, conventions) } }
          Core::Judging::ClassEvidence.new(marked).showing.sort_by { |_, children| -children.length }.map(&:first)
        end
      end
    end
  end
end
