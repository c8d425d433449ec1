# frozen_string_literal: true

module Vantick
  module Server
    module Sheets
      # Sheets, tables and single dials as files. They are not JSON, so the contract's check of responses is not for them.
      class Papers < Resource
        PARTS = { "all" => %i[pages answer_pages], "sheets" => [:pages], "answers" => [:answer_pages] }.freeze

        get("/api/checks/:check_id/sheet.pdf") do
          check = store.checks.find(input[:check_id])
          settings = { kind: "read", step: check[:step], task: check[:task], names: true, **check[:sheet] }
          only = input[:child_id] || (:spare if input[:spare])
          sheet = SheetMaker.new(store.classes.find(check[:class_id]), settings).kept(check, only:)
          pdf(sheet, input.fetch(:part, "all"), "sheet-#{check[:code]}")
        end

        get("/api/classes/:class_id/material.pdf") do
          settings = input.except(:class_id, :part)
          sheet = SheetMaker.new(store.classes.find(input[:class_id]), settings).sheet
          pdf(sheet, "all", settings[:kind])
        end

        get("/api/checks/:check_id/answers.csv") do
          check = store.checks.find(input[:check_id])
          standing = store.answers.standing([check[:id]]).fetch(check[:id], [])
          content_type "text/csv"
          headers "content-disposition" => %(attachment; filename="answers-#{check[:code] || check[:id]}.csv")
          Documents::AnswerTables.csv(check, store.classes.find(check[:class_id]), standing)
        end

        get("/api/dial.svg") do
          page = Documents::Page.new(size: [240, 240])
          time = input[:time] && Core::Dial::DialTime.parse(input[:time])
          look = input.slice(*SheetMaker::LOOK, :hands)
          Documents::Dial.new(page, [120, 120], input.fetch(:minute_numbers, "none") == "none" ? 116 : 100, **look).draw(time&.hands)
          content_type "image/svg+xml"
          Documents::SvgWriter.write(page)
        end

        private

        def pdf(sheet, part, name)
          pages = PARTS.fetch(part)
          content_type "application/pdf"
          headers "content-disposition" => %(inline; filename="#{name}.pdf")
          Documents::PdfWriter.write(pages.flat_map { |some| sheet.public_send(some) }, title: sheet.title, made_at: Time.now)
        end
      end
    end
  end
end
