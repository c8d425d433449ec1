# frozen_string_literal: true

RSpec.describe Vantick::Core::Wording::Conventions do
  # Every choice once, and all choices that differ from the default together: what differs is said,
  # written and read on its own, so that no combination of three holds more than its pairs.
  every_choice = described_class::TABLE.flat_map { |id, choices| choices.map { |choice| { id => choice } } }
  together = described_class::TABLE.transform_values(&:last)

  [*every_choice, together].uniq.each do |choices|
    conventions = described_class.new(**choices)

    it "reads every way of saying all 720 times back as that time: #{choices.values.join(', ')}" do
      all_times.each do |shown|
        [shown.digital(conventions.sign), *Vantick::Core::Wording::Phrase.all(shown, conventions)].each do |way|
          clean = Vantick::Core::Wording::AnswerReader.read(way, conventions).select { |given| given.slips.empty? }
          expect(clean.map(&:time)).to eq([shown]), "#{way} for #{shown}"
        end
      end
    end
  end

  def say(text, names) = Vantick::Core::Wording::Phrase.usual(time(text), described_class.parse(names))

  it "are other conventions where they are those of a child, and stay so when one is changed" do
    polish = described_class.default.of_child(home: Vantick::Core::Wording::HomeLanguage.find(:pl))
    expect(polish).not_to eq(described_class.default)
    expect(polish.of_child).to eq(described_class.default)
    expect(polish.with(other_words: :other_words_not_accepted)).to have_attributes(home: polish.home,
                                                                                   other_words: :other_words_not_accepted)
  end

  it "changes the words" do
    expect(say("7:45", "of")).to eq("quarter of eight")
    expect(say("7:45", "till,plain")).to eq("fifteen till eight")
    expect(say("7:30", "after,plain")).to eq("thirty after seven")
    expect(say("7:23", "after")).to eq("twenty-three minutes after seven")
    expect(time("7:45").digital(described_class.parse("point").sign)).to eq("7.45")
  end

  it "settles what could mean two things" do
    read = ->(text, names) { Vantick::Core::Wording::AnswerReader.read(text, described_class.parse(names)).flat_map(&:slips) }
    expect([read["half 3", ""], read["half 3", "half_three_accepted"]]).to eq([[:no_side], []])
    expect([read["7.45", "point"], read["7:45", "point"]]).to eq([[], [:separator]])
  end

  it "can ask for the class's own words alone" do
    judged = lambda do |names|
      conventions = described_class.parse(names)
      marked = Vantick::Core::Marking::Marker.mark(task: task(:dial_to_words), time: time("7:45"), text: "45 past 7", conventions:)
      [marked.verdict, marked.right?]
    end
    expect(judged[""]).to eq([:right_other_words, true])
    expect(judged["other_words_not_accepted"]).to eq([:right_other_words, false])
  end

  it "is read from names or by convention, and refuses by name what there is not" do
    expect(described_class.parse("after, point")).to eq(described_class.new(past_word: "after", separator: :point))
    expect(described_class.parse("")).to eq(described_class.default)
    { -> { described_class.parse("loud") } => /"loud" is not a convention: use one of british, american, past, after/,
      -> { described_class.parse("past,after") } => /past_word has two choices/,
      -> { described_class.new(past_word: "beyond") } => /"beyond" is not a past_word: use one of past, after/,
      -> { described_class.new(colour: "red") } => /"colour" is not a convention/ }.each do |wrong, words|
      expect(&wrong).to raise_error(Vantick::Core::Error, words) { |error| expect(error.field).to eq(:conventions) }
    end
  end
end
