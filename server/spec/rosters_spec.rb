# frozen_string_literal: true

# Lists of children from other programs, and a class for them. OneRoster 1.2 is written down from memory.
RSpec.describe Vantick::Server::Classes::Rosters do
  let(:school_class) { make_class(%w[Bo Ida Tom]) }
  let(:path) { "/api/classes/#{school_class['id']}" }

  def sent(text, **more) = { file: Base64.strict_encode64(text), names: "first", **more }

  def preview(text, **more) = post("#{path}/roster-previews", sent(text, gone: "stay", **more))

  def take(text, gone: "left", **more) = post("#{path}/rosters", sent(text, gone:, **more))

  def reading(text, **more) = post("/api/roster-readings", sent(text, **more))

  def names = get("#{path}/register").body["children"].map { |child| child["name"] }

  def bundle(**files)
    plain = {
      classes: "sourcedId,status,title\nc1,active,Curlew\nc2,active,Dunlin\n",
      users: <<~CSV,
        sourcedId,status,givenName,familyName
        u1,active,Bo,Ash
        u2,active,Ida,Birk
        u3,active,Ida,Crane
        u4,inactive,Una,Dee
        t1,active,Marit,Roe
      CSV
      enrollments: <<~CSV
        sourcedId,classSourcedId,userSourcedId,role
        e1,c1,u1,student
        e2,c1,u2,student
        e3,c1,u3,student
        e4,c2,u1,student
        e5,c1,t1,teacher
      CSV
    }
    Vantick::Server::Formats::Bundle.write({ **plain, **files }.compact.transform_keys { |name| "#{name}.csv" })
  end

  it "reads names one under the other, with commas between, as a table, with a mark and in Windows' letters" do
    { "Bo\nIda\n\nTom" => %w[Bo Ida Tom], "Bo, Ida;Tom".tr(";", ",") => %w[Bo Ida Tom], "\uFEFFName\r\nZoë\r\n" => ["Zoë"],
      "Last name;First name\nAsh;Bo\nBirk;Ida" => %w[Bo Ida], "Pupil ID\tForename\tSurname\n7\tBo\tAsh" => ["Bo"],
      "Zo\xEB\n".b => ["Zoë"],
      "\uFEFFName\tAge\r\nZoë\t7\r\n".encode("UTF-16LE").b => ["Zoë"], "\"Bo \"\"B\"\"\"\n" => ["Bo \"B\""] }.each do |text, found|
      expect(reading(text).body["classes"].map { |one| one["children"] }).to eq([found]), text
    end
  end

  # Work that grows with the square of a list would hold up everybody: names are folded a few times each.
  it "tells five hundred of one first name apart without comparing each with each" do
    listed = Array.new(500) { |at| Vantick::Server::Formats::Roster::Listed.new(nil, "Mia", "Roe#{at}") }
    folded = 0
    allow(Vantick::Core::Wording::ChildNames).to receive(:folded).and_wrap_original do |fold, name|
      folded += 1
      fold.call(name)
    end
    expect(Vantick::Server::Formats::ListedNames.of(listed, "first").uniq.length).to eq(500)
    expect(folded).to be < 500 * (Vantick::Server::Formats::ListedNames::MOST + 2)
  end

  it "keeps first names alone, and tells two apart by as few letters as it takes, unless more is wanted" do
    list = "first name,last name\nIda,Birk\nIda,Birch\nBo,Ash\n"
    { "first" => ["Ida Birk", "Ida Birc.", "Bo"], "initial" => ["Ida Birk", "Ida Birc.", "Bo A."],
      "full" => ["Ida Birk", "Ida Birch", "Bo Ash"] }.each do |how, found|
      expect(reading(list, names: how).body["classes"].first["children"]).to eq(found), how
    end
  end

  it "reads the classes of a bundle, students alone, without who is inactive" do
    found = reading(bundle).body["classes"]
    expect(found.map { |one| one.values_at("id", "title", "children", "about", "left_out", "table", "commas") })
      .to eq([["c1", "Curlew", ["Bo", "Ida B.", "Ida C."], "Marit Roe", [], nil, nil], ["c2", "Dunlin", ["Bo"], "", [], nil, nil]])
    expect(preview(bundle)).to be_refused(422).at("of").saying(/2 classes/)
    expect(preview(bundle, of: "c2").body["doubts"].map { |one| one["name"] }).to eq(["Bo"])
  end

  # What a teacher says who finds that all are the same children.
  def all_the_same(text, **more)
    preview(text, **more).body["doubts"].map { |one| { at: one["at"], child_id: one["children"].first["id"] } }
  end

  it "says what would change, then changes it, and knows the children again by their ids" do
    same = all_the_same(bundle, of: "c1").first(1)
    expect(preview(bundle, of: "c1", same:).body)
      .to include("added" => ["Ida B.", "Ida C."], "renamed" => [], "back" => [], "same" => 1, "gone" => school_class["children"].drop(1))
    expect(names).to eq(%w[Bo Ida Tom])
    take(bundle, of: "c1", same:)
    expect(names).to eq(["Bo", "Ida B.", "Ida C."])
    later = bundle(users: "sourcedId,givenName,familyName\nu1,Boris,Ash\nu2,Ida,Birk\nu3,Ada,Crane\n")
    expect(preview(later, of: "c1").body).to include("doubts" => [], "added" => [])
    expect(preview(later, of: "c1").body["renamed"].map { |one| one.values_at("from", "to") })
      .to eq([%w[Bo Boris], ["Ida C.", "Ada"]])
    take(later, of: "c1")
    expect(names).to eq(["Boris", "Ida B.", "Ada"]), "the Ida who left keeps her name"
  end

  it "lets two children change their names with each other, and brings back who is on the list again, where it is the same child" do
    ids = "id,name\n1,Bo\n2,Ida\n"
    take(ids, same: all_the_same(ids))
    expect(names).to eq(%w[Bo Ida])
    again = "id,name\n1,Ida\n2,Bo\n3,Tom\n"
    expect(preview(again).body["doubts"]).to match([include("name" => "Tom", "children" => [include("left_at" => String, "last" => nil)])])
    take(again, same: all_the_same(again))
    expect(names).to eq(%w[Ida Bo Tom])
    expect(get("#{path}/register").body["left"]).to eq([])
  end

  describe "a child with a record" do
    before do
      check = make_check(school_class)
      school_class["children"].each { |child| answer(check, child, check["items"].first, "quarter to eight") }
    end

    def answers_of(name)
      child = get("#{path}/register").body["children"].find { |one| one["name"] == name }
      get("#{path}/children/#{child['id']}/record").body["answers"].length
    end

    def left = get("#{path}/register").body["left"].map { |child| child["name"] }

    # A class of three with ids, and next year's in the same class: three who share a first name with them, and one more.
    it "keeps it to itself when next year's bundle comes into the same class" do
      ids = "id,first name\n1,Bo\n2,Ida\n3,Tom\n"
      take(ids, same: all_the_same(ids))
      next_year = "id,first name\n11,Bo\n12,Ida\n13,Tom\n14,Una\n"
      expect(preview(next_year).body).to include("doubts" => [], "same" => 0)
      take(next_year)
      expect(names).to eq(%w[Bo Ida Tom Una])
      expect(names.map { |name| answers_of(name) }).to eq([0, 0, 0, 0])
      expect(left).to contain_exactly("Bo (earlier)", "Ida (earlier)", "Tom (earlier)")
    end

    it "is shown with the last clock it answered where a name is all there is, and is another unless a teacher says so" do
      list = "Bo\nIda\nTom\n"
      doubts = preview(list).body["doubts"]
      expect(doubts.map { |one| one.values_at("at", "name") }).to eq([[0, "Bo"], [1, "Ida"], [2, "Tom"]])
      expect(doubts.first["children"].first["last"]).to match("time" => /\A\d+:\d\d\z/, "at" => String)
      take(list, same: all_the_same(list).first(1))
      expect(names).to eq(%w[Bo Ida Tom])
      expect(names.map { |name| answers_of(name) }).to eq([1, 0, 0])
    end

    it "is not taken for one of the same first name: one Mia leaves as another comes" do
      put("#{path}/children/#{school_class['children'].first['id']}", { name: "Mia B." })
      put("#{path}/children/#{school_class['children'][1]['id']}", { name: "Mia K." })
      list = "First name,Last name\nMia,Krol\nTom,Ash\n"
      %w[first initial full].each do |kept|
        found = preview(list, names: kept).body["doubts"].to_h { |one| [one["at"], one["children"].map { |child| child["name"] }] }
        expect(found).to eq({ 0 => ["Mia K."], 1 => ["Tom"] }), kept
      end
      take(list, same: all_the_same(list))
      expect(names.length).to eq(2)
      expect(names.map { |name| answers_of(name) }).to eq([1, 1])
      expect(left).to eq(["Mia B."])
    end

    it "is nobody's but one child's of the list, and of no child whom a teacher could not mean" do
      twice = "First name,Last name\nBo,Ash\nBo,Birk\n"
      bo, ida = school_class["children"]
      expect(preview(twice).body["doubts"].map { |one| one["children"].map { |child| child["id"] } }).to eq([[bo["id"]], [bo["id"]]])
      said = ->(*pairs) { pairs.map { |at, child| { at:, child_id: child["id"] } } }
      expect(take(twice, same: said[[0, bo], [1, bo]])).to be_refused(422).at("same").saying(/can't be two children/)
      expect(take(twice, same: said[[0, ida]])).to be_refused(422).at("same").saying(/Bo A\. on the list can't be that child/)
    end

    it "comes back as it was when the list is taken back, and who answered since leaves with the answers" do
      before = get("#{path}/register").body
      take("Zoe\nUna\n")
      zoe = get("#{path}/register").body["children"].first
      check = make_check(get("/api/classes").body["classes"].first)
      answer(check, zoe, check["items"].first, "x")
      lists = get("#{path}/rosters").body["lists"]
      expect(lists).to match([include("added" => 2, "last" => true)])
      post("#{path}/rosters/#{lists.first['id']}/return", {})
      expect(get("#{path}/register").body["children"]).to eq(before["children"])
      expect(left).to eq(["Zoe (from a list #{zoe['id']})"])
      expect(get("#{path}/rosters").body["lists"]).to eq([])
    end

    it "is as before however many lists are taken back, the last one first, and whatever was typed since" do
      before = get("#{path}/register").body
      take("Zoe\nUna\n")
      post("#{path}/children", { names: ["Bo K"] })
      take("Xara\n", gone: "stay")
      ids = get("#{path}/rosters").body["lists"].map { |one| one["id"] }
      expect(post("#{path}/rosters/#{ids.last}/return", {})).to be_refused(422).at("list_id").saying(/after this one/)
      put("#{path}/children/#{get("#{path}/register").body['children'].last['id']}", { name: "Bo" })
      ids.each { |id| expect(post("#{path}/rosters/#{id}/return", {}).status).to eq(200) }
      expect(names).to include("Bo", "Ida", "Tom")
      expect(get("#{path}/register").body["children"].map { |child| child["id"] }).to include(*before["children"].map { |one| one["id"] })
    end

    it "can be had back for thirty days" do
      take("Zoe\n")
      store.lists_taken.forget_old(Time.now + (29 * 86_400))
      expect(get("#{path}/rosters").body["lists"].length).to eq(1)
      store.lists_taken.forget_old(Time.now + (31 * 86_400))
      expect(get("#{path}/rosters").body["lists"]).to eq([])
    end
  end

  # Classes and lists drawn by lot: without a teacher's word nobody is anybody else's, and every child of the list is in the class.
  describe Vantick::Server::Classes::RosterChange do
    let(:random) { Random.new(27) }
    let(:first) { %w[Mia Bo Ida Zoë Tom Ana] }

    def folded(names) = names.map { |name| Vantick::Core::Wording::ChildNames.folded(name) }

    def class_drawn
      names = first.product(["", " A.", " Birk"]).map(&:join).sample(random.rand(0..8), random:)
      names.each.with_index(1).map do |name, id|
        { id:, name:, source_id: [id.to_s, nil].sample(random:), left_at: ["2026", nil].sample(random:) }
      end
    end

    def list_drawn
      rows = first.product(%w[Ash Birk Krol]).sample(random.rand(1..8), random:).map do |row|
        [[random.rand(1..12).to_s, nil].sample(random:), *row]
      end
      listed = rows.map { |row| Vantick::Server::Formats::Roster::Listed.new(*row) }.uniq { |one| one.source_id || one }
      names = Vantick::Server::Formats::ListedNames.of(listed, %w[first initial full].sample(random:))
      listed.zip(names).map { |one, name| described_class::Listed.new(one.source_id, name, one.given, one.family) }
    end

    # Who is known for certain: in the class, by the same id.
    def known(present, listed)
      ids = listed.map(&:source_id)
      present.select { |child| child[:left_at].nil? && child[:source_id] && ids.include?(child[:source_id]) }
    end

    it "gives nobody another's record, and nobody another's name, whatever comes after whatever" do
      300.times do
        present = class_drawn
        listed = list_drawn
        change = described_class.new(present, listed, {}, gone: %w[stay left].sample(random:))
        same = known(present, listed)
        expect(change.summary).to include(same: same.length - change.renamed.length, back: [])
        expect(change.added.length).to eq(listed.length - same.length)
        names = present.to_h { |child| [child, child[:name]] }.merge(change.renamed, change.giving_way).values + change.added.map(&:last)
        expect(folded(names)).to match_array(folded(names).uniq)
        change.doubts.each do |at, children|
          expect(children).to all(satisfy { |child| child[:left_at] || child[:source_id].nil? || listed[at].source_id.nil? })
        end
      end
    end
  end

  it "takes nothing where anything is wrong, and says in which line" do
    {
      bundle(users: nil) => /no users.csv/,
      bundle(classes: "sourcedId,title\n,Curlew\n") => /file has no children/,
      bundle(manifest: "propertyName,value\nfile.users,delta\n") => /only what changed/,
      bundle(enrollments: "sourcedId,classSourcedId,userSourcedId,role\n") => /file has no children/,
      "PK\u0003\u0004 no zip" => /zip file can't be opened/,
      "Bo\nBO" => /look too alike/, "\"Bo\nIda" => /Line 1 can't be read/, ("a" * 61) => /too long/, " \n" => /no children/
    }.each do |file, words|
      expect(take(file, of: "c1")).to be_refused(422).at("file").saying(words), words.inspect
    end
    expect(take((1..41).map { |at| "Child #{at}" }.join("\n"))).to be_refused(422).at("file").saying(/at most 40/)
    many = (["first name,last name"] + (["Mia,Roe"] * 20_000)).join("\n")
    expect(reading(many)).to be_refused(422).at("file").saying(/list has 20000/)
    expect(names).to eq(%w[Bo Ida Tom])
  end

  it "unpacks no more than a school's lists" do
    bomb = Vantick::Server::Formats::Bundle.write("users.csv" => "0" * 9_000_000)
    expect(bomb.bytesize).to be < 20_000
    expect(take(bomb)).to be_refused(422).at("file").saying(/far larger/)
  end

  describe "what goes out" do
    # Another reader than the one that is tried: Info-ZIP.
    def unzipped(bytes)
      file = File.join(folder, "bundle.zip")
      File.binwrite(file, bytes)
      names = IO.popen(["unzip", "-Z1", file], &:readlines).map(&:chomp)
      names.to_h { |name| [name, CSV.parse(IO.popen(["unzip", "-p", file, name], &:read), headers: true)] }
    end

    def bundle_out = plain("#{path}/oneroster.zip").body

    it "is a bundle with all that its manifest names, that hangs together" do
      check = make_check(school_class)
      bo = school_class["children"].first
      texts = ["quarter to eight", check["items"][1]["right"], "x", ""]
      check["items"].zip(texts).first(4).each { |item, text| answer(check, bo, item, text) }
      files = unzipped(bundle_out)
      said = files["manifest.csv"].to_h { |row| row.values_at("propertyName", "value") }
      expect(said).to include("manifest.version" => "1.0", "oneroster.version" => "1.2")
      expect(said.select { |_, value| value == "bulk" }.keys.map { |name| "#{name.delete_prefix('file.')}.csv" })
        .to match_array(files.keys - ["manifest.csv"])
      ids = files.except("manifest.csv").transform_values { |table| table.map { |row| row["sourcedId"] } }
      ids.each { |name, all| expect(all.uniq).to eq(all), name }
      pointing = {
        "enrollments" => { "userSourcedId" => "users", "classSourcedId" => "classes" }, "roles" => { "userSourcedId" => "users" },
        "results" => { "lineItemSourcedId" => "lineItems", "studentSourcedId" => "users", "scoreScaleSourcedId" => "scoreScales" },
        "lineItems" => { "categorySourcedId" => "categories", "academicSessionSourcedId" => "academicSessions" }
      }
      pointing.each do |name, columns|
        columns.each do |column, to|
          expect(files["#{name}.csv"].map do |row|
            row[column]
          end - ids["#{to}.csv"]).to eq([]), "#{name} #{column}"
        end
      end
      expect(files["users.csv"].map { |row| row.values_at("familyName", "status", "dateLastModified") }.uniq)
        .to eq([["(first name only)", nil, nil]])
      given = get("/api/checks/#{check['id']}").body["answers"].reject { |one| one["verdict"] == "blank" }
      share = given.count { |one| one["right"] } / given.length.to_f
      expect(files["results.csv"].map { |row| row["score"] }).to eq([format("%.2f", share)])
    end

    it "has each check in the school year that it was made in, and ends its lines as the standard has it" do
      %w[2026-07-10T08:00:00Z 2026-09-10T08:00:00Z].each do |moment|
        Vantick::Server::Clock.set(Time.iso8601(moment))
        check = make_check(school_class)
        answer(check, school_class["children"].first, check["items"].first, "quarter to eight")
      end
      files = unzipped(bundle_out)
      years = files["academicSessions.csv"].to_h { |row| row.values_at("sourcedId", "title") }
      expect(files["lineItems.csv"].map { |row| [row["assignDate"][5, 2], years.fetch(row["academicSessionSourcedId"])[0, 4]] })
        .to contain_exactly(%w[09 2026], %w[07 2025])
      raw = Vantick::Server::Formats::Bundle.read(bundle_out)["users.csv"]
      expect(raw.scan("\n").length).to eq(raw.scan("\r\n").length)
    ensure
      Vantick::Server::Clock.set(nil)
    end

    it "comes in again without changing anything, and without doubling anybody" do
      before = get("#{path}/register").body
      out = bundle_out
      expect(preview(out).body).to eq("added" => [], "renamed" => [], "back" => [], "gone" => [], "same" => 3, "doubts" => [])
      take(out)
      expect(get("#{path}/register").body).to eq(before)
      other = make_class(%w[Ada])
      post("/api/classes/#{other['id']}/rosters", sent(out, gone: "left"))
      expect(get("/api/classes/#{other['id']}/register").body["children"].map { |child| child["name"] }).to eq(%w[Bo Ida Tom])
    end

    it "is every answer that stands, as a table and line by line, the same in both" do
      check = make_check(school_class)
      answer(check, school_class["children"].first, check["items"].first, "=quarter to eight")
      answer(check, school_class["children"].first, check["items"].first, "qt8")
      answer(check, school_class["children"][1], check["items"].first, "=half past")
      table = CSV.parse(plain("#{path}/answers.csv").body.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF"),
                        headers: true).map(&:to_h)
      lines = plain("#{path}/answers.jsonl").body.lines.map { |line| JSON.parse(line) }
      expect(lines.map { |line| line.values_at("child", "answer") }).to eq([%w[Bo qt8], ["Ida", "=half past"]])
      expect(table.map { |row| row["answer"] }).to eq(["qt8", "'=half past"])
      shared = %w[time verdict half]
      expect(table.map { |row| row.values_at(*shared) }).to eq(lines.map { |line| line.values_at(*shared).map(&:to_s) })
      expect(lines.map { |line| line["half"] }).to all(be_nil.or(eq("hour")).or(eq("minutes")))
    end
  end
end
