# frozen_string_literal: true

# Where a child stood on an earlier day: what came after it counts for nothing.
RSpec.describe Vantick::Server::Store::ProgressCache do
  let(:id) { make_class["id"] }
  let(:school_class) { store.classes.find(id) }
  let(:day) { Date.iso8601("2026-03-04") }

  before do
    lesson = post("/api/classes/#{id}/lessons", { day: day.iso8601, step: "quarters", minutes: 45, seed: 1 }).body
    store.lessons.change(lesson["id"], given_at: "#{day.iso8601}T09:00:00Z")
  end

  def steps(progress) = progress.lessons.map { |lesson| lesson.step.id }

  it "counts a lesson of that day, and none of a later one" do
    child = store.classes.child(school_class.children.first.id)
    found = [-1, 0, 1].map { |later| steps(described_class.of_answers(child, school_class, store, [], today: day.jd + later)) }
    expect(found).to eq([[], [:quarters], [:quarters]])
  end

  it "is the same for a class" do
    found = [-1, 0].map { |later| steps(described_class.of_day(school_class, store, day.jd + later)) }
    expect(found).to eq([[], [:quarters]])
  end
end
