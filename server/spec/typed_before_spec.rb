# frozen_string_literal: true

require_relative "support/paper"

# Answers that were typed before their paper was read.
RSpec.describe "What was typed before its paper is read" do
  include PaperRead

  let(:names) { %w[Anneke Bram] }
  let(:school_class) { make_class(names) }
  let(:address) { "/api/classes/#{school_class['id']}" }
  let(:random) { Random.new(5) }
  let(:scanner) { Vantick::Copier::Scanner.new(random) }

  let(:check) { check_of(make(kind: "rewrite", task: "words_to_digital", step: "quarters", count: 4)) }

  def child = { "id" => ids.first }

  def typed(at, text) = answer({ "id" => check.id }, child, { "id" => check.items[at][:id] }, text)

  def waiting = get("/api/checks/#{check.id}/pieces?waiting=true").body["pieces"]

  it "is settled where both say the same, also in other words, and shown with both where they differ" do
    times = right(check, ids.first)
    kept = [typed(0, times[0]), typed(1, times[1].tr(":", ".")), typed(2, "2:22")]
    read(Vantick::Copier.pdf(paper(check, ids.first)))
    pieces = store.db[:scan_pieces].order(:item_id).all
    expect(pieces.first(2).map { |piece| piece[:answer_uuid] }).to eq(kept.first(2).map { |one| one.body["id"] })
    expect(waiting.map { |piece| piece["item_id"] }).to include(check.items[2][:id])
    shown = waiting.find { |piece| piece["item_id"] == check.items[2][:id] }
    expect(shown["guesses"].first(2)).to eq(["2:22", times[2]])
    expect(current(check).find { |one| one.item_id == check.items[2][:id] }.answer).to eq("2:22")
  end

  it "is shown where the paper is empty and something was typed, and settled where both are empty" do
    times = right(check, ids.first)
    typed(0, times[0])
    typed(1, "-")
    read(Vantick::Copier.pdf(paper(check, ids.first, [nil, nil, *times.drop(2)])))
    expect(waiting.first.values_at("item_id", "guesses")).to eq([check.items[0][:id], [times[0]]])
    expect(waiting.map { |piece| piece["item_id"] }).not_to include(check.items[1][:id])
  end
end
