# frozen_string_literal: true

RSpec.describe Vantick::Core::Reading::MethodCard do
  def lines(id, names = "")
    step = Vantick::Core::Curriculum::Step.all.find { |one| one.id == id }
    described_class.lines(step, Vantick::Core::Wording::Conventions.parse(names))
  end

  it "has a few short lines for every step, in every method" do
    table = Vantick::Core::Wording::Conventions::TABLE
    methods = %i[order counting counting_to].map { |id| table.fetch(id) }.reduce(&:product).map { |choices| choices.flatten.join(",") }
    methods.product(Vantick::Core::Curriculum::Step.all.map(&:id)) do |names, id|
      found = lines(id, names)
      expect(found.length).to be_between(1, 8)
      expect(found.map(&:length).max).to be <= 60
      expect(found.uniq).to eq(found)
    end
  end

  it "speaks of no small marks, no halves and no next hour where a step has none" do
    expect(lines(:fives_past).join).not_to match(/small marks|Which is it|say the next/)
    expect(lines(:quarters)).to include("12: o'clock. 3: quarter past. 6: half past. 9: quarter to.",
                                        'After "to", say the next hour.')
    expect(lines(:minutes_to)).to include('With "to": count back from the 12.', "Then the small marks, in ones.")
    expect(lines(:minutes_to)).not_to include("Count from the 12 in fives.")
  end

  it "gives each half its own way of counting where they differ, and what each place means where nothing is counted" do
    expect(lines(:fives)).to include('With "past": count from the 12 in fives.', 'With "to": count back from the 12.')
    expect(lines(:fives, "sixty_minus")).to include("Count from the 12 in fives.", 'With "to": take the minutes from 60.')
    expect(lines(:half_past)).to include("6: half past.")
    expect(lines(:quarter_to, "of")).to include("9: quarter of.")
  end

  it "asks for the number passed only where one was passed" do
    expect(lines(:oclock).first).to eq("Short hand: which number is it on?")
    expect(lines(:half_past).first).to eq("Short hand: which number has it passed?")
    expect(lines(:quarters).first).to eq("Short hand: which number is it on, or has it passed?")
  end

  it "goes the way of the talk-through, in every method: what is said there has its line, what is not has none" do
    table = Vantick::Core::Wording::Conventions::TABLE
    methods = %i[counting counting_to fifteens].map { |id| table.fetch(id) }.reduce(&:product).map { |choices| choices.flatten.join(",") }
    said = { /Count from the 12 in/ => /count from the 12|Start at 0/i, /Count back/ => /count back/, /take away/ => /from 60/,
             /5 times \d+ is/ => /times five/,
             /The (3|6|9) is/ => /Start at 0/, /in ones|one by one|small marks back/ => /in ones|count back/ }
    methods.product(Vantick::Core::Curriculum::Step.reading.map(&:id)) do |names, id|
      next if %i[hour_hand fives_facts day_halves].include?(id)

      talk = Vantick::Core::Curriculum::Step.find(id).pool.flat_map do |time|
        Vantick::Core::Reading::TalkThrough.steps(time, Vantick::Core::Wording::Conventions.parse(names))
      end
      told = talk.map(&:sentence).join(" ")
      said.each do |talked, line|
        expect(lines(id, names).join(" ").match?(line)).to be(true), "#{id} #{names} #{talked}" if told.match?(talked)
      end
      expect(lines(id, names).join).not_to match(/count back/) unless told.match?(/back|to the 12/)
    end
  end

  it "follows the class's method and words" do
    found = lines(:minutes, "minutes_first,landmarks,sixty_minus,after,of")
    expect(found.first).to eq("Long hand: where does it point?")
    expect(found).to include("Start at 0, 15, 30 or 45. Go on in fives.", 'With "of": take the minutes from 60.',
                             'Which is it: "after" or "of"?')
  end
end
