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
      "Zo\xEB\n".b => ["Zoë"], "\"Bo \"\"B\"\"\"\n" => ["Bo \"B\""] }.each do |text, found|
      expect(reading(text).body["classes"].map { |one| one["children"] }).to eq([found]), text
    end
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
    expect(found).to eq([{ "id" => "c1", "title" => "Curlew", "children" => ["Bo", "Ida B.", "Ida C."] },
                         { "id" => "c2", "title" => "Dunlin", "children" => ["Bo"] }])
    expect(preview(bundle)).to be_refused(422).at("of").saying(/2 classes/)
    expect(preview(bundle, of: "c2").body).to include("same" => 1, "added" => [])
  end

  it "says what would change, then changes it, and knows the children again by their ids" do
    expect(preview(bundle, of: "c1").body).to eq("added" => ["Ida B.", "Ida C."], "renamed" => [], "back" => [], "same" => 1,
                                                 "gone" => school_class["children"].drop(1))
    expect(names).to eq(%w[Bo Ida Tom])
    take(bundle, of: "c1")
    expect(names).to eq(["Bo", "Ida B.", "Ida C."])
    later = bundle(users: "sourcedId,givenName,familyName\nu1,Boris,Ash\nu2,Ida,Birk\nu3,Ada,Crane\n")
    expect(preview(later, of: "c1").body["renamed"].map { |one| one.values_at("from", "to") })
      .to eq([%w[Bo Boris], ["Ida C.", "Ada"]])
    take(later, of: "c1")
    expect(names).to eq(["Boris", "Ida B.", "Ada"]), "the Ida who left keeps her name"
  end

  it "lets two children change their names with each other, and brings back who is on the list again" do
    ids = "id,name\n1,Bo\n2,Ida\n"
    take(ids)
    expect(names).to eq(%w[Bo Ida])
    take("id,name\n1,Ida\n2,Bo\n3,Tom\n")
    expect(names).to eq(%w[Ida Bo Tom])
    expect(get("#{path}/register").body["left"]).to eq([])
  end

  it "takes nothing where anything is wrong, and says in which line" do
    {
      bundle(users: nil) => /no users.csv/,
      bundle(users: "sourcedId,givenName\nu1,Bo\n") => /enrollments.csv, line 3: it names the user u2/,
      bundle(users: "sourcedId,givenName\nu1,Bo\nu2,\nu3,Ida\n") => /users.csv, line 3: it has no first name/,
      bundle(classes: "sourcedId,title\n,Curlew\n") => /classes.csv, line 2: it has no sourcedId/,
      bundle(enrollments: "sourcedId,classSourcedId,userSourcedId,role\n") => /no child in this file/,
      "PK\u0003\u0004 no zip" => /no zip/, "first name,last name\nBo,Ash\n,Birk" => /Line 3: there is no first name/,
      "Bo\nBO" => /too alike/, "\"Bo\nIda" => /Line 1 cannot be read/, ("a" * 61) => /too long/, " \n" => /no child/
    }.each do |file, words|
      expect(take(file, of: "c1")).to be_refused(422).at("file").saying(words), words.inspect
    end
    expect(take((1..41).map { |at| "Child #{at}" }.join("\n"))).to be_refused(422).at("file").saying(/at most 40/)
    expect(names).to eq(%w[Bo Ida Tom])
  end

  it "unpacks no more than a school's lists" do
    bomb = Vantick::Server::Formats::Bundle.write("users.csv" => "0" * 9_000_000)
    expect(bomb.bytesize).to be < 20_000
    expect(take(bomb)).to be_refused(422).at("file").saying(/far more/)
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
      given = get("/api/checks/#{check['id']}").body["answers"].reject { |one| one["verdict"] == "blank" }
      share = given.count { |one| one["right"] } / given.length.to_f
      expect(files["results.csv"].map { |row| row["score"] }).to eq([format("%.2f", share)])
    end

    it "comes in again without changing anything, and without doubling anybody" do
      before = get("#{path}/register").body
      out = bundle_out
      expect(preview(out).body).to eq("added" => [], "renamed" => [], "back" => [], "gone" => [], "same" => 3)
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
      expect(table.map { |row| row.values_at("time", "verdict") }).to eq(lines.map { |line| line.values_at("time", "verdict") })
    end
  end
end
