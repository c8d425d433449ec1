# frozen_string_literal: true

require "vantick/core"

# Short ways of naming what most examples are about.
module CoreHelpers
  def time(text) = Vantick::Core::DialTime.parse(text)

  def task(id) = Vantick::Core::Task.find(id)

  def step(id) = Vantick::Core::Step.find(id)

  def misreading(id) = Vantick::Core::Misreading.find(id)

  def mark(task_id, shown, text) = Vantick::Core::Marker.mark(task: task(task_id), time: time(shown), text:)

  def all_times = Vantick::Core::DialTime.all
end

RSpec.configure do |config|
  config.include CoreHelpers
  config.disable_monkey_patching!
  config.order = :random
  config.raise_errors_for_deprecations!
end
