# frozen_string_literal: true

RSpec.describe Vantick::Server::Views::CheckView do
  let(:rows) { Vantick::Server::Store::Rows }
  let(:children) { [1, 2, 3].map { |id| rows::ChildName.of({ id:, name: "Child #{id}" }) } }

  # Who is asked, by whose each item is and for whom the sheet was made.
  def asked(owners, child_ids: nil, answered: [])
    items = owners.map.with_index { |child_id, id| rows::Item.of({ id:, check_id: 1, time: "7:45", child_id: }) }
    check = rows::Check.of({ id: 1, sheet: { child_ids: }.compact, items: })
    answers = answered.map { |child_id| Struct.new(:child_id).new(child_id) }
    described_class.questions(check, children, answers).map(&:id)
  end

  it "asks all where items are everybody's, also where some are one child's" do
    expect(asked([nil, nil])).to eq([1, 2, 3])
    expect(asked([nil, 2])).to eq([1, 2, 3])
  end

  it "asks those alone for whom it was made, and whoever answered it all the same" do
    expect(asked([1, 2])).to eq([1, 2])
    expect(asked([nil, nil], child_ids: [2])).to eq([2])
    expect(asked([1], answered: [3])).to eq([1, 3])
  end
end
