# frozen_string_literal: true

# A class that says after and before hears nothing else, wherever Vantick speaks of the two sides.
RSpec.describe Vantick::Core::Wording::ClassWords do
  core = Vantick::Core
  american = core::Wording::Conventions.parse("after,of")
  # Past and to as words for a side: behind what is counted, or spoken of as words.
  counted = /\b(?:quarter|fives?|ten|twenty|minutes?) (?:past|to)\b(?! (?:go|the|minutes))/i
  other = Regexp.union(counted, /"(?:past|to)"/i)

  it "says no misreading in other words than the class's" do
    said = core::Reading::Misreading.all.flat_map do |misreading|
      misreading.texts_in(american).values_at(:name, :does, :move, :home, :child, :they, :unseen)
    end.compact
    expect(said.grep(other)).to eq([])
    sides = core::Reading::Misreading.find(:sides_swapped).texts_in(american)
    expect(sides[:child]).to eq('From 12 down to 6, say "after". From 6 up to 12, say "of".')
  end

  it "names no step and asks nothing in other words than the class's" do
    said = core::Curriculum::Step.all.flat_map { |step| step.texts_in(american).values.flatten }
    expect(said.grep(other)).to eq([])
    expect(core::Curriculum::Step.find(:fives_to).texts_in(american)[:name]).to eq("Fives of")
  end

  it "heads no sheet and calls no lens in other words than the class's" do
    directions = core::Choosing::SheetKind.all.flat_map do |kind|
      [kind.direction(nil, american), *kind.tasks.map do |task|
        kind.direction(task, american)
      end]
    end
    lenses = core::Wording::ClassWords.fill(core::Facts::DataFile.entries("lenses", required: %i[id name shows]), american)
    expect((directions + lenses.flat_map do |lens|
      lens.values_at(:name, :shows)
    end).grep(/\b(past|to)\b(?! the| whichever| read| make| cut)/i).grep(/past|many minutes/i)).to eq([])
    expect(lenses.find { |lens| lens[:id] == "halves" }[:name]).to eq('"After" and "of"')
    expect(directions).to include('How many minutes "after" or "of"?')
  end

  it "says the usual words where nothing else was settled, and leaves no place open" do
    all = core::Reading::Misreading.all.flat_map do |misreading|
      misreading.texts.values.flatten
    end + core::Curriculum::Step.all.flat_map do |step|
      [step.name, *step.questions]
    end
    expect(all.grep(/%/)).to eq([])
    expect(core::Curriculum::Step.find(:quarter_to).name).to eq("Quarter to")
  end

  it "tells a child at a desk in the class's words" do
    marked = core::Marking::Marker.mark(task: task(:dial_to_words), time: time("7:45"), text: "quarter of seven",
                                        conventions: american)
    expect(core::Desk::Feedback.of(marked, american)).to eq('The minutes are right. After "of", say the next hour.')
    expect(core::Desk::Round.end_of([marked], american).watch).to include('After "of"')
  end
end
