# frozen_string_literal: true

RSpec.describe Vantick::Core::Reading::TalkThrough do
  def steps(text, names = "") = described_class.steps(time(text), Vantick::Core::Wording::Conventions.parse(names))

  def told(text, names = "") = steps(text, names).map(&:sentence).join(" ")

  # All methods there are: what is read first, how minutes are counted, how those to go, and plain numbers.
  table = Vantick::Core::Wording::Conventions::TABLE
  combined = %i[order counting counting_to fifteens].map { |id| table.fetch(id) }.reduce(&:product)
  methods = combined.map { |choices| choices.flatten.join(",") }

  methods.each do |names|
    conventions = Vantick::Core::Wording::Conventions.parse(names)

    it "covers all 720 times: #{names}" do
      all_times.each do |shown|
        found = described_class.steps(shown, conventions)
        said = found.select { |step| step.part == :hour }.map(&:sentence).join
        numbers = shown.minute.zero? ? [shown.hour_passed] : [shown.hour_passed, shown.hour_ahead]
        expect(said.scan(/\d+/).map(&:to_i)).to eq(numbers), "#{said} at #{shown}"
        expect(found.last.sentence).to eq("It is #{Vantick::Core::Wording::Phrase.usual(shown, conventions)}.")
        expect(found.map(&:part).uniq.first).to eq(conventions.order == :hour_first ? :hour : :minutes)
      end
    end

    it "counts up to the minutes that are said: #{names}" do
      all_times.reject { |shown| (shown.minute % 15).zero? }.each do |shown|
        last = described_class.steps(shown, conventions).reverse.find { |step| step.part == :minutes }.sentence.scan(/\d+/).last.to_i
        expect(last).to eq(Vantick::Core::Wording::SpokenTime.usual(shown).count), "#{shown}: #{names}"
      end
    end
  end

  it "keeps each sentence short enough for a child of seven" do
    methods.product(all_times) do |names, shown|
      sentences = described_class.steps(shown, Vantick::Core::Wording::Conventions.parse(names)).map(&:sentence)
      expect(sentences.map(&:length).max).to be <= 80
    end
  end

  it "counts no more than six in one breath" do
    methods.product(all_times) do |names, shown|
      lists = described_class.steps(shown, Vantick::Core::Wording::Conventions.parse(names)).map do |step|
        step.sentence.scan(/\d+(?=,|\.| to go)/).length
      end
      expect(lists.max).to be <= 6, "#{shown} #{names}"
    end
  end

  it "lights up what each sentence speaks of" do
    all_times.each do |shown|
      described_class.steps(shown).each do |step|
        expect(step.lights).not_to be_empty
        expect(Vantick::Core::Reading::TalkStep::LIGHTS).to include(*step.lights.map { |light| light[:kind] })
      end
    end
    sweep = [{ kind: :sweep, from: 60, to: 50, counts: [[55, 5], [50, 10]] }, { kind: :hand, hand: :minute }]
    expect(steps("4:49")[1].to_h).to include(part: :minutes, lights: sweep)
    expect(steps("4:49")[2].lights).to eq([{ kind: :ticks, from: 50, to: 49, counts: [[49, 11]] }])
    expect(steps("12:20").first.lights).to include({ kind: :gap, from: 12, to: 1 })
  end

  it "says at each place it lights up the numbers of its sentence" do
    all_times.each do |shown|
      described_class.steps(shown).each do |step|
        counts = step.lights.filter_map { |light| light[:counts] }.flatten(1)
        expect(counts.map(&:last)).to eq(step.sentence[/: (.*)/, 1].scan(/\d+/).map(&:to_i)) if counts.any?
        expect(counts.map { |place, said| [said, 60 - said].include?(place) }).to be_empty.or(all(be(true)))
      end
    end
  end

  # Common practice, no source: 4:49 is counted back from the twelve by fives, then ones; counting from
  # 45 is quicker than from the twelve once it is known.
  it "counts as each school does" do
    expect(told("4:49")).to include("Count back from the 12 in fives: 5, 10. Then in ones: 11 to go.")
    expect(told("4:49")).to include("After \"to\" we name the hour that is coming: 5. It is eleven minutes to five.")
    expect(told("3:50", "landmarks")).to include("The 9 is 45. Go on in fives: 50.")
    expect(told("7:23", "five_times")).to include("The long hand has passed the 4. 5 times 4 is 20. Then in ones: 21, 22, 23.")
    expect(told("3:50", "five_times")).to include("From the 10 to the 12 is 5 times 2. That is 10.")
    expect(told("7:20", "five_times")).to include("The long hand is on the 4. 5 times 4 is 20.")
    expect(told("4:49", "sixty_minus")).to include("Halfway round, at the 6, is 30. Go on in fives: 35, 40, 45.")
    expect(told("4:49", "sixty_minus")).to include("46, 47, 48, 49. 60 take away 49 is 11: 11 to go.")
    expect(told("7:15", "plain")).to include("Count from the 12 in fives: 5, 10, 15. It is fifteen past seven.")
    expect(told("7:45")).to include("a quarter hour to go")
    expect(told("7:00", "after")).to include("no minutes after")
  end
end
