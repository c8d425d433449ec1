# frozen_string_literal: true

module Vantick
  module Server
    module Check
      # A check as a QTI package, for other programs.
      class Package < Handler
        def export_qti
          check = store.checks.find(params.check_id)
          items = Package.asked_first(check)
          unfit("This kind of check can't be exported as QTI.", :check_id) if items.empty?
          asked = items.map { |item| task_and_time(item) }
          conventions = store.classes.conventions(check.class_id)
          title = Core::Curriculum::Step.find(check.step).name
          package = Formats::Qti.new(title, check.code || "check-#{check.id}", asked, conventions).package
          file(package, "qti-#{check.code || check.id}.zip")
        end

        # What the first child is asked, where children have times of their own; a mistake to spot is no question of QTI's.
        # @param check [Store::Rows::Check]
        # @return [Array<Store::Rows::Item>] in the order in which they go out
        def self.asked_first(check)
          fitting = check.items.select { |item| Formats::QtiItem.fits?(task(item)) }
          fitting.group_by(&:child_id).values.first.to_a
        end

        # Clocks with cards are asked one by one.
        def self.task(item) = Core::Tasks::Task.find(item.task == "match" ? :dial_to_digital : item.task)

        private

        def task_and_time(item) = Package.task(item).then { |task| [task, task.parse_time(item.time)] }
      end
    end
  end
end
