# frozen_string_literal: true

# The table that is kept, against what is worked out: `bin/tables` makes it anew.
RSpec.describe Vantick::Core::Curriculum::Step do
  it "knows which misreadings its times can show, as they are worked out" do
    steps = described_class.all.reject { |step| step.tasks.empty? }
    worked_out = steps.to_h do |step|
      [step.id, step.tasks.to_h { |task| [task.id, Vantick::Core::Reading::Misreading.showing(step.pool_for(task), task).map(&:id)] }]
    end
    kept = described_class::SHOWING.transform_values { |tasks| tasks.transform_values { |ids| ids.map(&:to_sym) } }
    expect(kept).to eq(worked_out)
    expect(steps.flat_map { |step| step.tasks.flat_map { |task| step.misreadings(task) } }).to all(be_a(Vantick::Core::Reading::Misreading))
  end
end
