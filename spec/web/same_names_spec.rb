# frozen_string_literal: true

# What core names is told on screen, all of it and nothing else: verdicts, states, slips of writing, lenses, pictures, pages.
RSpec.describe "Names that core and screen share" do
  let(:core) { Vantick::Core }

  def keys(of) = lab("return Object.keys(#{of})")

  it "are the verdicts, each with a word and a ring of its own kind" do
    expect(keys("lab.verdicts.VERDICTS")).to match_array(core::Marking::MarkedAnswer::VERDICTS.map(&:to_s))
    told = lab("return Object.values(lab.verdicts.VERDICTS)")
    expect(told.map { |one| one[:word] }.uniq.length).to eq(told.length)
    expect(told.map { |one| one[:ring] } - keys("lab.verdicts.RINGS")).to eq([])
    # Colours of the theme, and no word that means something else to a field.
    expect(told.map { |one| one[:tone] }.uniq).to match_array(%w[right slip misread none])
  end

  it "are rings that go round once: lines and gaps add up to a whole turn, or to a part that fits into it" do
    dashes = lab("return Object.values(lab.verdicts.RINGS).map((ring) => ring.dashes)").map { |text| text.split.sum(&:to_f) }
    expect(dashes).to all(satisfy { |length| (360 % length).abs < 1e-6 })
  end

  # `copied` is what a marker says of an answer, the others of how it was written.
  it "are the slips of writing" do
    expect(keys("lab.verdicts.SLIPS")).to match_array([*core::Wording::ParsedAnswer::SLIPS, :copied].map(&:to_s))
  end

  it "are the states of a step, in the same order, counted in words without those that nobody is in" do
    expect(lab("return lab.states.STATES.map((state) => state.id)")).to eq(core::Knowing::States::ALL.reverse.map(&:to_s))
    said = lab("return lab.states.countsInWords({ secure: 11, nearly: 13, learning: 2, not_yet: 0 })")
    expect(said).to eq("11 secure, 13 nearly, 2 learning")
    expect(lab("return lab.states.countsInWords(undefined)")).to eq("no clocks of its own")
  end

  it "are the lenses, each with a key that nothing else in front of the class has" do
    lenses = core::Facts::DataFile.entries("lenses", required: %i[id]).map { |lens| lens[:id].to_s }
    found = lab("return lab.lenses.LENS_KEYS").transform_keys(&:to_s)
    expect(found.keys).to match_array(lenses)
    others = %w[c k o a u r b w e z , . ?]
    expect(found.values.tally.values + (found.values & others)).to all(eq(1))
  end

  it "are lenses of which those that say which hands are seen are on one at a time, whatever was pressed" do
    hands = %w[hour_alone minute_alone two_dials]
    pressed = Array.new(40) { |at| (hands + %w[sweep halves])[(at * at) % 5] }
    on = lab(<<~JS, pressed:)
      const lenses = new Set();
      return given.pressed.map((lens) => { lab.lenses.toggleLens(lenses, lens); return [...lenses]; });
    JS
    expect(on.map { |lenses| (lenses & hands).length }).to all(be <= 1)
    plain = pressed.each_with_index.map { |_, at| %w[sweep halves].select { |lens| pressed[0..at].count(lens).odd? } }
    expect(on.map { |lenses| (lenses & %w[sweep halves]).sort }).to eq(plain.map(&:sort))
  end

  it "are the pictures of children's keys, each drawn and named" do
    secret = YAML.load_file(File.join(ROOT, "core/data/desk.yml"))["pictures"]
    expect(keys("lab.pictures.PICTURES")).to match_array(secret)
    drawn = lab("return Object.values(lab.pictures.PICTURES)")
    expect(drawn.map { |one| one[:body] }.uniq.length).to eq(secret.length)
    expect(drawn).to all(include(name: /\A[a-z ]+\z/, body: /\AM[\d.]/))
  end

  it "are the pages, each with a line or more of help; in front of the class it is the card of keys" do
    pages = File.read(File.join(ROOT, "web/src/app/router.ts")).scan(/name: "([\w-]+)"/).flatten
    helped = keys("lab.help")
    expect(helped - pages).to eq([])
    expect(pages - helped).to match_array(%w[nowhere run show])
    expect(lab("return Object.values(lab.help).flat()")).to all(match(/\A["A-Z].*\.\z/))
  end
end
