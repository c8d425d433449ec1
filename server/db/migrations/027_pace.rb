# frozen_string_literal: true

# Lessons that were planned before keep their clocks: the minutes of their parts and the seconds of what is done, as they were then, and
# how children worked in them.
shares = { warm_up: 10, recap: 10, show: 20, together: 20, alone: 30, exit: 10 }
pace = { counting_round: 20, handed_out: 0, gone_over: 0, question: 60, worked_first: 105, worked_next: 75, talked_through: 45,
         tried_together: 35, quick_fire: 15, written_alone: 40, written_in_words: 40 }
activities = { warm_up: "quick_fire", recap: "quick_fire", together: "tried_together" }
minutes = lambda do |whole|
  exact = shares.transform_values { |share| share * whole/100r }
  given = exact.transform_values(&:floor)
  short = exact.keys.sort_by.with_index { |id, place| [given[id] - exact[id], place] }.first(whole - given.values.sum)
  given.to_h { |id, least| [id, least + (short.include?(id) ? 1 : 0)] }
end

Sequel.migration do
  up do
    from(:lessons).select_map(%i[id plan]).each do |id, plan|
      settled = JSON.parse(plan, symbolize_names: true)
      next unless settled[:minutes]

      parts = settled[:stage_minutes].to_h.then { |own| own.empty? ? minutes.call(settled[:minutes]) : own }
      kept = { **settled, activities:, stage_minutes: parts, pace: { **pace, **settled[:pace].to_h } }
      from(:lessons).where(id:).update(plan: JSON.generate(kept))
    end
  end

  down { nil }
end
