# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::HingeQuestion do
  def questions(step, task, minutes: 45, seed: 3)
    described_class.of(lesson_of(step:, task:, minutes:, seed:), step)
  end

  Vantick::Core::Curriculum::Step.with_times.each do |step|
    it "asks of #{step.id} what is new, before children try and before they are alone, and knows which wrong answers may come" do
      Vantick::Core::Teaching::LessonPlan.tasks(step).each do |task|
        found = questions(step, task)
        can_show = step.pool_for(task).any? { |time| Vantick::Core::Reading::Predictions.of(task).at(time).any? }
        expect(found.map(&:before)).to eq(can_show ? %i[together alone] : []), task.id.to_s
        found.each do |question|
          expect(question.wrong.length).to be_between(1, 3)
          expect(question.wrong.map(&:answer).uniq.length).to eq(question.wrong.length)
          question.wrong.each do |wrong|
            marked = Vantick::Core::Marking::Marker.mark(task: question.task, time: question.time, text: question.task.write(wrong.answer))
            expect(marked.misreadings).to include(wrong.misreading.id)
          end
        end
      end
    end
  end

  it "asks a time of the new kind where there is one" do
    kinds = questions(step(:fives_to), task(:dial_to_words)).map do |question|
      Vantick::Core::Curriculum::Difficulty.minute_class(question.time)
    end
    expect(kinds.uniq).to eq([:fives_to])
  end

  it "waits for other mistakes the second time, where there are others" do
    first, second = questions(step(:minutes_to), task(:dial_to_words)).map { |question| question.wrong.map(&:misreading) }
    expect(first & second).to eq([])
  end

  it "asks none in a short lesson before a part that it does not have" do
    expect(questions(step(:fives_to), task(:dial_to_words), minutes: 5).map(&:before)).to eq(%i[together])
  end
end
