# frozen_string_literal: true

RSpec.describe Vantick::Core::Choosing::Mistakes do
  def mark(mistake, text, said: mistake.said.words)
    Vantick::Core::Marking::Marker.mark(task: task(:spot_mistake), time: mistake.time, said:, text:)
  end

  Vantick::Core::Curriculum::Step.reading.each do |one|
    it "are wrong in one way alone on #{one.id}, at times of the step, in hours of their own" do
      chosen = described_class.choose(step: one, count: 5, seed: 3)
      expect(one.pool).to include(*chosen.map(&:time))
      expect(chosen.map { |mistake| mistake.time.hour }.uniq.length).to eq(5)
      chosen.each do |mistake|
        found = Vantick::Core::Marking::Marker.mark(task: task(:dial_to_words), time: mistake.time, text: mistake.said.words)
        expect([found.verdict, *found.causes]).to eq([:misread, mistake.misreading.id])
      end
    end
  end

  (Vantick::Core::Curriculum::Step.reading - [Vantick::Core::Curriculum::Step.find(:oclock)]).each do |one|
    it "come with three causes on #{one.id}, of which one alone is right, and it never stands in the same place nearly always" do
      places = (1..20).flat_map do |seed|
        described_class.choose(step: one, count: 3, seed:).map.with_index do |mistake, at|
          options = described_class.options(one, mistake.misreading, mistake.time, at)
          expect(options).to eq(options.uniq).and eq(described_class.options(one, mistake.misreading, mistake.time, at))
          right = options.select { |option| mark(mistake, "#{option.id}; #{mistake.time}").verdict == :right }
          expect([options.length, right]).to eq([3, [mistake.misreading]])
          options.index(mistake.misreading)
        end
      end
      expect(places.tally.values).to all be_between(6, 36)
    end
  end

  it "takes the step's own where a class shares mistakes that nobody can say, as of drawing" do
    drawn = [misreading(:hour_hand_left_behind)]
    found = described_class.choose(step: step(:fives), count: 4, seed: 1, misreadings: drawn)
    expect(found).to eq(described_class.choose(step: step(:fives), count: 4, seed: 1))
  end

  it "takes a class's own misreadings in turn" do
    own = [misreading(:to_with_passed_hour), misreading(:counts_wrong_way)]
    chosen = described_class.choose(step: step(:fives), count: 4, seed: 1, misreadings: own)
    expect(chosen.map(&:misreading).tally.values).to eq([2, 2])
    expect(chosen).to eq(described_class.choose(step: step(:fives), count: 4, seed: 1, misreadings: own))
  end

  it "says when a step has fewer" do
    expect { described_class.choose(step: step(:half_past), count: 40, misreadings: [misreading(:next_hour_early)]) }
      .to raise_error(Vantick::Core::InvalidCount, /not 40 mistakes/)
  end

  describe "what a child says of them" do
    let(:mistake) do
      described_class::Mistake.new(time: time("7:45"), said: Vantick::Core::Wording::SpokenTime.new(15, :to, 7),
                                   misreading: misreading(:to_with_passed_hour))
    end

    { "to_with_passed_hour; quarter to eight" => [:right], "7:45; hour passed, with to" => [:right],
      "quarter to eight" => [:right_time_only],
      "sides_swapped; quarter to eight" => [:right_time_only],
      "to_with_passed_hour; quarter to seven" => %i[misread to_with_passed_hour],
      "to_with_passed_hour" => [:unreadable], "" => [:blank] }.each do |text, verdict|
      it "judges #{text.inspect}: #{verdict.join(' ')}" do
        expect(mark(mistake, text).then { |marked| [marked.verdict, *marked.misreadings] }).to eq(verdict)
      end
    end

    it "refuses what is no mistake, or none that is known" do
      ["quarter to eight", "ten past two", "", "?"].each do |said|
        expect { mark(mistake, "7:45", said:) }.to raise_error(Vantick::Core::InvalidSaid, /is not a mistake at 7:45/)
      end
      expect { mark(mistake, "7" * 1000) }.to raise_error(Vantick::Core::AnswerTooLong)
    end
  end
end
