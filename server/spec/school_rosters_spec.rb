# frozen_string_literal: true

# One list of the whole school. OneRoster 1.2 is written down from memory.
RSpec.describe Vantick::Server::Classes::SchoolRosters do
  let!(:curlew) { make_class(%w[Bo Ida Tom]) }
  let(:ids) { { "Bo" => "u1", "Ida" => "u2", "Tom" => "u3", "Mia" => "u4", "Noor" => "u5" } }
  let(:list) do
    bundle({ "Curlew" => { "u1" => "Bo", "u4" => "Mia", "u7" => "Zoe" }, "Dunlin" => { "u2" => "Ida", "u5" => "Noor" },
                        "Plover" => { "u8" => "Ana" } })
  end
  let!(:dunlin) { post("/api/classes", { name: "Dunlin", children: %w[Mia Noor] }).body }

  # Each class with its children by id and name; the teacher of each, where one is said.
  def bundle(classes, teachers: {})
    users = classes.values.flat_map(&:to_a).uniq + teachers.values.map { |name| ["t-#{name}", name] }
    enrolled = classes.flat_map { |title, children| children.keys.map { |id| "#{id}@#{title},c-#{title},#{id},student" } }
    enrolled += teachers.map { |title, name| "t@#{title},c-#{title},t-#{name},teacher" }
    Vantick::Server::Formats::Bundle.write(
      "classes.csv" => "sourcedId,title\n#{classes.keys.map { |title| "c-#{title},#{title}\n" }.join}",
      "users.csv" => "sourcedId,givenName,familyName\n#{users.map { |id, name| "#{id},#{name},Roe\n" }.join}",
      "enrollments.csv" => "sourcedId,classSourcedId,userSourcedId,role\n#{enrolled.join("\n")}\n"
    )
  end

  def sent(bytes, **more) = { file: Base64.strict_encode64(bytes), names: "first", gone: "left", **more }

  def preview(bytes, **more) = post("/api/school/roster-previews", sent(bytes, **more))

  def take(bytes, **more) = post("/api/school/rosters", sent(bytes, **more))

  def undo(id = get("/api/school/rosters").body["lists"].first["id"]) = post("/api/school/rosters/#{id}/return", {})

  def known(ids) = ids.each { |name, id| store.db[:children].where(name:).update(source_id: id) }

  # All classes with the names of who is there.
  def school
    store.db[:classes].where(archived_at: nil).order(:id).select_map(%i[id name]).to_h do |id, name|
      [name, store.classes.children(id).map { |child| child[:name] }.sort]
    end
  end

  it "shows class by class who comes, moves and isn't there any more, and changes nothing" do
    known(ids)
    before = everything
    found = preview(list).body
    classes = found["classes"].to_h { |one| [one["title"], one] }
    expect(classes["Curlew"]).to include("class_id" => curlew["id"], "added" => ["Zoe"], "same" => 2,
                                         "moved" => [{ "id" => dunlin["children"][0]["id"], "name" => "Mia", "from" => "Dunlin" }])
    expect(classes["Curlew"]["gone"].map { |child| child["name"] }).to eq(["Tom"])
    expect(classes["Dunlin"]).to include("added" => [], "moved" => [include("name" => "Ida", "from" => "Curlew")], "gone" => [])
    expect(classes["Plover"]).to include("class_id" => nil, "added" => ["Ana"])
    expect(everything).to eq(before)
  end

  it "is taken whole: children move with their answers, leave and come, and a class is made; and all of it is undone" do
    known(ids)
    check = make_check(dunlin)
    mia = dunlin["children"].first
    answer(check, mia, check["items"].first, "qt8")
    before = school
    ids_before = store.db[:children].order(:id).select_map(%i[id name class_id source_id left_at])
    expect(take(list).status).to eq(200)
    expect(school).to eq("Curlew" => %w[Bo Mia Zoe], "Dunlin" => %w[Ida Noor], "Plover" => ["Ana"])
    expect(store.answers.of_child(mia["id"]).length).to eq(1)
    expect(undo.body["lists"]).to eq([])
    expect(school).to eq(before)
    expect(store.db[:children].order(:id).select_map(%i[id name class_id source_id left_at])).to eq(ids_before)
  end

  it "knows a class by its id from then on, whatever it is called, and gives it out with that id and its teacher" do
    known(ids)
    take(bundle({ "Curlew" => { "u1" => "Bo" } }), gone: "stay")
    put("/api/classes/#{curlew['id']}", { name: "Class 3" })
    expect(preview(bundle({ "Curlew" => { "u1" => "Bo" } })).body["classes"].first["class_id"]).to eq(curlew["id"])
    files = Vantick::Server::Formats::Bundle.read(plain("/api/classes/#{curlew['id']}/oneroster.zip").body)
    tables = files.transform_values { |text| CSV.parse(text, headers: true).map(&:to_h) }
    expect(tables["classes.csv"].map { |row| row["sourcedId"] }).to eq(["c-Curlew"])
    teacher = tables["enrollments.csv"].find { |row| row["role"] == "teacher" }
    expect(teacher).to include("classSourcedId" => "c-Curlew", "primary" => "true")
    user = tables["users.csv"].find { |row| row["sourcedId"] == teacher["userSourcedId"] }
    expect(user["givenName"]).to eq("Marit")
    expect(tables["roles.csv"].map { |row| row.values_at("userSourcedId", "role") }).to include([teacher["userSourcedId"], "teacher"])
  end

  it "leaves a child where it is who has an old row in last year's class" do
    known(ids)
    old = post("/api/classes", { name: "Last year", children: %w[Bo Una] }).body
    store.db[:children].where(id: old["children"].map { |child| child["id"] }).update(source_id: "u1")
    post("/api/classes/#{old['id']}/archive", { archived: true })
    found = preview(bundle({ "Curlew" => { "u1" => "Bo" } })).body["classes"].first
    expect(found).to include("moved" => [], "added" => [], "same" => 1)
    # Who is in a class now moves, not the old row.
    moved = preview(bundle({ "Plover" => { "u1" => "Bo" } })).body["classes"].first["moved"]
    expect(moved).to match([include("from" => "Curlew", "id" => curlew["children"].first["id"])])
  end

  it "asks whether a child without an id is the same, and takes it for another until then" do
    found = preview(bundle({ "Curlew" => { "u1" => "Bo" } })).body["classes"].first
    expect(found["doubts"].map { |doubt| doubt["name"] }).to eq(["Bo"])
    bo = curlew["children"].first["id"]
    take(bundle({ "Curlew" => { "u1" => "Bo" } }), classes: [{ of: "c-Curlew", same: [{ at: 0, child_id: bo }] }])
    expect(store.db[:children].first(id: bo)).to include(source_id: "u1", left_at: nil)
    expect(school["Curlew"]).to eq(["Bo"])
  end

  it "gives a new class to the teacher it names, or to whom it is said, and leaves out what is said" do
    signed_in("Wietske")
    wietske = store.db[:accounts].where(login: "Wietske").get(:id)
    two = bundle({ "Plover" => { "u8" => "Ana" }, "Ruff" => { "u9" => "Eli" } }, teachers: { "Plover" => "Wietske" })
    expect(preview(two).body["classes"].map { |one| one["account_id"] }).to eq([wietske, store.school.keeper])
    take(two, classes: [{ of: "c-Ruff", left_out: true }])
    expect(school.keys).to eq(%w[Curlew Dunlin Plover])
    expect(store.db[:classes].where(name: "Plover").get(:account_id)).to eq(wietske)
    expect(take(two, classes: [{ of: "c-Plover", left_out: true }, { of: "c-Ruff", left_out: true }])).to be_refused(422).at("classes")
    expect(take(two, classes: [{ of: "c-Ruff", class_id: curlew["id"] }, { of: "c-Plover", class_id: curlew["id"] }]))
      .to be_refused(422).at("classes").saying(/can't both be Curlew/)
  end

  it "knows a teacher by the whole name alone" do
    signed_in("Wiets")
    found = preview(bundle({ "Plover" => { "u8" => "Ana" } }, teachers: { "Plover" => "Wietske" })).body["classes"]
    expect(found.map { |one| one["account_id"] }).to eq([store.school.keeper])
  end

  it "counts a child of two classes once, where the child is already, and says so" do
    known(ids)
    found = preview(bundle({ "Maths" => { "u1" => "Bo" }, "Curlew" => { "u1" => "Bo" } }), classes: []).body["classes"]
    maths, curlews = found.partition { |one| one["title"] == "Maths" }.map(&:first)
    expect(maths).to include("added" => [], "left_out" => ["Bo is also in Curlew, and is counted there."])
    expect(curlews).to include("same" => 1, "left_out" => [])
  end

  it "reads a table with a column of classes, and takes it again without making anything new" do
    table = "Class,First name,Pupil ID\nCurlew,Bo,u1\nPlover,Ana,u8\nPlover,,u9\n"
    expect(preview(table).body["classes"].map { |one| one.values_at("title", "added", "left_out") })
      .to eq([["Curlew", ["Bo"], []], ["Plover", ["Ana"], ["Line 4: no name."]]])
    bo = curlew["children"].first["id"]
    take(table, gone: "stay", classes: [{ of: "name:Curlew", same: [{ at: 0, child_id: bo }] }])
    again = preview(table).body["classes"]
    expect(again.map { |one| one.values_at("added", "same", "moved") }).to all(eq([[], 1, []]))
    expect(preview("Bo\nIda\n")).to be_refused(422).at("file").saying(/no classes/)
  end

  it "offers files of the watched folder, the newest first, and reads none that is not in it" do
    watched = Dir.mktmpdir
    File.binwrite(File.join(watched, "night.zip"), list)
    File.write(File.join(folder, "secret.csv"), "Class,First name\nCurlew,Una\n")
    File.symlink(File.join(folder, "secret.csv"), File.join(watched, "link.csv"))
    File.write(File.join(watched, "notes.pdf"), "x")
    expect(get("/api/school/rosters").body["files"]).to eq([])
    stub_const("ENV", ENV.to_h.merge("VANTICK_ROSTERS" => watched))
    expect(get("/api/school/rosters").body["files"].map { |file| file["name"] }).to eq(["night.zip"])
    ask = ->(from) { post("/api/school/roster-previews", { from:, names: "first", gone: "stay" }) }
    expect(ask.call("night.zip").body["classes"].length).to eq(3)
    ["link.csv", "../secret.csv", "none.zip", "notes.pdf"].each do |name|
      expect(ask.call(name)).to be_refused(422).at("from").saying(/isn't in the folder/), name
    end
  end

  it "is only for whoever keeps the school" do
    colleague = signed_in("Wietske")
    as(colleague) do
      expect([get("/api/school/rosters"), preview(list), take(list), undo(1)].map(&:status)).to eq([403, 403, 403, 404])
    end
  end

  it "is undone in its order, for thirty days, and not where a child was moved on" do
    known(ids)
    take(list)
    take(bundle({ "Curlew" => { "u1" => "Bo" } }), gone: "stay")
    lists = get("/api/school/rosters").body["lists"]
    expect(undo(lists.last["id"])).to be_refused(422).at("school_list_id").saying(/Undo that one first/)
    undo(lists.first["id"])
    mia = dunlin["children"].first["id"]
    plover = store.db[:classes].where(name: "Plover").get(:id)
    post("/api/classes/#{curlew['id']}/children/#{mia}/move", { to_class_id: plover })
    make_check({ "id" => plover })
    undo(lists.last["id"])
    expect(store.db[:children].where(id: mia).get(:class_id)).to eq(plover)
    expect(store.db[:classes].where(id: plover).get(:archived_at)).not_to be_nil
    take(list)
    store.school_rosters.forget_old(Time.now + (31 * 86_400))
    expect(get("/api/school/rosters").body["lists"]).to eq([])
  end

  # Sign-ins come and go.
  def everything
    store.db.tables.reject { |name| name.start_with?("account_") }.to_h { |name| [name, store.db[name].all] }
  end
end
