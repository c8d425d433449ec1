# frozen_string_literal: true

# A teacher changes a lesson many times in a row: whatever is done, the promises of a lesson hold.
RSpec.describe Vantick::Core::Teaching::Lesson do
  let(:core) { Vantick::Core }

  def made(state) = lesson_of(step: step(state[:step]), task: task(:dial_to_words), **state.except(:step))

  def progress(lesson) = lesson.stages.to_h { |stage| [stage.id, stage.items.filter_map(&:time)] }

  # One of the changes that the pages offer, by lot.
  def change(state, lesson, random)
    kept = progress(lesson)
    case random.rand(4)
    when 0 then { **state, kept:, minutes: random.rand(20..75), stage_minutes: {} }
    when 1 then { **state, kept:, stage_minutes: moved(lesson, random) }
    when 2 then swapped(state, kept, random)
    else { **state, kept: {}, seed: random.rand(1000) }
    end
  end

  def moved(lesson, random)
    minutes = lesson.stages.to_h { |stage| [stage.id, stage.minutes] }
    from, to = minutes.keys.sample(2, random:)
    by = random.rand(0...minutes[from])
    minutes.merge(from => minutes[from] - by, to => minutes[to] + by)
  end

  def swapped(state, kept, random)
    stage = kept.keys.reject { |id| kept[id].empty? }.sample(random:)
    place = random.rand(kept[stage].length)
    { **state, kept: { **kept, stage => kept[stage].each_with_index.map { |one, at| at == place ? nil : one } },
      avoid: [kept[stage][place]] }
  end

  # Items from each time to the same one again.
  def apart(lesson)
    places = lesson.times.each_with_index.group_by(&:first).values
    places.flat_map { |same| same.map(&:last).each_cons(2).map { |before, after| after - before } }
  end

  # What comes once, and has no open place before it.
  def stays?(kept, stage, at)
    kept[stage].first(at).none?(&:nil?) && [*kept[stage].first(at), kept[stage][at]].all? { |one| kept.values.flatten.count(one) == 1 }
  end

  %i[quarter_to quarters fives_past fives minutes].each do |id|
    it "keeps its promises through thirty changes on #{id}" do
      random = Random.new(id.length)
      state = { step: id, minutes: 40, seed: 1 }
      lesson = made(state)
      30.times do
        state = change(state, lesson, random)
        lesson = made(state)
        expect(apart(lesson)).to be_empty.or(all(be >= (id == :quarter_to ? 4 : 8)))
        expect(lesson.stages.sum(&:minutes)).to eq(state[:minutes])
        expect(lesson.stages.map(&:spare_seconds)).to all(be >= 0)
        state.fetch(:kept, {}).each do |stage, times|
          found = progress(lesson).fetch(stage)
          times.first(found.length).each_with_index { |time, at| expect(found[at]).to eq(time) if time && stays?(state[:kept], stage, at) }
        end
        state = state.except(:avoid)
      end
    end
  end
end
