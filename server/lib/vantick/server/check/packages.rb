# frozen_string_literal: true

module Vantick
  module Server
    module Check
      # A check made of the times in a package from another program (QTI): looked at first, then made.
      class Packages < Resource
        post "/api/classes/:class_id/package-previews" do
          found = read
          answer_json({ times: found.times.map(&:to_s), step: step(found)&.id, task: task(found).id, left_out: found.left_out })
        end

        post "/api/classes/:class_id/packages" do
          found = read
          most = Core::Choosing::Chooser::IN_A_CHECK
          unfit("No question in this file has a time as its answer.", :file) if found.times.empty?
          unfit("A check can have at most #{most} clocks. This file has #{found.times.length} times.", :file) if found.times.length > most
          step = step(found) || unfit("No step has all of these times.", :file)
          check = store.checks.add(class_id: input[:class_id], step: step.id.to_s, task: task(found).id.to_s,
                                   times: found.times.map(&:to_s), made_at: now)
          answer_json(Views::CheckView.check(check, store.classes.find(input[:class_id]), []), code: 201)
        end

        private

        def read = Formats::Foreign.qti(file_sent)

        def task(found) = Core::Marking::Task.find(found.words ? :dial_to_words : :dial_to_digital)

        def step(found) = found.times.empty? ? nil : Core::Teaching::Step.holding(found.times, task(found))
      end
    end
  end
end
