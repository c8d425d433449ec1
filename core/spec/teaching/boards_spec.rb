# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::Boards do
  let(:core) { Vantick::Core }
  let(:words) { core::Tasks::Task.find(:dial_to_words) }

  def boards(step, time, task = words)
    described_class.new(core::Curriculum::Step.find(step), task, core::Dial::DialTime.parse(time))
  end

  # Judgement: what a teacher sees at one look.
  it "has its numbers from the table" do
    expect(described_class::AMOUNTS.transform_values do |amount|
      amount[:share]
    end).to eq(none: 0.0, few: 0.15, some: 0.4, most: 0.75, all: 1.0)
    expect(described_class::TABLE.slice(:go_on, :stands_out)).to eq(go_on: 0.75, stands_out: 0.4)
  end

  it "goes on where most have it" do
    %i[most all].each do |amount|
      expect(boards(:quarter_to, "7:45").advice({ right: amount, other: :few })).to have_attributes(say: "Most have it. Go on.", time: nil)
    end
  end

  it "works on the wrong answer that stands out, and asks a clock at which it would show again" do
    core::Curriculum::Step.with_times.select(&:whole?).product(%i[dial_to_words dial_to_digital]).each do |step, id|
      task = core::Tasks::Task.find(id)
      time = step.pool_for(task).reject(&:hidden_hand?).first
      asked = described_class.new(step, task, time)
      expect(asked.wrong.length).to be <= 3
      asked.wrong.each do |wrong|
        advice = asked.advice({ right: :few, wrong.misreading.id => :some, other: :few })
        expect(advice.misreading).to eq(wrong.misreading)
        expect(advice.say).to eq(wrong.misreading.texts_in(core::Wording::Conventions.default)[:move])
        next unless advice.time

        expect(wrong.misreading.wrong_answers(advice.time, task)).not_to be_empty
        expect([step.pool_for(task).include?(advice.time), advice.time == time]).to eq([true, false])
      end
    end
  end

  it "shows it again where no answer stands out, and lets them tell where some have it" do
    asked = boards(:fives, "8:35")
    expect(asked.advice({})).to have_attributes(say: "Show it again, step by step.", misreading: nil, time: be_a(core::Dial::DialTime))
    expect(asked.advice({ right: :some, other: :few }).say).to start_with("Some have it.")
  end

  it "refuses answers and amounts that it does not wait for" do
    expect { boards(:fives, "8:35").advice({ dark_is_pm: :some }) }.to raise_error(core::UnknownName)
    expect { boards(:fives, "8:35").advice({ right: :twelve }) }.to raise_error(core::UnknownName)
    expect { boards(:fives, "8:35", core::Tasks::Task.find(:day_half)) }.to raise_error(core::UnknownName)
  end
end
