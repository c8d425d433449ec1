# frozen_string_literal: true

RSpec.describe Vantick::Core::Choosing::Support do
  steps = Vantick::Core::Curriculum::Step
  tasks = Vantick::Core::Tasks::Task
  choice = Vantick::Core::Choosing::SheetChoice
  kind = Vantick::Core::Choosing::SheetKind.find(:read)
  read = tasks.find(:dial_to_words)

  # From the glossary of supports: what each would give away stands beside it.
  {
    %i[oclock dial_to_words] => [], %i[hour_hand hour_only] => [], %i[fives_facts numeral_to_minutes] => [],
    %i[half_past dial_to_words] => %i[hour_gap], %i[quarter_to dial_to_words] => %i[hour_gap sides],
    %i[fives_past dial_to_digital] => %i[hour_gap minutes], %i[fives_to dial_to_digital] => %i[hour_gap minutes],
    %i[fives_to words_to_dial] => %i[hour_gap sides minutes], %i[minutes digital_to_words] => []
  }.each do |(step, task), help|
    it "has #{help.empty? ? 'no help' : help.join(', ')} for #{step} as #{task}" do
      expect(described_class.of(steps.find(step), tasks.find(task))).to eq(help)
    end
  end

  it "says what the clock has on it: the hour that has passed, and minutes as they are counted" do
    look = ->(step, task, shown) { described_class.look(steps.find(step), tasks.find(task), Vantick::Core::Dial::DialTime.parse(shown)) }
    expect(look[:fives_to, :dial_to_words, "12:35"]).to eq(hour_gap: 12, minute_numbers: :both_sides, sides: true)
    expect(look[:fives_to, :dial_to_digital, "3:35"]).to eq(hour_gap: 3, minute_numbers: :round)
    expect(look[:oclock, :dial_to_words, "3:00"]).to eq({})
    expect(described_class.look(steps.find(:quarter_to), tasks.find(:dial_to_words))).to eq(sides: true)
  end

  it "knows only steps and tasks that there are" do
    expect(described_class::STEPS.keys - steps.with_times.map(&:id)).to eq([])
    described_class::TASKS.each_key { |id| expect(tasks.find(id).id).to eq(id) }
  end

  { 1 => [6, 6], 2 => [8, 4], 3 => [8, 0] }.each do |level, (clocks, helped)|
    it "gives #{clocks} of eight clocks to level #{level}, the first #{helped} of them with help" do
      reader = choice::Reader.new(help: level)
      items = choice.new(kind:, step: steps.find(:fives), task: read, count: 8).versions([reader], 3).first
      expect(items.map(&:helped)).to eq(([true] * helped) + ([nil] * (clocks - helped)))
    end
  end

  it "has none where nobody says so, and refuses another level" do
    items = choice.new(kind:, step: steps.find(:fives), task: read, count: 8).items(3)
    expect(items.map(&:helped)).to eq([nil] * 8)
    expect { described_class.share(4) }.to raise_error(Vantick::Core::InvalidCount, /1 to 3/)
  end

  it "fades on a sheet with all levels too" do
    levels = Vantick::Core::Choosing::SheetKind.find(:levels)
    items = choice.new(kind: levels, step: steps.find(:fives), task: read, count: 4).items(3)
    expect(items.group_by(&:level).transform_values { |some| some.count(&:helped) }).to eq(1 => 4, 2 => 2, 3 => 0)
  end

  it "makes a right answer say less, and a wrong one about as much" do
    step = steps.find(:half_past)
    known = [true, false].to_h do |helped|
      [helped, [true, false].to_h do |right|
        answers = step.pool.first(4).map do |time|
          asked = right ? time : Vantick::Core::Dial::DialTime.from_index(time.index + 35)
          marked = Vantick::Core::Marking::Marker.mark(task: read, time:, text: Vantick::Core::Wording::Phrase.usual(asked))
          Vantick::Core::Curriculum::ItemResponse.new(step:, marked:, day: 1, helped:)
        end
        [right, Vantick::Core::Teaching::ChildProgress.new(answers, today: 1)]
      end]
    end
    alone, helped = known.values_at(false, true)
    expect(helped[true].known(step)).to be < alone[true].known(step) - 0.1
    expect(helped[false].known(step)).to be <= alone[false].known(step) + 0.05
    expect(helped[true].states[step]).not_to eq(:secure)
    time = step.pool.first
    right = Vantick::Core::Marking::Marker.mark(task: read, time:, text: Vantick::Core::Wording::Phrase.usual(time))
    item = Vantick::Core::Knowing::Item.of(read, time)
    expect([item.unknown(right), item.unknown(right, helped: true)]).to eq([0.15, 0.6])
  end
end
