# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::Groups do
  def known(key, misreading_id = nil, step_id = nil)
    described_class::Known.new(key:, misreading: misreading_id && misreading(misreading_id), step: step_id && step(step_id))
  end

  def groups(children, **more) = described_class.of(children, **more)

  it "puts everyone in one group, as many as can be led, and nobody is torn from a need that has a group" do
    random = Random.new(4)
    ids = Vantick::Core::Reading::Misreading.all.map(&:id).sample(5, random:) + ([nil] * 6)
    steps = %i[oclock quarters fives minutes]
    shares = (2..32).to_a.product([4, 6]).map do |size, most|
      children = Array.new(size) { |key| known(key, ids.sample(random:), steps.sample(random:)) }
      found = groups(children, most:)
      expect(found.flat_map(&:children)).to match_array(0...size)
      expect(found.length).to be <= most
      expect(found.map { |group| group.children.length }.max).to be <= 8
      [own_need(found, children), most_possible(children, most)]
    end
    expect(shares.sum(&:first) / shares.sum(&:last).to_f).to be >= 0.97
  end

  def need(child) = child.misreading || child.step

  # Children in a group that works on what they need.
  def own_need(found, children)
    found.sum do |group|
      mine = children.select { |child| group.children.include?(child.key) }
      mine.count do |child|
        group.misreadings.any? ? group.misreadings.first == child.misreading : child.misreading.nil? && child.step == group.step
      end
    end
  end

  def most_possible(children, most)
    needs = children.group_by { |child| need(child) }.values
    needs.flat_map { |some| some.each_slice(8).map(&:length) }.reject { |length| length == 1 }.max(most).sum
  end

  it "groups by likely misreading first, then by the lowest step not shown" do
    children = [known("Bo", :to_with_passed_hour), known("Cy", nil, :fives), known("Di", :to_with_passed_hour), known("Ed", nil, :quarters),
                known("Fay", nil, :fives), known("Gil", nil, :quarters)]
    found = groups(children)
    expect(found.map(&:children)).to eq([%w[Bo Di], %w[Ed Gil], %w[Cy Fay]])
    expect(found.first.misreadings).to eq([misreading(:to_with_passed_hour)])
    expect(found.first.times).to eq([time("7:45"), time("12:45"), time("2:45")])
    expect(found.map(&:step)).to eq([step(:quarter_to), step(:quarters), step(:fives)])
  end

  it "names a group for a misreading only where half of it has it, and works where that can show" do
    children = [known("Bo", :to_with_passed_hour, :half_past), *%w[Cy Di Ed].map { |key| known(key, nil, :fives_to) }]
    found = groups(children, most: 1)
    expect(found.map { |group| [group.children.sort, group.misreadings, group.step] }).to eq([[%w[Bo Cy Di Ed], [], step(:fives_to)]])
  end

  it "leaves those who only go on in a group beside, of any size, with other times every day" do
    on = Array.new(12) { |key| described_class::Known.new(key:, step: step(:fives), going_on: true) }
    found = groups([*on, known("Bo", :to_with_passed_hour), known("Cy", :to_with_passed_hour)], seed: 1)
    expect(found.map(&:beside)).to eq([false, true])
    expect(found.last.children.length).to eq(12)
    expect(groups(on, seed: 1).last.times).not_to eq(groups(on, seed: 2).last.times)
  end

  it "joins one who is alone to those whose misreading is mended the same way" do
    children = [known("Bo", :to_with_passed_hour), known("Cy", :to_with_passed_hour),
                known("Di", :sides_swapped), known("Ed", :sides_swapped), known("Fay", :next_hour_early)]
    expect(groups(children).map { |group| group.children.sort }).to contain_exactly(%w[Bo Cy Fay], %w[Di Ed])
  end

  it "has one group for one child, and none for nobody" do
    expect(groups([known("Bo")]).map(&:children)).to eq([["Bo"]])
    expect(groups([])).to eq([])
  end

  it "makes groups larger where so many cannot be led in so few, and asks for one at least" do
    (33..40).each do |many|
      found = groups(Array.new(many) { |key| known(key) }).map { |group| group.children.length }
      expect([found.sum, found.length <= 4, found.max <= 10]).to eq([many, true, true])
    end
    expect { groups([known("Bo")], most: 0) }.to raise_error(Vantick::Core::InvalidCount, /at least 1 group/)
  end
end
