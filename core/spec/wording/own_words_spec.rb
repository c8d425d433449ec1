# frozen_string_literal: true

# Words as one child writes them: learned where one word differs, and read in other sentences.
RSpec.describe Vantick::Core::Wording::OwnWords do
  core = Vantick::Core
  fif = [["ten past fif", "ten past five"]]

  [[fif, "fif past two", "five past two"], [fif, "Fif to fif!", "five to five"], [fif, "ten past nine", nil],
   [[["ten to too", "ten to two"], ["qartr past sx", "quarter past six"]], "five to too", "five to two"],
   [[["qartr past sx", "quarter past six"]], "qartr past two", nil],
   [[["ten past nine", "ten past five"]], "ten past nine", nil],
   [[["ten fif", "ten past five"]], "fif past two", nil],
   [[["ten past fif", "ten past five"], ["six past fif", "six past four"]], "ten past fif", "ten past four"]].each do |pairs, text, read|
    it "reads #{text.inspect} as #{read.inspect} after #{pairs.flatten.join(', ')}" do
      expect(described_class.from(pairs).read(text)).to eq(read)
    end
  end

  it "is looked at in words alone, where an answer cannot be read, and counts as a slip of spelling" do
    own = described_class.from([["ten past fine", "ten past five"]])
    conventions = core::Wording::Conventions.default.of_child(own: -> { own })
    mark = lambda do |text, time, task = :dial_to_words|
      core::Marking::Marker.mark(task: core::Tasks::Task.find(task), time: core::Dial::DialTime.parse(time), text:, conventions:)
    end
    expect(mark["ten past fine", "5:10"]).to have_attributes(verdict: :right_writing_slip, slips: [:spelling], read_as: "ten past five")
    expect(mark["ten past fine", "9:10"].verdict).to eq(:unexplained)
    expect(mark["ten past fine", "5:10", :dial_to_digital].verdict).to eq(:unreadable)
    expect(mark["ten past five", "5:10"].slips).to eq([])
  end
end
