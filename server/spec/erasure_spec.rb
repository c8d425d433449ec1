# frozen_string_literal: true

# A child is erased, and nothing of it is left anywhere, whatever happens meanwhile.
RSpec.describe Vantick::Server::Work::Erasure do
  include Doors

  let(:name) { "Zyphelina" }
  let(:places) { Vantick::Server::Store::ChildPlaces }
  let(:made_at) { "2026-03-02T08:00:00Z" }

  # Every file in the school's folder, its log and its copies among them.
  def bytes(within = folder) = Dir[File.join(within, "**/*")].select { |file| File.file?(file) }.map { |file| File.binread(file) }.join

  # A class with a child of whom something is in every place, and another of whom as well.
  def furnish
    school_class = make_class([name, "Other"])
    children = school_class["children"]
    check = make_check(school_class)
    children.each { |child| answered(school_class, check, child) }
    listed(school_class, children)
    paper(school_class, check, children)
    [school_class, children.first, check]
  end

  def answered(school_class, check, child)
    answer(check, child, check["items"].first, "#{child['name']} wrote this")
    id = SecureRandom.uuid
    answer(check, child, check["items"].first, "#{child['name']} wrote that", id:)
    post("/api/answers/#{id}/overrides", { verdict: "right" })
    given = { uuid: SecureRandom.uuid, item_id: check["items"].first["id"], child_id: child["id"], answer: "#{child['name']} tried again" }
    store.turns.add_try(given, Vantick::Server::Store::MarkedAnswers.judged(store.checks.find(check["id"]).items.first, "x", plain_words),
                        answered_at: made_at)
    post("/api/classes/#{school_class['id']}/said", { step: "quarters", child_ids: [child["id"]], known: true })
    put("/api/classes/#{school_class['id']}/away", { day: "2026-03-02", child_id: child["id"], away: true })
    as(seated(desk_of(school_class)["id"], child)) { get("/api/desk/state") }
    post("/api/classes/#{school_class['id']}/desks", { kind: "practice", child_ids: [child["id"]] })
    post("/api/classes/#{school_class['id']}/children/#{child['id']}/support", {})
  end

  def plain_words = Vantick::Core::Wording::Conventions.default

  def listed(school_class, children)
    id = school_class["id"]
    ids = children.map { |child| child["id"] }
    gone = make_check(school_class)
    children.each { |child| answer(gone, child, gone["items"].first, "#{child['name']} in what was deleted") }
    delete("/api/checks/#{gone['id']}")
    store.lists_taken.take(id, { names: {}, back: [], gone: [], ids: ids.to_h { |one| [one, "id-#{one}"] }, added: [] }, made_at)
    store.db[:lists_taken].update(added: JSON.generate(ids))
    moves = children.map { |child| { id: child["id"], name: child["name"], class_id: id, to: id } }
    store.db[:school_rosters].insert(moves: JSON.generate(moves), lists: "{}", made: "[]", taken_at: made_at)
    put("/api/classes/#{id}/groups", { groups: [{ child_ids: ids, misreadings: [], step: "quarters", beside: false, times: [] }] })
    ids.each { |one| post("/api/classes/#{id}/lessons", { day: "2026-03-02", step: "quarters", minutes: 40, seed: 1, child_ids: [one] }) }
    post("/api/classes/#{id}/sheets",
         { kind: "read", step: "quarters", task: "dial_to_words", count: 4, seed: 1, names: true, child_ids: ids })
  end

  # Pages and pieces, a page that nobody's name is on, a file on its way, and files that are called after the child.
  def paper(school_class, check, children)
    item_id = check["items"].first["id"]
    children.each do |child|
      scan = store.scans.add(class_id: school_class["id"], name: "#{child['name']}.pdf", bytes: 9, made_at: Vantick::Server::Clock.iso8601)
      store.scans.update(scan.id, state: "reading")
      piece = { item_id:, child_id: child["id"], kind: "words", seen: "", sure: 0, guesses: "[]",
picture: Sequel.blob("piece of #{child['name']}") }
      page = { number: 1, state: "read", words: "", check_id: check["id"], child_id: child["id"], page: 1,
picture: "page of #{child['name']}" }
      unknown = { number: 2, state: "unfound", words: "", picture: "perhaps of #{child['name']}" }
      store.scans.add_pages(scan.id, [{ **page, pieces: [piece] }, unknown])
      store.scans.update(scan.id, state: "read")
      half = store.scans.add(class_id: school_class["id"], name: "half.pdf", bytes: 900, made_at: Vantick::Server::Clock.iso8601)
      store.uploads.receive(half.id, 0, "half a file of #{child['name']}")
    end
  end

  # Copies of days, and one as an older Vantick made it.
  def copied
    [1, 2].each { |day| Vantick::Server::Work::DailyCopies.new(store).make(Date.new(2026, 3, day)) }
    older = Vantick::Server::Store::SafeCopy.in_folder(store.path, "before-upgrade-from-8.sqlite3")
    database = Sequel.sqlite(older)
    Sequel::IntegerMigrator.new(database, Vantick::Server::Store::Database::MIGRATIONS, target: 8).run
    database[:classes].insert(id: 1, name: "Curlew", made_at:)
    [name, "Other"].each.with_index(1) { |one, id| database[:children].insert(id:, class_id: 1, name: one, position: id) }
    database.disconnect
  end

  # @return [Array<String>] of each copy, the children that are in it
  def in_copies(within = folder)
    Dir[File.join(within, "copies/*.sqlite3")].map do |copy|
      Vantick::Server::Store::SafeCopy.look(copy) do |database|
        expect(database.fetch("PRAGMA integrity_check").single_value).to eq("ok")
        database[:children].order(:id).select_map(:name)
      end
    end
  end

  it "goes through every place of the school's file in which a child can be" do
    without = %i[boards classes checks desks lessons removed lists_taken answer_imports kept_groups scans terms term_plans forecasts
                 calendar_addresses access_tokens accounts
                 account_password_hashes account_login_failures account_lockouts account_active_session_keys secrets shares facts jobs
                 erased journal stacks schema_info]
    named = places::ALL.flat_map { |place| place.columns.to_a }.group_by(&:first).transform_values { |found| found.flat_map(&:last) }
    expect(store.db.tables - named.keys - without).to eq([]), "a new table: say in ChildPlaces where a child is in it, or here that none is"
    columns = store.db.tables.flat_map { |table| store.db[table].columns.grep(/\Achild_ids?\z/).map { |column| [table, column] } }
    expect(columns.reject { |table, column| named.fetch(table, []).include?(column) }).to eq([])
    expect(named.keys.flat_map { |table| named[table] - store.db[table].columns }).to eq([])
  end

  it "gives a copy of every place, and takes the child out of each, leaving all others as they were" do
    school_class, child, = furnish
    copy = get("/api/classes/#{school_class['id']}/children/#{child['id']}/file.json").body
    expect(copy["kept"].keys).to match_array(places::ALL.map(&:name))
    expect(copy["answers"].map { |answer| answer.values_at("answer", "ruling", "tries") })
      .to match([["#{name} wrote that", include("verdict" => "right"), [include("answer" => "#{name} tried again")]]])
    expect(copy["pictures"].length).to eq(2)
    other = places.copy(store.db, school_class["children"].last["id"])
    post("/api/classes/#{school_class['id']}/children/#{child['id']}/erasure", { name: })
    work
    expect(places.left(store.db, [child["id"]])).to eq(0)
    expect(store.db.fetch("PRAGMA foreign_key_check").all).to eq([])
    expect(places.copy(store.db, school_class["children"].last["id"])).to eq(other)
  end

  it "leaves nothing in any file, and says how many places were looked through; copies hold all others yet" do
    school_class, child, = furnish
    copied
    expect(bytes.scan(name).length).to be > 20
    post("/api/classes/#{school_class['id']}/children/#{child['id']}/erasure", { name: })
    work
    expect(bytes).not_to include(name)
    expect(bytes).to include("piece of Other").and include("Other wrote that")
    expect(in_copies).to eq([["Other"]] * 3)
    expect(get("/api/classes/#{school_class['id']}/erasures").body)
      .to match("open" => [], "last" => include("state" => "done", "places" => places::ALL.length + 3 + 3, "trouble" => nil))
  end

  it "takes a class out of the copies as well, and an older copy that is put back loses it again" do
    school_class, = furnish
    copied
    outside = File.join(Dir.mktmpdir, "taken-home.sqlite3")
    Vantick::Server::Store::SafeCopy.backup(store.path, outside)
    post("/api/classes/#{school_class['id']}/erasure", { name: "Curlew", present_password: ApiHelpers::PASSWORD })
    work
    expect(bytes).not_to include(name)
    path = store.path
    store.close
    Vantick::Server::Store::SafeCopy.restore(outside, path, stamp: "1")
    expect(File.binread(path)).not_to include(name)
    expect(bytes).not_to include(name)
    FileUtils.rm_f(Dir["#{path}*"])
    Vantick::Server::Store::SafeCopy.restore(outside, path, stamp: "2")
    expect(File.binread(path)).not_to include(name), "the list beside the copies is enough"
    @store = Vantick::Server::Store::Database.open(path)
    made = store.classes.add(name: "New", school: "", names: ["Una"], made_at:)
    expect(made.children.first[:id]).to be > school_class["children"].last["id"], "ids are not given out twice"
  end

  it "gives nobody the id of a child who came and went after a copy, also where the file itself is gone" do
    school_class = make_class(["Ida"])
    copied
    outside = File.join(Dir.mktmpdir, "taken-home.sqlite3")
    Vantick::Server::Store::SafeCopy.backup(store.path, outside)
    late = post("/api/classes/#{school_class['id']}/children", { names: ["Bo"] }).body["children"].last
    post("/api/classes/#{school_class['id']}/children/#{late['id']}/erasure", { name: "Bo" })
    work
    path = store.path
    store.close
    FileUtils.rm_f(Dir["#{path}*"])
    Vantick::Server::Store::SafeCopy.restore(outside, path, stamp: "1")
    @store = Vantick::Server::Store::Database.open(path)
    made = store.classes.add(name: "New", school: "", names: ["Una"], made_at:)
    expect(made.children.first.id).to be > late["id"]
  end

  it "waits for a second folder of copies that is not there, and says so" do
    another = Dir.mktmpdir
    ENV["VANTICK_COPIES"] = another
    school_class, child, = furnish
    Vantick::Server::Work::DailyCopies.new(store).make(Date.new(2026, 3, 2))
    File.rename(another, "#{another}-away")
    post("/api/classes/#{school_class['id']}/children/#{child['id']}/erasure", { name: })
    work
    open = get("/api/classes/#{school_class['id']}/erasures").body["open"]
    expect(open).to match([include("trouble" => /second folder of copies is missing: #{another}/)])
    File.rename("#{another}-away", another)
    store.jobs.resume
    work
    expect(bytes(another)).to include("Other wrote that")
    expect(bytes(another)).not_to include(name)
  ensure
    ENV.delete("VANTICK_COPIES")
  end

  # A school as it is before, made once.
  def prepared
    furnish.tap do
      copied
      store.db.run("PRAGMA wal_checkpoint(TRUNCATE)")
      store.close
      @store = nil
    end
  end

  # In a process of its own, which says when it begins; killed after so many seconds, or not at all.
  # @return [Float] seconds that it took
  def erased_and_killed(path, child, seconds)
    reader, writer = IO.pipe
    pid = fork do
      own = Vantick::Server::Store::Database.open(path)
      writer.syswrite("x")
      described_class.begin(own, "child", child["id"])
      Vantick::Server::Work::Runner.wake(own, log: StringIO.new).join
      exit!(0)
    end
    reader.readpartial(1)
    began = Vantick::Server::Store::WriteSerializer.now
    Process.kill(:KILL, pid) if seconds && sleep(seconds)
    Process.wait(pid)
    Vantick::Server::Store::WriteSerializer.now - began
  end

  # What the next start does with what it finds.
  def started(path)
    own = Vantick::Server::Store::Database.open(path)
    own.jobs.resume
    Vantick::Server::Work::Copies.sweep(own)
    Vantick::Server::Work::Runner.wake(own, log: StringIO.new)&.join
    yield own
  ensure
    own&.close
  end

  it "comes to its end after the next start, whenever it was killed" do
    _, child, = prepared
    whole = Dir.mktmpdir
    copy = -> { Dir.mktmpdir.tap { |to| FileUtils.cp_r(File.join(folder, "."), to) } }
    FileUtils.cp_r(File.join(folder, "."), whole)
    takes = erased_and_killed(File.join(whole, "school.sqlite3"), child, nil)
    moments = Thorough.of(30, 8)
    began = moments.times.count do |moment|
      to = copy.call
      path = File.join(to, "school.sqlite3")
      erased_and_killed(path, child, takes * moment / moments)
      gone = started(path) { |own| own.db[:children].where(id: child["id"]).empty? }
      expect(bytes(to).include?(name)).to be(!gone), "killed at #{moment} of #{moments}"
      expect(in_copies(to).flatten.tally).to eq({ "Other" => 3, name => (3 unless gone) }.compact)
      FileUtils.rm_rf(to)
      gone
    end
    expect(began).to be > moments / 2
  end

  it "waits for room on a disk that is full, says so, and goes on by itself" do
    _, child, = prepared
    disk = Dir.mktmpdir
    program = File.expand_path("support/crowded.rb", __dir__)
    run = "exec #{RbConfig.ruby} -rbundler/setup #{program} #{folder} #{disk} #{child['id']} #{name}"
    inside = "mount -t tmpfs -o size=6m tmpfs #{disk} && #{run}"
    said, status = Open3.capture2("unshare", *(Process.uid.zero? ? ["-m"] : ["-rm"]), "sh", "-c", inside)
    expect(status).to be_success
    found = JSON.parse(said)
    expect(found.length).to eq(10)
    expect(found.map { |one| [one["left"], one["sound"].uniq, one["states"].uniq] }.uniq).to eq([[false, [true], ["done"]]])
    expect(found.filter_map { |one| one["said"] }).to include("full").or include(/disk is full/)
    expect(found.map { |one| one["gone"] }.uniq).to include(true)
  end
end
