# frozen_string_literal: true

module Vantick
  module Server
    module Check
      # A check made of the times in a package from another program (QTI): looked at first, then made of those that are
      # chosen.
      class Packages < Handler
        def preview_package
          found = read
          { times: found.times.map(&:to_s), most: Core::Choosing::Chooser::IN_A_CHECK,
                        step: step(found)&.id, task: task(found).id, left_out: found.left_out }
        end

        def import_qti
          found = read
          unfit("No question in this file has a time as its answer.", :file) if found.times.empty?
          times = chosen(found)
          step = step(found, times) || unfit("No step has all of these times.", :file)
          check = store.checks.add(class_id: params.class_id, step: step.id.to_s, task: task(found).id.to_s,
                                   times: times.map(&:to_s), made_at: now)
          Views::CheckView.check(check, store.classes.find(params.class_id), [])
        end

        private

        def read = Formats::Foreign.qti(file_sent)

        def task(found) = Core::Tasks::Task.find(found.words ? :dial_to_words : :dial_to_digital)

        def step(found, times = found.times) = times.empty? ? nil : Core::Curriculum::Step.holding(times, task(found))

        # Those of its times that are wanted, in its order; without a choice all, where a check has room for them.
        def chosen(found)
          most = Core::Choosing::Chooser::IN_A_CHECK
          times = body.times ? found.times.select { |time| body.times.include?(time.to_s) } : found.times
          unfit("None of these times is in this file.", :times) if times.empty?
          return times if times.length <= most

          unfit("A check can have at most #{most} clocks. This file has #{times.length} times. Choose some of them.", :times)
        end
      end
    end
  end
end
