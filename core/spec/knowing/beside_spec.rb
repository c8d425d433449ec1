# frozen_string_literal: true

RSpec.describe Vantick::Core::Knowing::Beside do
  def asked(shown, text, task: :dial_to_words, device: false)
    found = Vantick::Core::Tasks::Task.find(task)
    marked = Vantick::Core::Marking::Marker.mark(task: found, time: found.parse_time(shown), text:)
    Vantick::Core::Curriculum::ItemResponse.new(step: Vantick::Core::Curriculum::Step.find(:fives), marked:, day: 1, device:)
  end

  def right(*shown, **more)
    shown.map do |one|
      asked(one, Vantick::Core::Wording::Phrase.usual(Vantick::Core::Dial::DialTime.parse(one)), **more)
    end
  end

  def blank(*shown, **more) = shown.map { |one| asked(one, "-", **more) }

  describe "what is left blank" do
    past = %w[1:05 2:10 3:15 4:20 5:25]
    to = %w[1:35 2:40 3:45 4:50]

    it "is told where a child answers all else" do
      expect(described_class.blank(right(*past) + blank(*to)).to_h).to eq(what: :to, blank: 4, asked: 4)
      digits = blank("1:05", "2:10", "3:40", "4:50", task: :dial_to_digital)
      expect(described_class.blank(right(*past, *to) + digits).to_h).to eq(what: :digits, blank: 4, asked: 4)
    end

    it "is told of four in five, and not of fewer" do
      more = right("5:55") + blank(*to)
      expect(described_class.blank(right(*past) + more).to_h).to eq(what: :to, blank: 4, asked: 5)
      expect(described_class.blank(right(*past) + more + right("6:55"))).to be_nil
    end

    it "is nothing where too few were asked, or where all is left blank" do
      expect(described_class.blank(right(*past) + blank(*to.first(3)))).to be_nil
      expect(described_class.blank(blank(*past, *to))).to be_nil
      expect(described_class.blank(right(*past.first(3)) + blank(*past.last(2), *to))).to be_nil
      expect(described_class.blank([])).to be_nil
    end
  end

  describe "paper and devices" do
    shown = %w[1:05 2:10 3:15 4:20 5:25 6:30 7:35 8:40]
    def wrong(*shown, **more) = shown.map { |one| asked(one, "eleven o'clock", **more) }

    it "are told of where they differ much" do
      found = described_class.places(wrong(*shown) + right(*shown, device: true))
      expect(found.transform_values(&:to_h)).to eq(paper: { right: 0, answers: 8 }, device: { right: 8, answers: 8 })
    end

    it "are not told of with few answers, or where they hardly differ" do
      expect(described_class.places(wrong(*shown.drop(1)) + right(*shown, device: true))).to be_nil
      near = right(*shown.drop(2)) + wrong(*shown.first(2))
      expect(described_class.places(near + right(*shown, device: true))).to be_nil
      expect(described_class.places(blank(*shown) + right(*shown, device: true))).to be_nil
    end
  end

  describe "the same rare wrong answers" do
    def given(texts) = texts.to_h { |shown, text| [shown, asked(shown, text).marked] }

    odd = { "1:05" => "twenty past nine", "2:10" => "twenty-five past eight", "3:20" => "ten past eleven",
"4:25" => "twenty-five past four" }

    it "are told of two children, and to how many clocks" do
      by_child = { 1 => given(odd), 2 => given(odd), 3 => given(odd.transform_values { "five past six" }) }
      expect(described_class.same(by_child)).to eq([1, 2] => 3)
    end

    it "are nothing where a third child gave them, where they are few, or where a mistake explains them" do
      expect(described_class.same({ 1 => given(odd), 2 => given(odd), 3 => given(odd) })).to eq({})
      few = odd.first(2).to_h
      expect(described_class.same({ 1 => given(few), 2 => given(few) })).to eq({})
      passed = { "1:45" => "quarter to one", "2:45" => "quarter to two", "3:45" => "quarter to three", "4:45" => "quarter to four" }
      expect(described_class.same({ 1 => given(passed), 2 => given(passed) })).to eq({})
    end
  end
end
