# frozen_string_literal: true

# What comes after the first check of a class that has had no lesson with Vantick yet.
RSpec.describe Vantick::Core::Teaching::ClassProgress do
  ladder = Vantick::Core::Curriculum::Step.with_times
  whole = ladder.select(&:whole?)

  # A class that answered the same clocks on one day.
  # @param right [Proc] of the number of a child, whether it reads rightly
  # @return [Hash] answers by child
  def answered(step, task:, count:, seed: 1, children: 4, right: ->(_child) { true })
    times = Vantick::Core::Choosing::Chooser.choose(step:, task:, count:, seed:).times
    (0...children).to_h { |child| [child, times.map { |time| asked(step, task, time, right.call(child)) }] }
  end

  def checked(...) = described_class.new(answered(...), today: 0)

  def asked(step, task, time, right)
    text = task.write(right ? task.right_answer(time) : task.right_answer(Vantick::Core::Dial::DialTime.from_index(time.index + 200)))
    marked = Vantick::Core::Marking::Marker.mark(task:, time:, text:)
    Vantick::Core::Curriculum::ItemResponse.new(step:, marked:, day: 0)
  end

  whole.product(%i[dial_to_words dial_to_digital], [5, 10]).each do |step, task, count|
    it "proposes nothing just read, or read through harder times: #{step.name.downcase}, #{count} of #{count} right in #{task}" do
      [1, 2].each do |seed|
        progress = checked(step, task: self.task(task), count:, seed:)
        found = progress.next_step
        expect([step, *step.foundations]).not_to include(found.step), "#{found.step&.id} after #{step.id}, seed #{seed}"
        own = progress.by_child.keys.map { |key| progress.next_for(key) }.uniq
        expect(own).to eq([found.step])
      end
    end
  end

  it "goes on for 26 children where nearly all read rightly, and says of how many it speaks" do
    progress = checked(step(:quarters), task: task(:dial_to_words), count: 5, children: 26, right: ->(child) { child > 1 })
    found = progress.next_step
    expect([found.step, found.children.length]).to eq([step(:fives_facts), 26])
  end

  it "passes over what nearly all have shown, and not what fewer have" do
    counted = lambda do |wrong|
      progress = checked(step(:half_past), task: task(:dial_to_words), count: 5, children: 26, right: ->(child) { child >= wrong })
      progress.next_step.step
    end
    expect(counted[3]).to eq(step(:quarter_past))
    expect([step(:hour_hand), step(:oclock), step(:half_past)]).to include(counted[13])
  end

  it "begins at the bottom where nobody read rightly, and counts no lesson" do
    progress = checked(step(:quarters), task: task(:dial_to_words), count: 5, right: ->(_child) { false })
    expect([step(:hour_hand), step(:oclock)]).to include(progress.next_step.step)
    expect(progress.next_step.children.length).to eq(4)
  end

  it "holds nothing against a class whose writing unreadable" do
    unread = answered(step(:quarters), task: task(:dial_to_words), count: 5).transform_values do |asked|
      asked.map { |one| one.dup.tap { |other| other.marked = mark(:dial_to_words, one.marked.time.to_s, "scribble") } }
    end
    progress = described_class.new(unread, today: 0)
    expect(progress.by_child.values.map { |child| child.states.fetch(step(:quarters)) }.uniq).to eq([:learning])
    expect(progress.by_child.values.flat_map(&:stumbles)).to eq([])
  end

  it "lets a child who comes late change nothing for the others" do
    answers = answered(step(:quarters), task: task(:dial_to_words), count: 5, children: 25)
    together, late = [answers, { **answers, late: [] }].map { |by_child| described_class.new(by_child, today: 0) }
    expect(late.next_step.step).to eq(together.next_step.step)
    expect(late.next_for(0)).to eq(together.next_for(0))
    expect(late.next_for(:late)).to eq(step(:hour_hand))
  end
end
