# frozen_string_literal: true

# How a step that a child was never asked on begins, with children who answer as they are simulated to.
RSpec.describe Vantick::Core::Desk::Beginning do
  core = Vantick::Core
  steps = core::Curriculum::Step.with_times

  def right(turn)
    turn.times.map do |time|
      said = turn.task.write(turn.task.right_answer(time))
      said = "#{turn.mistake.id}; #{Vantick::Core::Wording::Phrase.usual(time)}" if turn.mistake
      Vantick::Core::Marking::Marker.mark(task: turn.task, time:, text: said, said: turn.said&.words)
    end
  end

  # @return [Array<Turn>] of a child who gets all right
  def sitting(step, count: 12, answers: [mark(:dial_to_words, "3:00", "three o'clock")], state: :not_yet, **known)
    states = Vantick::Core::Curriculum::Step.with_times.to_h { |one| [one, state] }
    learner = Vantick::Core::Desk::Learner.new(step:, answers:, states:, **known)
    (1..count).map do |seed|
      turn = Vantick::Core::Desk::TaskSelector.for(learner, seed:)
      learner = learner.with_turn(turn).after(right(turn))
      turn
    end
  end

  steps.each do |step|
    it "shows one clock at most on #{step.name}: another one of it, before the first task" do
      turns = sitting(step)
      shown = turns.select(&:example)
      expect(shown.length).to eq(described_class.fits?(turns.first.task) && !step.together? ? 1 : 0)
      shown.each do |turn|
        expect(turn).to be(turns.first)
        expect([step.pool.include?(turn.example), turn.times.include?(turn.example)]).to eq([true, false])
        expect([turn.helped, turn.half?]).to eq([true, true])
      end
    end
  end

  it "shows none where the step is not new, nothing is known of the child, or the child is met for the first time" do
    quarter = step(:quarter_to)
    turns = %i[learning nearly secure].flat_map { |state| sitting(quarter, state:) } + sitting(quarter, answers: [])
    expect(turns.filter_map(&:example)).to eq([])
  end

  it "shows one on each step that a child goes on to within a round" do
    turns = sitting(step(:half_past), count: 20, ceiling: step(:quarters))
    begun = turns.reject { |turn| turn.reason == :known }.group_by(&:step).transform_values(&:first)
    expect(begun.length).to be > 2
    expect(begun.select { |step, turn| described_class.fits?(turn.task) && !step.together? }.values).to all(be_half)
  end

  # What strips, pads and dials have when the child comes to them.
  [[:dial_to_words, "7:45", { words: { count: ["quarter"], side: ["to"] } }],
   [:dial_to_words, "8:23", { words: { count: %w[twenty three minutes], side: ["past"] } }],
   [:dial_to_words, "3:00", { words: { count: [], side: ["o'clock"] } }], [:dial_to_digital, "10:05", { digits: "10:" }],
   [:digital_to_dial, "7:45", { minute_hand_degrees: 270 }]].each do |task, time, done|
    it "has done of #{task} at #{time} all but the last part" do
      found = described_class.half(core::Tasks::Task.find(task), core::Dial::DialTime.parse(time))
      expect(found.to_h.compact).to eq(done)
    end
  end

  it "has done words that the step's strips have, for all times that are asked" do
    steps.select { |step| step.tasks.any? { |task| task.id == :dial_to_words } }.each do |step|
      strips = core::Desk::Strips.for(step).to_h { |strip| [strip.part, strip.words] }
      step.pool.each do |time|
        words = described_class.half(core::Tasks::Task.find(:dial_to_words), time).words
        expect(words[:count] - strips.fetch(:count, [])).to eq([]), "#{step.id} #{time}"
        expect(strips[:side]).to include(*words[:side])
      end
    end
  end
end
