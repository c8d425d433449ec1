# frozen_string_literal: true

# All pages say the same of a child: every operation that tells of states is asked about the same histories, and compared.
RSpec.describe "What is said of the children of a class" do
  names = %w[Anneke Bram Celyn Dara Elio Freya Goran Hana Iris Juno]
  let(:school_class) { make_class(names) }
  let(:address) { "/api/classes/#{school_class['id']}" }

  # Ten histories: from who is always right to who never is, one who came once and one who never did.
  def histories
    random = Random.new(6)
    [%w[quarters dial_to_words], %w[quarters dial_to_digital], %w[fives dial_to_words],
     %w[half_past dial_to_digital]].each_with_index do |(step, task), at|
      Vantick::Server::Clock.set(Time.now.utc - ((4 - at) * 5 * 86_400))
      check = make_check(school_class, step:, task:, count: 8)
      check["children"].each_with_index do |child, place|
        next if place == 9 || (place == 8 && at.positive?)

        check["items"].each { |item| answer(check, child, item, random.rand < 1 - (place / 8.0) ? item["right"] : "ten past nine") }
      end
    end
  ensure
    Vantick::Server::Clock.set(nil)
  end

  def record(child) = get("#{address}/children/#{child['id']}/record").body

  it "is the same on the ladder, on records, over the weeks and in groups" do
    histories
    ladder = get("#{address}/ladder").body
    records = school_class["children"].map { |child| record(child) }
    rows = ladder["children"].to_h { |row| [row["child_id"], row] }
    records.each do |record|
      row = rows.fetch(record["child"]["id"])
      expect(record["steps"].to_h { |step| [step["id"], step["state"]] }).to eq(row["states"])
      expect(record["steps"].select { |step| step["review_due"] }.map { |step| step["id"] }).to eq(row["review_due"])
      expect(record.values_at("next_step", "stumbles")).to eq(row.values_at("next_step", "stumbles"))
    end
    ladder["steps"].each do |step|
      states = rows.values.map { |row| row["states"].fetch(step["id"]) }
      expect(step.slice("secure", "nearly", "learning", "not_yet")).to eq(%w[secure nearly learning not_yet].to_h { |id|
        [id, states.count(id)]
      })
      expect(step["review_due"]).to eq(rows.values.count { |row| row["review_due"].include?(step["id"]) })
    end
    last = get("#{address}/history").body["weeks"].last["secure"]
    last.each { |id, count| expect(count).to eq(ladder["steps"].find { |step| step["id"] == id }["secure"]) }
    expect(last.keys).to include(*ladder["steps"].select { |step| step["secure"].positive? }.map { |step| step["id"] })
    get("#{address}/groups").body["groups"].each do |group|
      likely = records.select { |record| group["child_ids"].include?(record["child"]["id"]) }.flat_map { |record| record["likely"] }
      expect(group["misreadings"] - likely).to eq([])
    end
  end

  it "is told once, by one headline that its states bear out" do
    histories
    school_class["children"].each do |child|
      found = record(child)
      states = found["steps"].to_h { |step| [step["id"], step["state"]] }
      headline = found["headline"]
      expect(states[headline["step"]]).to eq(headline["kind"]) if headline["step"]
      expect(headline["misreading"]).to eq(found["likely"].first)
      expect(headline["kind"] == "none").to eq(found["answers"].empty?)
      expect(found["possible"] & found["likely"]).to eq([])
    end
  end
end
