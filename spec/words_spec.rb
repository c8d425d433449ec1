# frozen_string_literal: true

require_relative "support/texts"

# The words of the glossary (docs/glossary.md), held against every text that somebody reads.
RSpec.describe "The words of Vantick" do
  glossary = File.read(File.join(ROOT, "docs/glossary.md"))
  tables = glossary.split(/^## /).drop(1).to_h do |part|
    rows = part.lines.grep(/\A\|/).drop(2).map { |line| line.split("|", -1)[1..-2].map(&:strip) }
    [part[/\A\w+/], rows]
  end
  # Several are parted by semicolons; those in brackets are out in one use alone.
  phrases = ->(cell) { cell.split(";").map(&:strip).reject { |one| one.empty? || one.start_with?("(") } }
  out = tables["Terms"].flat_map { |row| phrases[row.last] }
  turned = tables["Voice"].flat_map { |row| phrases[row.first] }

  # A phrase as it stands between other words, whatever the case and the breaks of lines.
  def pattern(phrase) = /(?<![\p{L}-])#{Regexp.escape(phrase).gsub('\ ', '\s+')}(?![\p{L}-])/i

  # Names of what is in code are no words to read.
  said = Texts.all.to_h { |text| [text, text.text.gsub(/`[^`]*`|\{\{.*?\}\}|\$\{.*?\}|%<?\{?\w+\}?>?/, " ")] }

  define_method(:using) { |texts, phrase| pattern(phrase).then { |use| texts.select { |text| said[text].match?(use) }.map(&:to_s) } }

  def words(sentence) = sentence.scan(/[\p{L}\d%][\p{L}\d'’%{}_-]*/).length

  it "have a glossary of sixty terms, each with its word and its name in code, and none twice" do
    expect(tables["Terms"].length).to be >= 60
    expect(tables["Terms"].map(&:first).uniq.length).to eq(tables["Terms"].length)
    expect(tables["Terms"].map { |row| row[1] }).to all(match(/\S/))
    expect(tables["Terms"].map(&:length)).to all(eq(5))
  end

  it "are read from everywhere: pages, tables, the server, the contract and the docs" do
    places = Texts.all.map { |text| text.place[%r{\A[\w.]+(/\w+)?}] }.tally
    %w[web/src core/data core/lib server/lib server/openapi README.md docs/tour cli/lib].each do |place|
      expect(places.keys.grep(/\A#{place}/)).not_to be_empty, place
    end
    expect(Texts.said_to(:child).length).to be > 200
  end

  out.each do |phrase|
    it("say another word for #{phrase.inspect}") { expect(using(Texts.said_to(:teacher, :child), phrase)).to eq([]) }
  end

  turned.each do |phrase|
    it("are plain, where it could be #{phrase.inspect}") { expect(using(Texts.all, phrase)).to eq([]) }
  end

  { teacher: 20, child: 12 }.each do |reader, most|
    it "come in sentences of at most #{most} words to a #{reader}" do
      sentences = Texts.said_to(reader).flat_map { |one| one.sentences.map { |sentence| [one.place, sentence] } }
      expect(sentences.select { |_, sentence| words(sentence) > most }).to eq([])
    end
  end

  it "put to and past into quotation marks where they are spoken of" do
    side = /(?:past|to|%\{(?:past|to)\})/i
    spoken_of = [/\b(?:say|says|said|word|with|after|used with) #{side}(?=[.,;:?!]|\z)/i,
                 /(?<!["“\w])#{side} (?:and|or) #{side}(?!\w| half)/i]
    bare = Texts.said_to(:teacher, :child).select { |one| spoken_of.any? { |use| one.text.match?(use) } }
    expect(bare.map(&:to_s)).to eq([])
  end

  # A line of its own after an inline element is shown with a space before it.
  it "have no space before a full stop or a comma" do
    found = Dir[File.join(ROOT, "web/src/**/*.vue")].flat_map do |file|
      File.read(file).scan(%r{</\w+>\n\s+[.,;:!?](?=\s).*}).map { |text| "#{File.basename(file)}: #{text.split("\n").last.strip}" }
    end
    expect(found).to eq([])
  end

  it "leave no place for a word open that no table fills" do
    known = Vantick::Core::Wording::English::WORDS.keys.map(&:to_s)
    open = Texts.said_to(:teacher).select { |one| one.place.start_with?("web/") }.flat_map { |one| one.text.scan(/%\{(\w+)\}/).flatten }
    expect(open - known).to eq([])
  end
end
