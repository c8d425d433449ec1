# frozen_string_literal: true

# What is read of lists and packages, by itself: through the API it is read in a process of its own.
RSpec.describe Vantick::Server::Formats do
  let(:bundle) { Vantick::Server::Formats::Bundle }

  def refused(words) = raise_error(Vantick::Core::Error, words)

  describe described_class::Roster do
    def names(bytes)
      described_class.read(bytes).map do |one|
        [one.title, one.children.map do |child|
          [child.source_id, child.given, child.family]
        end]
      end
    end

    def files(**other)
      plain = { classes: "sourcedId,status,title\nc2,active,Dunlin\nc1,active,Curlew\nc3,active,Empty\n",
                users: "sourcedId,status,givenName,familyName,preferredGivenName\nu1,active,Bo,Ash,\nu2,active,Ida,Birk,Idje\n" \
                       "u3,inactive,Una,Dee,\n",
                enrollments: "sourcedId,classSourcedId,userSourcedId,role\ne1,c1,u1,student\ne2,c1,u2,Student\n" \
                             "e3,c2,u1,student\ne4,c1,u9,teacher\n" }
      bundle.write({ **plain, **other }.compact.transform_keys { |name| "#{name}.csv" })
    end

    it "takes names without a head, and tables by the names of their columns" do
      { "Bo\nIda\n\nTom\n" => [[nil, "Bo", ""], [nil, "Ida", ""], [nil, "Tom", ""]], "Bo,Ida" => [[nil, "Bo", ""], [nil, "Ida", ""]],
        "Pupil ID;First name;Last name\n7;Bo;Ash\n\n8;Ida;\n" => [%w[7 Bo Ash], ["8", "Ida", ""]],
        "name\tsurname\nBo\tAsh" => [[nil, "Bo", "Ash"]], "child\nBo\n" => [[nil, "Bo", ""]] }.each do |text, found|
        expect(names(text)).to eq([[nil, found]]), text
      end
    end

    it "takes the classes of a bundle that have children, by title, each child once and by the name it is called by" do
      expect(names(files)).to eq([["Curlew", [%w[u1 Bo Ash], %w[u2 Idje Birk]]], ["Dunlin", [%w[u1 Bo Ash]]]])
    end

    # Each of what spreadsheets and school programs write, with who is on it: id, first name, family name.
    {
      "a title over the table" => ["Class 3b, autumn\n\nFirst name,Last name\nBo,Ash\nIda,Birk\n",
                                   [[nil, "Bo", "Ash"], [nil, "Ida", "Birk"]]],
      "both names in one column" => ["Student Name,Student ID\n\"Ash, Bo\",7\n\"Birk, Ida\",8\n", [%w[7 Bo Ash], %w[8 Ida Birk]]],
      "first and family name in one column" => ["Pupil name;Form\nBo Ash;3b\nIda van Birk;3b\n",
                                                [[nil, "Bo", "Ash"], [nil, "Ida", "van Birk"]]],
      "a preferred and a legal name" => ["Legal First Name,Preferred Name,Surname\nRobert,Bo,Ash\nIda,,Birk\n",
                                         [[nil, "Bo", "Ash"], [nil, "Ida", "Birk"]]],
      "what parts cells said in a line" => ["sep=;\nName;Born\nBo;12.3.2018\n", [[nil, "Bo", ""]]],
      "UTF-16 without a mark" => ["Name\tBorn\r\nZoë\t12.3.2018\r\n".encode("UTF-16LE").b, [[nil, "Zoë", ""]]],
      "numbers before names" => ["1. Bo\n2. Ida\n", [[nil, "Bo", ""], [nil, "Ida", ""]]],
      "numbers before names in a column" => ["Name,Form\n1. Bo,3b\n2) Ida,3b\n", [[nil, "Bo", ""], [nil, "Ida", ""]]],
      "no names of columns, but dates" => ["Ash;Bo;12.3.2018\nBirk;Ida;4.5.2018\n", [[nil, "Bo", "Ash"], [nil, "Ida", "Birk"]]],
      "a number in each row, which is no id" => ["1;Bo\n2;Ida\n", [[nil, "Bo", ""], [nil, "Ida", ""]]],
      "a row that has a number for a name" => ["Name,Age\nBo,7\n26,\n,8\nIda,7\n", [[nil, "Bo", ""], [nil, "Ida", ""]]],
      "two first names" => ["First name,Last name\nAnna Lena,Ash\nMia Sophie,Birk\n",
                            [[nil, "Anna Lena", "Ash"], [nil, "Mia Sophie", "Birk"]]],
      "a letter for the family name" => ["Mia K.\nMia S.\n", [[nil, "Mia K.", ""], [nil, "Mia S.", ""]]],
      "both names and nothing between" =>
        ["Bo Ash\n2. Ida Mae Birk\nTom\n", [[nil, "Bo", "Ash"], [nil, "Ida", "Mae Birk"], [nil, "Tom", ""]]],
      "two names where few have them" => ["Anna Lena\nBo\nIda\n", [[nil, "Anna Lena", ""], [nil, "Bo", ""], [nil, "Ida", ""]]],
      "a column named for both names" => ["\"Last, First\",No\n\"Ash, Bo\",1\n", [[nil, "Bo", "Ash"]]],
      "names of columns in one word" => ["legalLastName,preferredGivenName\nAsh,Bo\n", [[nil, "Bo", "Ash"]]],
      "what they are called beside" => ["First name,Call name,Class\nBosse,Bo,3b\nIda,,3b\n", [[nil, "Bo", ""], [nil, "Ida", ""]]],
      "whose columns they are" => ["Pupil's Forename(s)|Pupil's Surname\nBo|Ash\n", [[nil, "Bo", "Ash"]]],
      "a teacher's name beside" => ["Teacher Name,Name of Child\nMarit Roe,Bo Ash\nMarit Roe,Ida Birk\n",
                                    [[nil, "Bo", "Ash"], [nil, "Ida", "Birk"]]],
      "capitals" => ["Forename,Surname\nANNA-LENA,O'ASH\nBO,BIRK\nIDA,DEE\n",
                     [[nil, "Anna-Lena", "O'Ash"], [nil, "Bo", "Birk"], [nil, "Ida", "Dee"]]],
      "one name in capitals" => ["Mia\nMcKay\nIDA\n", [[nil, "Mia", ""], [nil, "McKay", ""], [nil, "IDA", ""]]],
      "initials alone" => ["AB\nCD\nEF\n", [[nil, "AB", ""], [nil, "CD", ""], [nil, "EF", ""]]],
      "notes in brackets" => ["Name\nBo (new in May)\nMia (K)\n", [[nil, "Bo", ""], [nil, "Mia (K)", ""]]]
    }.each do |what, (text, found)|
      it "takes children from a list with #{what}" do
        expect(names(text)).to eq([[nil, found]])
      end
    end

    it "reads tables by the numbers that stand beside their reasons" do
      table = Vantick::Server::Formats::ChildTable
      expect([table::HEAD_WITHIN, table::COLUMNS, table::ROWS, table::MOST, table::LONGEST]).to eq([10, 12, 150, 0.6, 60])
      tidier = Vantick::Server::Formats::NameTidier
      expect([tidier::MOST, tidier::FEW]).to eq([0.6, 5])
      expect(Vantick::Server::Formats::DaysOff::TABLE.slice(:begins_by, :ends_from, :before_midnight,
                                                            :most_named).values).to eq([9, 12, 3, 3])
    end

    it "takes no title above names for a child, and says so" do
      one = described_class.read("Class 3B, autumn register\nYear 3\n\nBo\nIda\n").first
      expect(one.children.map(&:given)).to eq(%w[Bo Ida])
      expect(one.left_out).to eq(["Line 1: “Class 3B, autumn register” is not a name.", "Line 2: “Year 3” is not a name."])
      expect(described_class.read("Group A\nGroup B\n").first.children.map(&:given)).to eq(["Group A", "Group B"])
    end

    it "takes a few names as they are typed, and of more the first ones" do
      full = ["Anna Lena", "Bo Ash", "Ida Birk", "Mia Dee", "Tom Fern"]
      { 4 => full.first(4), 5 => %w[Anna Bo Ida Mia Tom] }.each do |count, given|
        expect(described_class.plain(full.first(count).join("\n"), { typed: true }).children.map(&:given)).to eq(given)
      end
    end

    it "says of each row why it is left out, and takes the columns and rows that a teacher says" do
      text = "Class 3b\nName,Mother,No\nBo,Ada,1\n,Ida,2\nTotal,2,\n#{'a' * 61},,\n"
      shown = described_class.read(text).first.table
      expect(shown[:columns]).to eq([{ name: "Name", is: "given" }, { name: "Mother", is: nil }, { name: "No", is: nil }])
      expect(shown[:rows].map { |row| row.values_at(:line, :child, :why) })
        .to eq([[1, nil, "above the table"], [2, nil, "names of columns"], [3, 0, nil], [4, nil, "no name"], [5, 1, nil],
                [6, nil, "too long a name"]])
      said = { columns: { given: 1, family: nil, id: 2 }, skipped: [3] }
      one = described_class.read(text, said).first
      expect(one.children.map(&:to_a)).to eq([["2", "Ida", ""]])
      expect(described_class.read(text, { columns: { given: nil, family: nil, id: 2 } }).first.children).to eq([])
      expect(one.table[:rows].filter_map { |row| row[:why] }).to include("struck out")
    end

    it "leaves out of a bundle who has no name, is marked as deleted or unknown, and whose time is over, each but the last in words" do
      given = files(users: "\uFEFF SourcedId;Status;givenName;familyName\nu1;active;Bo;Ash\n;;;\nu2;;;Birk\n" \
                           "u3;tobedeleted;Una;Dee\nu4;;Tom;\n",
                    orgs: "sourcedId,name\ns1,Tern Quay\n",
                    classes: "sourcedId,title,grades,schoolSourcedId,periods\nc1,Curlew,3,s1,2\n",
                    enrollments: "sourcedId,classSourcedId,userSourcedId,role,endDate\ne1,c1,u1,student,\ne2,c1,u2,student,\n" \
                                 "e3,c1,u3,student,\ne4,c1,u9,student,\ne5,c1,u4,student,2026-01-31\n")
      one = described_class.read(given, { today: "2026-03-02" }).first
      expect(one.children.map(&:to_a)).to eq([%w[u1 Bo Ash]])
      expect(one.left_out).to eq(["users.csv, line 4: a child has no first name.",
                                  "users.csv, line 5: a child is marked as deleted, but still in the class.",
                                  "enrollments.csv, line 5: the user u9 is not in users.csv."])
      expect(one.about).to eq("Tern Quay, grade 3, period 2")
      expect(described_class.read(given, { today: "2026-01-31" }).first.children.length).to eq(2)
    end

    it "says in which file and line something is wrong" do
      { files(users: nil) => /no users.csv/, files(users: "\"sourcedId") => /users.csv, line 1/,
        files(manifest: "propertyName,value\nfile.users,delta\n") => /\(delta\). Export it in full/,
        files(enrollments: "sourcedId,classSourcedId,userSourcedId,role\n") => /file has no children/, " \n" => /no children/,
        "first name\n\"Bo\nIda" => /can't be read/,
        "a" * 61 => /too long/ }.each { |bytes, words| expect { described_class.read(bytes) }.to refused(words), words.inspect }
    end
  end

  describe described_class::QtiTimes do
    def item(values, title: "Q", body: "")
      values = Array(values).map { |value| "<value>#{value}</value>" }.join
      right = "<responseDeclaration><correctResponse>#{values}</correctResponse></responseDeclaration>"
      "<assessmentItem identifier='q' title='#{title}'>#{right}<itemBody>#{body}</itemBody></assessmentItem>"
    end

    def found(bytes) = described_class.read(bytes).then { |one| [one.times.map(&:to_s), one.words, one.left_out] }

    it "takes of each item the answer that is right, in words or digits, and of a choice what is written there" do
      choice = "<choiceInteraction><simpleChoice identifier='A'>half past two</simpleChoice></choiceInteraction>"
      expect(found(item("7:45"))).to eq([["7:45"], false, []])
      expect(found(item("A", body: choice))).to eq([["2:30"], true, []])
      expect(found(bundle.write("a.xml" => item("7:45"), "b.xml" => item("quarter past one"),
                                "c.txt" => "x"))).to eq([%w[7:45 1:15], false, []])
    end

    it "takes items in folders of their own in the order of the test, whatever their names, and none of what a computer put beside them" do
      refs = %w[b a c].map { |name| "<assessmentItemRef identifier='#{name}' href='items/#{name}/qti.XML'/>" }.join
      files = { "a" => "1:15", "b" => "7:45", "c" => "2:30", "d" => "5:50" }.to_h { |name, time| ["items/#{name}/qti.XML", item(time)] }
      files = { **files, "__MACOSX/items/a/._qti.xml" => "\x00", "test.xml" => "<assessmentTest>#{refs}</assessmentTest>" }
      expect(found(bundle.write(files)).first).to eq(%w[7:45 1:15 2:30 5:50])
    end

    it "takes a choice in a line, what is said beside a choice, points for answers, and several ways to write one time" do
      inline = "<inlineChoiceInteraction><inlineChoice identifier='A'>7:45</inlineChoice></inlineChoiceInteraction>"
      expect(found(item("A", body: inline)).first).to eq(["7:45"])
      said = "<simpleChoice identifier='A'>half past two<feedbackInline>Well done, 3:30 was wrong</feedbackInline></simpleChoice>"
      expect(found(item("A", body: said)).first).to eq(["2:30"])
      mapped = "<mapping><mapEntry mapKey='7:45' mappedValue='1'/><mapEntry mapKey='quarter to 8' mappedValue='1'/>" \
               "<mapEntry mapKey='6:45' mappedValue='0'/></mapping>"
      expect(found(item([]).sub("</responseDeclaration>", "#{mapped}</responseDeclaration>")).first).to eq(["7:45"])
      expect(found(item(["7:45", "07:45"])).first).to eq(["7:45"])
    end

    it "takes questions of version 1.2: of a choice and of a gap, those with points" do
      label = ->(name, text) { "<response_label ident='#{name}'><material><mattext>#{text}</mattext></material></response_label>" }
      choice = label["A", "&lt;p&gt;7:45&lt;/p&gt;"] + label["B", "8:45"]
      points = lambda do |value, many|
        "<respcondition><conditionvar><varequal>#{value}</varequal></conditionvar><setvar>#{many}</setvar></respcondition>"
      end
      old = lambda do |name, body, right|
        "<item title='#{name}'><presentation>#{body}</presentation><resprocessing>#{right}</resprocessing></item>"
      end
      text = "<questestinterop>#{old['One', choice, points['A', 100] + points['B', 0]]}" \
             "#{old['Two', '<render_fib/>', points['quarter past one', 50]]}#{old['Three', choice, '']}</questestinterop>"
      expect(found(text)).to eq([%w[7:45 1:15], false, [{ item: "Three", why: "it has no right answer" }]])
    end

    it "reads digits with a stop between, as other programs write them" do
      expect(found(item("7.45"))).to eq([["7:45"], false, []])
    end

    it "names what has no time for an answer, and refuses what is no question" do
      expect(found(item("blue", title: "Colours")).last).to eq([{ item: "Colours", why: "“blue” is not a time on the clock" }])
      expect(found(item(%w[7:45 8:45], title: "")).last).to eq([{ item: "q", why: "it has 2 right answers" }])
      expect(found(item([])).last).to eq([{ item: "Q", why: "it has no right answer" }])
      expect { described_class.read("<a/>") }.to refused(/no question/)
      expect { described_class.read("no xml at all") }.to refused(/not XML/)
    end
  end
end
