# frozen_string_literal: true

RSpec.describe Vantick::Core::Wording::ChildNames do
  # Two lists of one class, typed by two people: one child each.
  {
    %w[Ana ana ANA] => true, %w[Zoe Zoë Zoë] => true, ["Jan Ole", "jan  ole", " Jan\u00A0Ole "] => true,
    %w[Straße strasse] => true, %w[Ana Anna] => false, ["Jan Ole", "Janole"] => false, %w[Ida Ada] => false
  }.each do |names, same|
    it("takes #{names.map(&:inspect).join(', ')} for #{same ? 'one child' : 'several'}") do
      expect(names.map { |name| described_class.folded(name) }.uniq.one?).to be(same)
    end
  end

  it "changes nothing more by being asked again" do
    ["Élodie", "İnci", "O'Neil", "Müller-Østby", "王 小明"].each do |name|
      folded = described_class.folded(name)
      expect(described_class.folded(folded)).to eq(folded)
    end
  end
end
