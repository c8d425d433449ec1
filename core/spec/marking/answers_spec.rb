# frozen_string_literal: true

require "csv"

# Answers as children and hurried teachers write them, with the verdicts that a sensible teacher would give (collected by
# hand from made-up children; common practice, no source).
RSpec.describe Vantick::Core::Marking::Marker do
  rows = %w[answers more_answers].flat_map { |name| CSV.read(File.join(__dir__, "#{name}.csv"), headers: true).each.to_a }

  def judged(row)
    task = Vantick::Core::Tasks::Task.find(row["task"])
    names = row["conventions"].to_s
    conventions = names.empty? ? Vantick::Core::Wording::Conventions.default : Vantick::Core::Wording::Conventions.parse(names)
    said = row["said"].to_s.empty? ? nil : row["said"]
    described_class.mark(task:, time: task.parse_time(row["time"]), text: row["answer"].to_s, said:, conventions:)
  end

  def shown(row) = row.values_at("task", "time", "conventions", "answer", "said").compact.join(" | ")

  # Whether it is taken as right, by whatever name.
  def praised?(marked) = marked.right? || %i[right_gap right_time_only].include?(marked.verdict)

  def fits?(row, marked)
    wanted = row["verdicts"].split("|")
    named = row["misreading"].to_s.split("|")
    return false unless wanted.include?(marked.verdict_for_class.to_s)

    marked.verdict != :misread || named.empty? || named.intersect?(marked.misreadings.map(&:to_s))
  end

  it "judges nearly all as a sensible teacher would" do
    wrong = rows.reject { |row| fits?(row, judged(row)) }
    expect(rows.length).to be > 790
    expect(wrong.length).to be <= rows.length * 0.01, wrong.map { |row| shown(row) }.join("\n")
  end

  it "praises no wrong one" do
    wrong = rows.reject { |row| row["verdicts"].split("|").any? { |verdict| verdict.match?(/right|near/) } }
    expect(wrong.select { |row| praised?(judged(row)) }.map { |row| shown(row) }).to eq([])
  end

  # The time that an answer means is not changed by what stands round it.
  it "reads an answer the same with what people put round it" do
    around = ["it is %s", "~%s", "I think it's %s", "%s.", "(%s)", "\u201C%s\u201D", "%s \u{1F600}", "\u200B%s\uFEFF", "%s  ",
              "The time is: %s!", "about %s"]
    all_times.each_slice(11).map(&:first).product(around) do |time, pattern|
      words = Vantick::Core::Wording::Phrase.usual(time)
      expect(mark("dial_to_words", time.to_s, format(pattern, words)).verdict).to eq(:right), format(pattern, words)
      expect(mark("dial_to_digital", time.to_s, format(pattern, time.digital)).verdict).to eq(:right), format(pattern, time.digital)
    end
  end

  it "reads back what Vantick itself says of every time of the day" do
    Vantick::Core::Dial::DayTime.all.each do |time|
      said = Vantick::Core::Wording::DayFacts.of(time, Vantick::Core::Wording::Conventions.default)[:words]
      expect(mark("dial_to_words", time.dial_time.to_s, said)).to be_read_right, said
    end
  end

  it "takes no word of its own for a number" do
    %w[hour none night right even line your fire there last will minus fifth].each do |word|
      ["quarter past #{word}", "half past #{word}", "ten to #{word}", "#{word} past four"].each do |text|
        expect(Vantick::Core::Wording::AnswerReader.read(text)).to eq([]), text
      end
    end
  end

  it "calls what is only written off a copy" do
    copy = mark("digital_to_words", "7:45", "7:45")
    expect(copy).to have_attributes(verdict: :unexplained, slips: [:copied])
    expect(mark("words_to_digital", "7:45", "quarter to eight")).to have_attributes(verdict: :unexplained, slips: [:copied])
    expect(mark("dial_to_words", "7:45", "7:45").verdict).to eq(:right_other_words)
  end
end
