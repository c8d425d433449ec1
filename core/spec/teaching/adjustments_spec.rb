# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::Adjustments do
  let(:core) { Vantick::Core }
  let(:fives) { core::Curriculum::Step.find(:fives) }
  let(:tasks) { core::Desk::DeskTask.of(fives).map(&:task) }

  # Judgement: half of a round, half of a sheet, and a dial of 78 points of which six fit a page.
  it "has its numbers from the table" do
    expect(described_class::TABLE.slice(:tasks, :share, :scale)).to eq(tasks: 5, share: 0.5, scale: 1.3)
  end

  it "changes nothing where nothing is set" do
    expect(described_class.none).to be_none
    expect(described_class.none.tasks(10)).to eq(10)
    expect(described_class.none.exercises(12)).to eq(12)
    expect(described_class.none.fitting(tasks)).to eq(tasks)
    expect(described_class.none.names).to eq([])
    expect(described_class.new(**described_class.none.to_h)).to be_none
  end

  it "gives half of the exercises, one at least, and never more than there were" do
    fewer = described_class.new({ fewer: true })
    expect([1, 2, 7, 12].map { |count| fewer.exercises(count) }).to eq([1, 1, 4, 6])
    expect([3, 5, 10].map { |count| fewer.tasks(count) }).to eq([3, 5, 5])
  end

  it "asks in one form alone, where a step can be asked in it" do
    { words: :digits, digits: :words }.each do |wanted, other|
      left = described_class.new({ notation: wanted.to_s }).fitting(tasks)
      expect(left.flat_map(&:forms)).not_to include(other)
      expect(left.flat_map(&:forms)).to include(wanted)
    end
    only = [core::Tasks::Task.find(:dial_to_words)]
    expect(described_class.new({ notation: "digits" }).fitting(only)).to eq(only)
  end

  it "refuses what it does not know" do
    expect { described_class.new({ quiet: true }) }.to raise_error(core::UnknownName)
    expect { described_class.new({ notation: "roman" }) }.to raise_error(core::UnknownName)
  end

  describe "at a device" do
    def learner(**set)
      step = core::Curriculum::Step.find(:quarters)
      core::Desk::Learner.new(step:, states: core::Curriculum::Step.with_times.to_h { |one| [one, :secure] },
                              ceiling: core::Curriculum::Step.find(:minutes), adjustments: described_class.new(set))
    end

    # Children who are always right, and always wrong.
    def played(learner, right:)
      (0...20).map do |at|
        turn = core::Desk::TaskSelector.for(learner, seed: at)
        answer = right ? turn.task.write(turn.task.right_answer(turn.times.first)) : "4:44"
        said = turn.said
        marked = turn.times.map { |time| core::Marking::Marker.mark(task: turn.task, time:, text: answer, said:) }
        learner = learner.with_turn(turn).after(marked)
        turn
      end
    end

    [true, false].each do |right|
      it "asks in digits alone to the end, #{right ? 'where all is right' : 'where all is wrong'}" do
        turns = played(learner(notation: "digits"), right:)
        expect(turns.flat_map { |turn| turn.task.forms }).not_to include(:words)
        expect(turns.map(&:step).uniq.length).to be > 1
      end

      it "has help on each clock that can have it, #{right ? 'where all is right' : 'where all is wrong'}" do
        helped, others = played(learner(help: true), right:).partition(&:helped)
        expect(helped).not_to be_empty
        expect(others.map { |turn| core::Choosing::Support.of(turn.step, turn.task) }).to be_empty.or(all(be_empty))
      end
    end

    it "ends a round after five, or when the time is up, unless neither counts" do
      over = ->(done, seconds, **set) { core::Desk::Round.over?(done:, seconds:, adjustments: described_class.new(set)) }
      expect(over[5, 0, fewer: true]).to be(true)
      expect(over[5, 0]).to be(false)
      expect(over[1, 300]).to be(true)
      expect(over[1, 3000, unhurried: true]).to be(false)
      expect(over[10, 0, unhurried: true]).to be(true)
    end
  end

  it "makes a child's own sheet shorter, larger, and with help on each clock" do
    items = Array.new(8) { |at| core::Choosing::SheetChoice::Item.new(time: fives.pool[at]).freeze }
    set = described_class.new({ fewer: true, larger: true, help: true })
    own = core::Choosing::Support.adjusted(items, set, helps: true)
    expect(own.map(&:time)).to eq(items.first(4).map(&:time))
    expect(own.map { |item| [item.larger, item.helped] }.uniq).to eq([[true, true]])
    expect(core::Choosing::Support.adjusted(items, set).map(&:helped)).to all(be_nil)
    expect(core::Choosing::Support.adjusted(items, described_class.none)).to eq(items)
  end
end
