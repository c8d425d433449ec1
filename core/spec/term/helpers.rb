# frozen_string_literal: true

# Children who answered so on some days, for what is said of a term.
module TermHelpers
  def asked(id, shown, answer, day, with = task(:dial_to_words))
    at = with.parse_time(shown)
    text = answer == :right ? with.write(with.right_answer(at)) : "nine past one"
    marked = Vantick::Core::Marking::Marker.mark(task: with, time: at, text:)
    Vantick::Core::Curriculum::ItemResponse.new(step: step(id), marked:, day:)
  end

  def misread(id, shown, text, day)
    marked = Vantick::Core::Marking::Marker.mark(task: task(:dial_to_words), time: time(shown), text:)
    Vantick::Core::Curriculum::ItemResponse.new(step: step(id), marked:, day:)
  end

  # So many answers on a step on one day, of which some are right.
  def day_of(id, day, count: 5, right: count)
    times = step(id).pool_for(task(:dial_to_words)).first(count)
    times.each_with_index.map { |at, place| asked(id, at.to_s, place < right ? :right : :wrong, day) }
  end

  def given(id, day) = Vantick::Core::Teaching::SchemeOfWork::GivenLesson.new(step: step(id), day:)

  def progress(by_child, today:, lessons: [])
    Vantick::Core::Teaching::ClassProgress.new(by_child, today:, record: Vantick::Core::Teaching::ClassRecord.new(lessons:))
  end

  def goal(aim, day) = Vantick::Core::Term::Goal.new(aim: Vantick::Core::Term::Aim.new(aim), day:)

  def past(from, **more) = Vantick::Core::Term::Past.new(from:, **more)

  # A term of so many weeks from a Monday (4 January 2027), three lessons a week.
  MONDAY = 2_461_410

  def days(weeks: 12, off: [])
    { first: MONDAY, last: MONDAY + (weeks * 7) - 1, weekdays: { monday: 45, wednesday: 30, friday: 45 }, off: }
  end
end

RSpec.configure { |config| config.include TermHelpers, file_path: %r{spec/term/} }
