# frozen_string_literal: true

# How long records are kept. Which time is right is the school's own rule.
RSpec.describe Vantick::Server::Account::Retention do
  let!(:old) { make_class(%w[Bo Ida]) }
  let(:young) { post("/api/classes", { name: "Dunlin", children: %w[Mia] }).body }
  let(:path) { "/api/school/retention" }

  after { Vantick::Server::Clock.set(nil) }

  before { young }

  # So many days before today the old class was made and answered.
  def aged(days)
    at = (Time.now.utc - (days * 86_400)).iso8601
    check = make_check(old)
    old["children"].each { |child| answer(check, child, check["items"].first, "qt8") }
    store.db[:classes].where(id: old["id"]).update(made_at: at)
    store.db[:answers].update(answered_at: at)
  end

  def run(how) = post("#{path}/runs", { how:, present_password: ApiHelpers::PASSWORD })

  it "keeps everything at first, and nothing goes by itself once years are set" do
    aged(3000)
    expect(get(path).body).to eq("years" => nil, "choices" => (1..7).to_a, "due" => { "children" => 0, "classes" => 0, "last" => nil })
    expect(put(path, { years: 3 }).body).to include("years" => 3, "due" => include("children" => 2, "classes" => 1))
    expect(store.db[:children].count).to eq(3)
    expect(put(path, { years: nil }).body["due"]["children"]).to eq(0)
    expect(put(path, { years: 8 })).to be_refused(400).at("years")
  end

  it "counts from the last answer to the day" do
    put(path, { years: 1 })
    year = (Date.today - Date.today.prev_year).to_i
    { year - 1 => 0, year => 0, year + 1 => 2 }.each do |days, many|
      store.db[:answers].delete
      aged(days)
      expect(get(path).body["due"]["children"]).to eq(many), days.to_s
    end
    post("/api/classes/#{old['id']}/children", { names: ["Theo"] })
    expect(get(path).body["due"]["children"]).to eq(2)
  end

  it "erases whose time is over, in the copies as well, and nobody else" do
    aged(800)
    copy = Vantick::Server::Work::DailyCopies.new(store).make(Date.today)
    put(path, { years: 2 })
    expect(run("erase").body["due"]["children"]).to eq(0)
    expect(store.db[:children].select_map(:name)).to eq(["Mia"])
    expect(store.db[:answers].count).to eq(0)
    work
    Vantick::Server::Store::SafeCopy.look(copy) { |database| expect(database[:children].select_map(:name)).to eq(["Mia"]) }
  end

  it "takes the names alone, with the answers left and no list to bring one back, in the copies as well" do
    aged(800)
    store.db[:children].where(name: "Bo").update(source_id: "u1")
    copy = Vantick::Server::Work::DailyCopies.new(store).make(Date.today)
    store.lists_taken.take(old["id"], { names: {}, back: [], gone: [], ids: {}, added: [] }, Vantick::Server::Clock.iso8601)
    put(path, { years: 2 })
    expect(run("nameless").body["due"]["children"]).to eq(0)
    work
    ids = old["children"].map { |child| child["id"] }
    whole = [store.db, copy]
    whole.each do |where|
      look = ->(database) { [database[:children].where(id: ids).order(:id).select_map(%i[name source_id]), database[:answers].count] }
      seen = where == copy ? Vantick::Server::Store::SafeCopy.look(copy, &look) : look.call(where)
      expect(seen).to eq([ids.map { |id| ["Child #{id}", nil] }, 2])
    end
    expect(store.db[:lists_taken].count).to eq(0)
    expect(File.binread(store.path)).not_to include("Ida")
  end

  it "asks for the password, and is only for whoever keeps the school" do
    aged(800)
    put(path, { years: 2 })
    expect(post("#{path}/runs", { how: "erase", present_password: "wrong" })).to be_refused(422).at("present_password")
    expect(store.db[:children].count).to eq(3)
    put(path, { years: nil })
    expect(run("erase")).to be_refused(422).at("how").saying(/No records/)
    as(signed_in("Wietske")) { expect([get(path), put(path, { years: 1 }), run("erase")].map(&:status)).to eq([403, 403, 403]) }
  end
end
