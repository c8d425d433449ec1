# frozen_string_literal: true

# Many ask at the same moment in a process that has made nothing yet. Writes what went wrong, a line each. See once_spec.rb.
require "vantick/core"

CORE = Vantick::Core

def answered(day)
  task = CORE::Tasks::Task.find(:dial_to_words)
  %w[3:30 7:45 4:15 9:00 12:30 2:10].map do |text|
    marked = CORE::Marking::Marker.mark(task:, time: CORE::Dial::DialTime.parse(text), text: "half past three")
    CORE::Curriculum::ItemResponse.new(step: CORE::Curriculum::Step.find(:quarters), marked:, day:)
  end
end

ASKED = [
  -> { CORE::Teaching::ChildProgress.new(answered(1), today: 9).next_step },
  -> { CORE::Teaching::ClassProgress.new({ 1 => answered(1), 2 => answered(2) }, today: 9).next_step },
  -> { CORE::Choosing::SheetKind.all.map { |kind| kind.id.to_s } },
  -> { CORE::Desk::DeskTask.of(CORE::Curriculum::Step.find(:quarters)).map(&:task) },
  -> { CORE::Choosing::Levels.pools(CORE::Curriculum::Step.find(:quarters), CORE::Tasks::Task.find(:dial_to_words)) },
  -> { CORE::Knowing::Diagnosis.new(answered(1).map(&:marked)).likely },
  -> { CORE::Wording::HomeLanguage.find(:pl) }
].freeze

gate = Queue.new
threads = Array.new(2 * ASKED.length) do |at|
  Thread.new do
    gate.pop
    ASKED[at % ASKED.length].call
  rescue StandardError => e
    puts "#{e.class}: #{e.message.lines.first} at #{e.backtrace.first}"
  end
end
threads.length.times { gate << true }
threads.each(&:join)
