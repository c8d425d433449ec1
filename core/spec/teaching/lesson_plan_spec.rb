# frozen_string_literal: true

# What a teacher settles is plain data, and comes back as plain data: the lesson made of it is the same each time.
RSpec.describe Vantick::Core::Teaching::LessonPlan do
  let(:core) { Vantick::Core }
  let(:usual) { core::Wording::Conventions.default }

  def plan(day: [], **settled)
    settings = Vantick::Core::Teaching::LessonSettings.of(minutes: 40, seed: 3, **settled)
    Vantick::Core::Teaching::LessonPlan.new(settings, usual, day)
  end

  def times(plan) = plan.settings.kept

  it "settles every time of every step's lesson, and makes the same lesson of what it settled" do
    core::Curriculum::Step.with_times.each do |step|
      next if described_class.tasks(step).empty?

      made = plan(step: step.id)
      again = described_class.new(made.settings, usual)
      expect(times(again)).to eq(times(made)), step.id.to_s
      expect(times(made).values.flatten).to all(match(/\A\d{1,2}:\d\d\z/))
    end
  end

  it "begins with the words for a dial where a step has them, else with its own task" do
    expect(plan(step: "fives").task.id).to eq(:dial_to_words)
    expect(plan(step: "hour_hand").task.id).to eq(:hour_only)
    expect(plan(step: "day_halves").task.id).to eq(:day_half)
  end

  it "refuses what no lesson can be about, in the field where it belongs" do
    { { step: "fives", task: "numeral_to_minutes" } => :task, { step: "lunch" } => :step, { step: "fives", minutes: 4 } => :minutes,
      { step: "fives", stage_minutes: { show: 1 } } => :stage_minutes, { step: "fives", kept: { show: ["25:99"] } } => :time,
      { step: "fives", activities: { together: "nap" } } => :activities }
      .each do |settled, field|
      expect { plan(**settled) }.to raise_error(core::Error) { |error|
        expect(error.field.to_sym).to eq(field), "#{settled} #{error.field}"
      }
    end
  end

  it "forgets the pins of parts that a shorter lesson does not have" do
    found = plan(step: "fives", minutes: 5, kept: { show: ["9:20"] }, pinned: { show: ["9:20"], together: [] })
    expect(found.settings.pinned).to eq({ show: [], together: [] })
    expect(plan(step: "fives", minutes: 5, kept: { show: [nil] }).lesson.stages.length).to eq(2)
  end

  it "lets a lesson have a method of its own, beside the class's words" do
    own = plan(step: "fives", method: { counting: "landmarks" })
    of = ->(conventions) { conventions.to_h.values_at(:counting, :past_word) }
    expect(of[own.conventions]).to eq([:landmarks, of[usual].last])
    expect(of[usual].first).not_to eq(:landmarks)
    expect(own.settings.teaching_method.keys).to match_array(described_class::METHOD)
  end

  it "keeps a pin with its time, and drops it where the time has gone" do
    made = plan(step: "fives")
    first = times(made)[:show].first
    pinned = described_class.new(made.settings.with(pinned: { show: [first] }), usual)
    expect(pinned.settings.pinned).to eq(show: [first])
    gone = described_class.new(pinned.settings.with(kept: { show: [] }, swapped: [first]), usual)
    expect(gone.settings.pinned[:show]).to eq([])
  end

  it "asks other times at the end than the last exits did" do
    last = times(plan(step: "fives"))[:exit]
    again = times(plan(step: "fives", exit_avoid: last))[:exit]
    expect([again & last, again.length]).to eq([[], last.length])
  end

  it "says that there is no other time where a swap finds none" do
    made = plan(step: "fives")
    swapped = times(made)[:exit].each_with_index.map { |time, at| at.zero? ? nil : time }
    found = described_class.new(made.settings.with(kept: { **times(made), exit: swapped }, swapped: [times(made)[:exit].first]), usual)
    expect(times(found)[:exit].first).not_to eq(times(made)[:exit].first)
    expect(times(found)[:exit].drop(1)).to eq(times(made)[:exit].drop(1))
  end

  describe Vantick::Core::Teaching::LessonCopy do
    it "lets pinned times stand where they stood, and chooses all others anew" do
      made = plan(step: "fives")
      pins = { together: [times(made)[:together][2]] }
      copy = described_class.of(made.settings.with(pinned: pins), 9, usual, [])
      expect(times(copy)[:together][2]).to eq(pins[:together].first)
      expect(times(copy).values.flatten & times(made).values.flatten).to eq(pins[:together])
    end

    it "takes the same times again where the step has no others" do
      made = plan(step: "oclock")
      copy = described_class.of(made.settings, 9, usual, [])
      expect(copy.lesson.stages.sum(&:missing)).to be <= made.lesson.stages.sum(&:missing)
      expect(copy.settings.swapped).to eq([])
    end
  end
end
