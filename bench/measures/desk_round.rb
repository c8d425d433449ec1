# frozen_string_literal: true

require_relative "../term/looks"

module Bench
  # What a child's round at a desk finds, and how hard it is on who does not know the step.
  class DeskRounds < Family
    include Looks

    # A child at a desk for a round: whether what it has is found, and whether four are wrong one after the other.
    def desk_round(step, misreading, seed, knows: true)
      child = Simulation::SimulatedChild.new(misreadings: [*misreading], consistency: Pupil::CONSISTENCY, careless: knows ? CARELESS : 0.0,
                                             seed:)
      random = Random.new(seed)
      learner = Desk::Learner.new(step:)
      found = false
      wrong = Array.new(Desk::Round::TASKS) do |at|
        turn = Desk::TaskSelector.for(learner, seed: (seed * 100) + at)
        marked = turn.times.map { |time| desk_answer(turn, time, child, knows || turn.step != step || random.rand < 0.25) }
        learner = learner.with_turn(turn).after(marked)
        found ||= learner.belief.likely.include?(misreading)
        marked.none?(&:read_right?)
      end
      [found, wrong.each_cons(4).any?(&:all?)]
    end

    # A child who does not know the step says some other time.
    def desk_answer(turn, time, child, knows)
      mistake = turn.mistake && Choosing::Mistakes::Mistake.new(time:, said: turn.said, misreading: turn.mistake)
      other = turn.task.right_answer(turn.task.times.sample(random: Random.new(time.index)))
      text = knows ? child.answer(time, turn.task, mistake:) : turn.task.write(other)
      Marking::Marker.mark(task: turn.task, time:, text:, said: turn.said&.words)
    end

    DESK_STEPS = %i[quarters fives minutes].map { |id| Curriculum::Step.find(id) }.freeze

    def desk_finds(seed)
      found = DESK_STEPS.flat_map do |step|
        Choosing::Discrimination.for(step, WORDS).misreadings.first(Sizes[:desk_misreadings]).product([step], (1..Sizes[:desk_seeds]).to_a)
      end
      rounds = found.map { |one, step, more| desk_round(step, one, seed + more).first }
      lost = DESK_STEPS.product((1..Sizes[:desk_lost]).to_a).map { |step, more| desk_round(step, nil, seed + more, knows: false).last }
      Taken.new(share(rounds, &:itself), { "four wrong running, of who does not know the step (at most 0.10)" => share(lost, &:itself) })
    end

    measure(:desk_finds, "misreadings found within ten tasks, consistency 0.75", ">= 0.90") { |seed| desk_finds(seed) }
  end
end
