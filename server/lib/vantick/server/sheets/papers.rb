# frozen_string_literal: true

module Vantick
  module Server
    module Sheets
      # Sheets, tables and single dials as files. They are not JSON, so the contract's check of responses is not for them.
      class Papers < Resource
        get("/api/checks/:check_id/sheet.pdf") do
          check = store.checks.find(input[:check_id])
          only = input[:child_id] || (:spare if input[:spare])
          sheet = Pages::Printing.of_check(check, store.classes.find(check[:class_id])).drawn_sheet(check, only:, names: input[:names])
          pdf(sheet, "sheet-#{check[:code]}", Time.iso8601(check[:made_at]), input.slice(:part, :sides))
        end

        get("/api/classes/:class_id/material.pdf") do
          settings = input.except(:class_id, :sides)
          known = SheetMaker::Known.new(adjustments: store.register.adjustments(input[:class_id]))
          maker = SheetMaker.new(store.classes.find(input[:class_id]), settings, known:)
          part = maker.kind.keyed? ? "all" : "sheets"
          pdf(maker.sheet(made_at: now), settings[:kind], nil, { part:, **input.slice(:sides) })
        end

        get("/api/checks/:check_id/answers.csv") do
          check = store.checks.find(input[:check_id])
          current = store.answers.current([check[:id]]).fetch(check[:id], [])
          content_type "text/csv"
          headers "content-disposition" => %(attachment; filename="answers-#{check[:code] || check[:id]}.csv")
          joined = store.register.joined_later(check[:class_id])
          later = joined.keys.select { |id| Store::Register.not_here_then?(joined[id], current, id) }
          Documents::AnswerTables.csv(check, store.classes.find(check[:class_id]), current, later:)
        end

        get("/api/dial.svg") do
          page = Documents::Page.new(size: [240, 240])
          time = input[:time] && Core::Dial::DialTime.parse(input[:time])
          look = input.slice(*Pages::Printing::LOOK, :hands)
          Documents::Dial.new(page, [120, 120], 116 / Documents::Dial.reach(look), **look).draw(time&.hands)
          content_type "image/svg+xml"
          Documents::SvgWriter.write(page, embedded: true)
        end

        private

        def pdf(sheet, name, made_at, how)
          stack = Documents::Stack.new(sheet, **how)
          content_type "application/pdf"
          headers "content-disposition" => %(inline; filename="#{name}.pdf")
          Documents::PdfWriter.write(stack.pages, title: "#{sheet.title} · #{sheet.origin}", made_at:, duplex: stack.duplex)
        end
      end
    end
  end
end
