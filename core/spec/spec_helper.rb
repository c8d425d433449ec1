# frozen_string_literal: true

require_relative "../../spec/all_of_some"
require_relative "../../spec/measured"

Measured.start("core")

require "vantick/core"

# Short ways of naming what most examples are about.
module CoreHelpers
  def time(text) = Vantick::Core::Dial::DialTime.parse(text)

  def task(id) = Vantick::Core::Tasks::Task.find(id)

  def step(id) = Vantick::Core::Curriculum::Step.find(id)

  def misreading(id) = Vantick::Core::Reading::Misreading.find(id)

  def mark(task_id, shown, text) = Vantick::Core::Marking::Marker.mark(task: task(task_id), time: time(shown), text:)

  # A lesson of some minutes; what else there is stands in its frame or its context.
  def lesson_of(step:, task:, minutes:, seed: 0, **more)
    teaching = Vantick::Core::Teaching
    known = more.slice(*teaching::LessonContext.members)
    teaching::Lesson.new(step:, task:, seed:, frame: teaching::LessonFrame.new(minutes:, **more.except(*known.keys)),
                         context: teaching::LessonContext.new(**known))
  end

  def all_times = Vantick::Core::Dial::DialTime.all
end

RSpec.configure do |config|
  config.include CoreHelpers
  config.disable_monkey_patching!
  config.order = :random
  config.raise_errors_for_deprecations!
end
