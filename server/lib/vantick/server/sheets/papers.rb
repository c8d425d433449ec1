# frozen_string_literal: true

module Vantick
  module Server
    module Sheets
      # Sheets, tables and single dials as files.
      class Papers < Handler
        def print_sheet
          check = store.checks.find(params.check_id)
          only = params.child_id || (:spare if params.spare)
          sheet = Pages::Printing.of_check(check, store.classes.find(check.class_id)).drawn_sheet(check, only:, names: params.names)
          pdf(sheet, "sheet-#{check.code}", Time.iso8601(check.made_at), params.slice(:part, :sides))
        end

        def print_material
          settings = params.except(:class_id, :sides)
          known = SheetMaker::Known.new(adjustments: store.register.adjustments(params.class_id))
          maker = SheetMaker.new(store.classes.find(params.class_id), settings, known:)
          part = maker.kind.keyed? ? "all" : "sheets"
          pdf(maker.sheet(made_at: now), settings[:kind], nil, { part:, **params.slice(:sides) })
        end

        def export_check_answers
          check = store.checks.find(params.check_id)
          current = store.answers.current([check.id]).fetch(check.id, [])
          table = Documents::AnswerTables.csv(check, store.classes.find(check.class_id), current, later: later(check, current))
          file(table, "answers-#{check.code || check.id}.csv")
        end

        def draw_dial
          page = Documents::Page.new(size: [240, 240])
          time = params.time && Core::Dial::DialTime.parse(params.time)
          look = params.slice(*Pages::Printing::LOOK, :hands)
          Documents::Dial.new(page, [120, 120], 116 / Documents::Dial.reach(look), **look).draw(time&.hands)
          Documents::SvgWriter.write(page, embedded: true)
        end

        private

        # @return [Array<Integer>] children who came after the check
        def later(check, answers)
          joined = store.register.joined_later(check.class_id)
          joined.keys.select { |id| Store::Register.not_here_then?(joined[id], answers, id) }
        end

        def pdf(sheet, name, made_at, how)
          stack = Documents::Stack.new(sheet, **how)
          title = "#{sheet.title} · #{sheet.origin}"
          file(Documents::PdfWriter.write(stack.pages, title:, made_at:, duplex: stack.duplex), "#{name}.pdf", shown: true)
        end
      end
    end
  end
end
