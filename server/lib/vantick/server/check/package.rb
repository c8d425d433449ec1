# frozen_string_literal: true

module Vantick
  module Server
    module Check
      # A check as a QTI package, for other programs.
      class Package < Resource
        get "/api/checks/:check_id/qti.zip" do
          check = store.checks.find(input[:check_id])
          asked = first_version(check).map { |item| asked(item) }
          conventions = store.classes.conventions(check.class_id)
          content_type "application/zip"
          attachment "qti-#{check.code || check.id}.zip"
          title = Core::Teaching::Step.find(check.step).name
          Formats::Qti.new(title, check.code || "check-#{check.id}", asked, conventions).package
        end

        private

        # What the first child is asked, where children have times of their own; what is matched or put right is no question of QTI's.
        def first_version(check)
          fitting = check.items.select { |item| Formats::QtiItem.fits?(task(item)) }
          unfit("This kind of check can't be exported as QTI.", :check_id) if fitting.empty?
          fitting.group_by(&:child_id).values.first
        end

        # Clocks with cards are asked one by one.
        def task(item) = Core::Marking::Task.find(item.task == "match" ? :dial_to_digital : item.task)

        def asked(item) = [task(item), task(item).parse_time(item.time)]
      end
    end
  end
end
