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

    it "says in which file and line something is wrong" do
      { files(users: nil) => /no users.csv/, files(users: "sourcedId,givenName\nu1,Bo\n") => /line 3: it names the user u2/,
        files(users: "sourcedId,givenName\nu1,\nu2,Ida\n") => /users.csv, line 2: it has no first name/,
        files(classes: "sourcedId,title\n,Curlew\n") => /line 2: it has no sourcedId/, files(users: "\"sourcedId") => /users.csv, line 1/,
        files(enrollments: "sourcedId,classSourcedId,userSourcedId,role\n") => /file has no children/, " \n" => /no children/,
        "first name\n\"Bo\nIda" => /can't be read/, "first name,last name\nBo,Ash\n,Birk" => /Line 3: the first name is missing/,
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

    it "names what has no time for an answer, and refuses what is no question" do
      expect(found(item("blue", title: "Colours")).last).to eq([{ item: "Colours", why: "“blue” is not a time on the clock" }])
      expect(found(item(%w[7:45 8:45], title: "")).last).to eq([{ item: "q", why: "it has 2 right answers" }])
      expect(found(item([])).last).to eq([{ item: "Q", why: "it has no right answer" }])
      expect { described_class.read("<a/>") }.to refused(/no question/)
      expect { described_class.read("no xml at all") }.to refused(/not XML/)
    end
  end
end
