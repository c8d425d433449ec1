# frozen_string_literal: true

require "nokogiri"
require_relative "support/qti_player"

# Checks for other programs, and lessons for a calendar. QTI 3.0 is written down from memory; iCalendar is RFC 5545.
RSpec.describe Vantick::Server::Check::Packages do
  let(:school_class) { make_class(%w[Bo Ida]) }
  let(:path) { "/api/classes/#{school_class['id']}" }

  def package(check) = plain("/api/checks/#{check['id']}/qti.zip").body

  def sent(bytes) = { file: Base64.strict_encode64(bytes) }

  # Another reader than the one that is tried: Info-ZIP, and libxml2 by itself.
  def unzipped(bytes)
    file = File.join(folder, "package.zip")
    File.binwrite(file, bytes)
    names = IO.popen(["unzip", "-Z1", file], &:readlines).map(&:chomp)
    names.to_h { |name| [name, IO.popen(["unzip", "-p", file, name], &:read).force_encoding("UTF-8")] }
  end

  def xml(text) = Nokogiri::XML(text, &:strict).remove_namespaces!

  it "is a package whose manifest names every file, well formed, with the answers that are right" do
    check = make_check(school_class, count: 5)
    files = unzipped(package(check))
    manifest = xml(files["imsmanifest.xml"])
    expect(manifest.xpath("//file/@href").map(&:value)).to match_array(files.keys - ["imsmanifest.xml"])
    expect(manifest.xpath("//resource/@href").map(&:value)).to contain_exactly("test.xml", *files.keys.grep(/items.*xml/))
    items = files.select { |name, _| name.match?(/items.*xml/) }.values.map { |text| xml(text) }
    right = items.map { |item| item.at_xpath("//qti-correct-response/qti-value").text }
    expect(right).to match_array(check["items"].map { |item| item["right"] })
    items.each do |item|
      expect(item.at_xpath("//qti-text-entry-interaction/@response-identifier").value)
        .to eq(item.at_xpath("//qti-response-declaration/@identifier").value)
      keys = item.xpath("//qti-map-entry/@map-key").map(&:value)
      expect(keys).to include(item.at_xpath("//qti-value").text)
      expect(keys.uniq).to eq(keys)
      expect(xml(files["items/#{item.at_xpath('//img/@src').value}"]).root.name).to eq("svg")
    end
  end

  it "has a test with the clocks in their order, each under a name that XML takes" do
    files = unzipped(package(make_check(school_class, count: 5)))
    test = xml(files["test.xml"])
    named = test.xpath("//qti-assessment-item-ref").to_h { |ref| [ref["identifier"], ref["href"]] }
    expect(named.keys.map { |name| name[/-(\d)\z/, 1] }).to eq(%w[1 2 3 4 5])
    expect(named.map { |name, href| xml(files[href]).root["identifier"] == name }).to all(be(true))
    manifest = xml(files["imsmanifest.xml"])
    expect(manifest.xpath("//dependency/@identifierref").map(&:value)).to eq(named.keys)
    expect([*named.keys, *manifest.xpath("//@identifier").map(&:value)]).to all(match(/\A[A-Za-z_][\w.-]*\z/)) # XML 1.0, NCName
  end

  # What a program that knows no clocks says with the package is what a desk here says.
  played = Vantick::Core::Tasks::Task.all.select { |task| Vantick::Server::Formats::QtiItem.fits?(task) && task.notation != :hands }
  Thorough.some(played, 5).each do |task|
    it "scores and tells as Vantick would, played by another program: #{task.id}" do
      conventions = Vantick::Core::Wording::Conventions.default
      task.times.each_slice(97).map(&:first).each do |time|
        item = Vantick::Server::Formats::QtiItem.new("a", "A", task, time, conventions).xml("a.svg")
        player = QtiPlayer.new(item)
        choices = xml(item).xpath("//qti-simple-choice").to_h { |one| [one["identifier"], one.text] }
        answers = choices.empty? ? xml(item).xpath("//qti-string-match/qti-base-value").map(&:text) : choices.keys
        answers += xml(item).xpath("//qti-map-entry/@map-key").map(&:value)
        answers.uniq.each do |answer|
          text = choices.fetch(answer, answer)
          marked = Vantick::Core::Marking::Marker.mark(task:, time:, text:, conventions:)
          told = Vantick::Core::Desk::Feedback.of(marked, conventions)
          score, shown = player.play(answer)
          expect(score).to eq(marked.right? ? "1" : "0"), "#{time} #{text}"
          # A right answer in another way of writing is told as the usual one.
          expect(shown).to eq(marked.right? ? Vantick::Core::Desk::Feedback.of(usual(task, time), conventions) : told), "#{time} #{text}"
        end
        expect(player.play("perhaps").first).to eq("0")
        expect(player.play(nil)).to eq(["0", ""])
      end
    end
  end

  def usual(task, time)
    Vantick::Core::Marking::Marker.mark(task:, time:, text: task.write(task.right_answer(time)))
  end

  it "takes 07:00 and 7.00 for 7:00, and of an estimate what is a little off" do
    conventions = Vantick::Core::Wording::Conventions.default
    play = lambda do |task, time, answer|
      task = Vantick::Core::Tasks::Task.find(task)
      QtiPlayer.new(Vantick::Server::Formats::QtiItem.new("a", "A", task, task.parse_time(time),
                                                          conventions).xml("a.svg")).play(answer).first
    end
    table = { %w[dial_to_digital 7:00 07:00] => "1", %w[dial_to_digital 7:00 7.00] => "1", %w[dial_to_digital 7:00 8:00] => "0",
              ["dial_to_words", "6:45", "a quarter to 7"] => "1", ["dial_to_words", "6:45", "Quarter to Seven"] => "1",
              ["dial_to_words", "6:45", "quarter past seven"] => "0", %w[estimate 7:30 7:28] => "1", %w[estimate 7:30 7:34] => "0" }
    table.each { |asked, score| expect(play.call(*asked)).to eq(score), asked.join(" ") }
  end

  it "says so where nothing of a check can be asked in QTI" do
    made = post("#{path}/sheets", { kind: "spot", step: "quarters" }).body
    expect(told(plain("/api/checks/#{made['check_id']}/qti.zip"))).to be_refused(422).at("check_id").saying(/can't be exported as QTI/)
  end

  # Every way that a package counts as right is right here as well, at every quarter.
  it "counts nothing as right that Vantick would not" do
    task = Vantick::Core::Tasks::Task.find(:dial_to_words)
    Vantick::Core::Curriculum::Step.find(:quarters).pool.each do |time|
      item = Vantick::Server::Formats::QtiItem.new("a", "A", task, time, Vantick::Core::Wording::Conventions.default)
      xml(item.xml("a.svg")).xpath("//qti-map-entry/@map-key").each do |way|
        expect(Vantick::Core::Marking::Marker.mark(task:, time:, text: way.value).verdict).to match(/\Aright/), "#{time} #{way}"
      end
    end
  end

  it "has hands drawn by the child, and looked at by a person" do
    made = post("#{path}/sheets", { kind: "draw", step: "quarters", task: "words_to_dial", count: 4, seed: 1, names: true })
    expect(made.status).to eq(201)
    files = unzipped(plain("/api/checks/#{made.body['check_id']}/qti.zip").body)
    item = xml(files.find { |name, _| name.match?(/items.*xml/) }.last)
    expect(item.at_xpath("//qti-drawing-interaction//object/@type").value).to eq("image/svg+xml")
    expect(item.at_xpath("//qti-outcome-declaration/@external-scored").value).to eq("human")
    expect(item.xpath("//qti-response-processing")).to be_empty
  end

  it "lets choose where there are few answers, and the right one is among them" do
    conventions = Vantick::Core::Wording::Conventions.default
    qti = Vantick::Server::Formats::QtiItem
    Vantick::Core::Tasks::Task.all.select { |task| qti.fits?(task) }.each do |task|
      time = task.times[450 % task.times.length]
      item = xml(qti.new("a", "A", task, time, conventions).xml(qti.picture(task, time) && "a.svg"))
      choices = item.xpath("//qti-simple-choice").to_h { |one| [one["identifier"], one.text] }
      kinds = item.xpath("//qti-choice-interaction | //qti-text-entry-interaction | //qti-drawing-interaction")
      expect(kinds.length).to eq(1), task.id.to_s
      next if choices.empty?

      expect(choices[item.at_xpath("//qti-correct-response/qti-value").text]).to eq(task.write(task.right_answer(time), conventions))
      expect(choices.values.uniq.length).to eq(choices.length).and be <= 12
    end
  end

  %w[dial_to_words dial_to_digital].each do |task|
    it "comes in again as the check that went out: #{task}" do
      check = make_check(school_class, task:)
      out = package(check)
      expect(post("#{path}/package-previews", sent(out)).body).to include("times" => check["items"].map { |item| item["time"] },
                                                                          "step" => "quarters", "task" => task, "left_out" => [])
      made = post("#{path}/packages", sent(out))
      expect(made.status).to eq(201)
      expect(made.body["items"].map { |item| item.values_at("time", "right") }).to eq(check["items"].map { |item|
        item.values_at("time", "right")
      })
    end
  end

  # An item as older versions write it, made by hand.
  def old_item(value, choices: "")
    "<assessmentItem xmlns='http://www.imsglobal.org/xsd/imsqti_v2p1' identifier='q' title='Question'>" \
      "<responseDeclaration identifier='RESPONSE'><correctResponse>#{value}</correctResponse></responseDeclaration>" \
      "<itemBody><choiceInteraction>#{choices}</choiceInteraction></itemBody></assessmentItem>"
  end

  it "reads single items, choices by what is written there, and names what is no time" do
    choices = "<simpleChoice identifier='A'>half past two</simpleChoice><simpleChoice identifier='B'>half past three</simpleChoice>"
    { old_item("<value>A</value>", choices:) => ["2:30"], old_item("<value>07:45</value>") => ["7:45"] }.each do |item, times|
      expect(post("#{path}/package-previews", sent(item)).body["times"]).to eq(times), item
    end
    { old_item("<value>blue</value>") => /“blue” is not a time/, old_item("") => /no right answer/,
      old_item("<value>1:00</value><value>2:00</value>") => /2 right answers/ }.each do |item, why|
      expect(post("#{path}/package-previews", sent(item)).body["left_out"].first).to match("item" => "Question", "why" => match(why))
      expect(post("#{path}/packages", sent(item))).to be_refused(422).at("file").saying(/No question/)
    end
  end

  it "refuses what is no package, fetches nothing and opens no file" do
    secret = File.join(folder, "secret.txt").tap { |file| File.write(file, "half past two") }
    entity = "<!DOCTYPE a [<!ENTITY e SYSTEM 'file://#{secret}'>]>#{old_item('<value>&e;</value>')}"
    expect(post("#{path}/package-previews", sent(entity)).body["times"].to_a).to eq([])
    ["no xml", "<a/>", "PK\u0003\u0004"].each do |text|
      expect(post("#{path}/package-previews", sent(text))).to be_refused(422).at("file"), text
    end
    many = Vantick::Server::Formats::Bundle.write((1..12).to_h { |hour| ["#{hour}.xml", old_item("<value>#{hour}:00</value>")] }
      .merge((1..12).to_h { |hour| ["h#{hour}.xml", old_item("<value>#{hour}:30</value>")] }))
    expect(post("#{path}/packages", sent(many))).to be_refused(422).at("times").saying(/at most 12 clocks.*24 times/)
    twelve = (1..12).map { |hour| "#{hour}:30" }
    expect(post("#{path}/packages", { **sent(many), times: twelve }).body["items"].length).to eq(12)
    some = post("#{path}/packages", { **sent(many), times: %w[3:30 2:00 1:15] })
    expect(some.body["items"].map { |item| item["time"] }).to eq(%w[2:00 3:30])
    expect(post("#{path}/packages", { **sent(many), times: %w[1:15] })).to be_refused(422).at("times").saying(/None of these times/)
  end

  describe "lessons in a calendar" do
    def calendar = plain("#{path}/lessons.ics").body

    def events(text) = text.gsub("\r\n ", "").split("BEGIN:VEVENT").drop(1).map { |one| one.scan(/^([A-Z]+)[^:\r\n]*:(.*)\r$/).to_h }

    it "is whole days with a name that stays, also across the change to summer time and a year's end" do
      days = %w[2026-03-28 2026-03-29 2026-12-31]
      made = days.map { |day| post("#{path}/lessons", { day:, step: "quarters", minutes: 40, seed: 1 }).body }
      text = calendar
      expect(text.lines).to all(end_with("\r\n"))
      expect(text.lines.map { |line| line.chomp.bytesize }.max).to be <= 75 # RFC 5545, 3.1
      found = events(text).sort_by { |event| event["DTSTART"] }
      expect(found.map do |event|
        event.values_at("DTSTART", "DTEND")
      end).to eq([%w[20260328 20260329], %w[20260329 20260330], %w[20261231 20270101]])
      expect(found.map { |event| event["SUMMARY"] }.uniq).to eq(["Quarters\\, 40 minutes"])
      delete("/api/lessons/#{made.first['id']}")
      again = events(calendar)
      expect(again.map { |event| event["UID"] } - found.map { |event| event["UID"] }).to eq([])
      expect(again.length).to eq(2)
      expect(text).to include("BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:", "DTSTAMP:")
    end
  end
end
