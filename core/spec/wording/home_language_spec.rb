# frozen_string_literal: true

RSpec.describe Vantick::Core::Wording::HomeLanguage do
  core = Vantick::Core

  described_class.all.each do |language|
    it "says four times, a title and what to do in #{language.name}" do
      expect(language.times.keys.map(&:to_s)).to eq(%w[7:00 7:15 7:30 7:45])
      expect(language.times.values.uniq.length).to eq(4)
      expect([language.own, language.title, language.intro, language.ask]).to all(match(/\p{L}{3}/))
      expect(language.half.nil?).to be(!language.half_before?)
    end
  end

  it "knows those that have half with the hour that comes" do
    expect(described_class.all.select(&:half_before?).map(&:id)).to eq(%i[de nl sv pl uk])
    expect { described_class.find(:xx) }.to raise_error(core::UnknownName)
  end

  # What is shown, what is answered, and what becomes of it by the language at home.
  [[:dial_to_words, "7:30", "half past eight", :pl, :right_other_words], [:dial_to_words, "7:30", "half past eight", :es, :misread],
   [:dial_to_words, "7:30", "half past eight", nil, :misread], [:dial_to_words, "12:30", "half past one", :de, :right_other_words],
   [:dial_to_words, "7:30", "half past seven", :pl, :right], [:dial_to_words, "7:30", "half past six", :pl, :misread],
   [:dial_to_words, "7:45", "quarter to nine", :pl, :misread], [:dial_to_digital, "7:30", "8:30", :pl, :misread],
   [:digital_to_words, "7:30", "half past eight", :sv, :right_other_words]].each do |task, time, text, home, verdict|
    it "takes #{text} for #{time} in #{task} as #{verdict} where #{home || 'English'} is spoken at home" do
      language = home && described_class.find(home)
      asked = { task: core::Tasks::Task.find(task), time: core::Dial::DialTime.parse(time) }
      conventions = Vantick::Core::Wording::Conventions.default.of_child(home: language)
      expect(core::Marking::Marker.mark(**asked, text:, conventions:).verdict).to eq(verdict)
    end
  end

  it "makes no mistake right that is to be spotted" do
    conventions = core::Wording::Conventions.default.of_child(home: described_class.find(:pl))
    asked = { task: task(:spot_mistake), time: time("7:30"), said: "half past eight", conventions: }
    mark = ->(text) { core::Marking::Marker.mark(**asked, text:).verdict }
    expect(["next_hour_early; half past seven", "next_hour_early; half past eight"].map(&mark)).to eq(%i[right misread])
  end

  it "is met at devices with both ways of saying it" do
    written = mark(:words_to_digital, "7:30", "6:30")
    said = [nil, :es, :uk].map { |id| core::Desk::Feedback.of(written, home: id && described_class.find(id)) }
    expect(said[0]).to eq(said[1])
    expect(said[2]).to include("At home")
  end
end
