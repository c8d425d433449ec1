# frozen_string_literal: true

# Made-up children of ten kinds at a device: what each of them is to meet there, and never to meet.
RSpec.describe Vantick::Core::Desk::TaskSelector do
  core = Vantick::Core
  right = lambda do |task, time|
    hands = "hour=#{time.hour_hand_degrees} minute=#{time.minute_hand_degrees}" if task.notation == :hands
    hands || task.write(task.right_answer(time))
  end
  # What nobody reads anywhere who reads anything.
  wrong = lambda do |task, time|
    case task.notation
    when :hands then "hour=#{(time.hour_hand_degrees + 100) % 360} minute=#{(time.minute_hand_degrees + 100) % 360}"
    when :digits then "#{(time.hour % 12) + 1}:#{format('%02d', (time.minute + 17) % 60)}"
    when :words then "thirteen past twelve"
    when :mistake then "hands_swapped; thirteen past twelve"
    else "x"
    end
  end
  misread = lambda do |task, time, id|
    answer = core::Reading::Misreading.find(id).wrong_answers(time, task).first unless task.notation == :hands
    answer && task.write(answer)
  end
  children = {
    always_right: ->(task, time, _, _) { right[task, time] },
    always_wrong: ->(task, time, _, _) { wrong[task, time] },
    guesses: ->(task, time, _, random) { random.rand < 0.3 ? right[task, time] : wrong[task, time] },
    half: ->(task, time, _, random) { random.rand < 0.5 ? right[task, time] : wrong[task, time] },
    one_misreading: ->(task, time, _, _) { misread[task, time, :to_with_passed_hour] || right[task, time] },
    swaps: ->(task, time, _, _) { misread[task, time, :hands_swapped] || right[task, time] },
    new: ->(task, time, _, _) { time.dial_time.minute.zero? ? right[task, time] : wrong[task, time] },
    forgets: ->(task, time, at, _) { at % 12 < 6 ? right[task, time] : wrong[task, time] },
    tires: ->(task, time, at, _) { at < 6 ? right[task, time] : wrong[task, time] },
    bored: ->(task, time, at, _) { at % 5 == 4 ? "" : right[task, time] }
  }

  # @return [Array<Array(Turn, Boolean)>] what was asked, and whether it went right
  define_method(:play) do |child, step, seed|
    states = core::Curriculum::Step.with_times.to_h { |one| [one, :not_yet] }
    learner = core::Desk::Learner.new(step: core::Curriculum::Step.find(step), states:, ceiling: core::Curriculum::Step.find(:minutes))
    random = Random.new(seed)
    Array.new(30) do |at|
      turn = described_class.for(learner, seed: (seed * 1000) + at)
      marked = turn.times.map do |time|
        core::Marking::Marker.mark(task: turn.task, time:, text: child[turn.task, time, at, random], said: turn.said)
      end
      learner = learner.with_turn(turn).after(marked)
      [turn, marked.all?(&:read_right?)]
    end
  end

  children.each do |name, child|
    it "asks a child who is #{name.to_s.tr('_', ' ')} nothing three times alike, and after three wrong ones something easier" do
      %i[quarter_to fives_past].product([1, 2]).each do |step, seed|
        played = play(child, step, seed)
        tasks = played.map { |turn, _| turn.task.id }
        expect(tasks.each_cons(3).map { |three| three.uniq.length }).not_to include(1)
        expect(played.each_cons(2).count { |(one, _), (other, _)| [one.task, one.times] == [other.task, other.times] }).to eq(0)
        after_three = played.each_cons(4).select { |four| four.first(3).none?(&:last) }.map { |four| four.last.first }
        # There is nothing below o'clock.
        expect(after_three.reject { |turn| turn.step.id == :oclock }.map(&:reason).uniq - [:known]).to eq([])
      end
    end
  end

  it "takes a child who is always right up the ladder, and one who is always wrong down to its beginning" do
    top, bottom = %i[always_right always_wrong].map { |name| play(children.fetch(name), :quarter_to, 1).last.first.step }
    ladder = core::Curriculum::Step.with_times
    expect(ladder.index(top)).to be > ladder.index(core::Curriculum::Step.find(:fives))
    expect(bottom.id).to eq(:oclock)
  end
end
