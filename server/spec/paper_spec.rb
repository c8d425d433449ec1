# frozen_string_literal: true

require_relative "support/paper"

# Paper from the copier's stand-in, which prints, lets made-up children write and scans, to marked answers.
RSpec.describe "Paper that is read" do
  include PaperRead

  let(:names) { %w[Anneke Bram Celyn Dara Elio Freya] }
  let(:school_class) { make_class(names) }
  let(:address) { "/api/classes/#{school_class['id']}" }
  let(:random) { Random.new(5) }
  let(:scanner) { Vantick::Copier::Scanner.new(random) }

  # Codes are drawn by lot: with the same ones every run reads the same pictures.
  before do
    drawn = Random.new(11)
    allow(SecureRandom).to receive(:random_number) { |most| drawn.rand(most) }
  end

  it "knows whose each page is where each child has one, and asks where one was copied" do
    named, copied = [true, false].map { |own_pages| check_of(make(own_pages:)) }
    file = Vantick::Copier.pdf(printed(named, right(named, ids.first)) + printed(copied, right(copied, ids.first)))
    expect(read(file)["scan"]).to include("state" => "read", "pages" => 7)
    pages = store.db[:scan_pages].order(:number).select_map(%i[check_id child_id state])
    expect(pages).to eq([*ids.map { |id| [named.id, id, "read"] }, [copied.id, nil, "unnamed"]])
  end

  it "is read from a stack in any order: upside down, one twice, one missing, one of another class, one blank" do
    check = check_of(make)
    others = make_class(["Zora"])
    other = check_of(post("/api/classes/#{others['id']}/sheets", { kind: "draw", step: "quarters", count: 4 }).body)
    blank = scanner.scan(Vantick::Copier::Canvas.new(1240, 1754))
    pages = ids.first(5).flat_map { |id| paper(check, id, upside_down: id.even?) }
    stack = [*pages.shuffle(random:), *paper(check, ids.first), *paper(other, others["children"].first["id"]), blank]
    found = read(Vantick::Copier.pdf(stack))
    expect(found["scan"]).to include("state" => "read", "pages" => 8, "done" => 8, "answers" => 20)
    expect(found.values_at("read", "missing", "check_ids")).to eq([5, ["Freya"], [check.id]])
    expect(found["others"].map { |page| page["state"] }).to contain_exactly("twice", "refused", "unfound")
    expect(found["others"].map { |page| page["words"] }).to include(/Anneke's page was read before/, /another class: Curlew/)
    store.db[:classes].where(id: others["id"]).update(account_id: nil)
    again = read(Vantick::Copier.pdf(paper(other, others["children"].first["id"])), name: "theirs.pdf")
    expect(again["others"].map { |page| page.values_at("words", "child_id") }).to eq([["This page belongs to another class.", nil]])
    expect(store.db[:scan_pages].where(state: "refused").select_map(:child_id).uniq).to eq([others["children"].first["id"]])
    expect(found["scan"]["alone"]).to be >= 16
    expect(current(check).map(&:verdict).tally.keys).to eq(["right"])
    expect(current(check).length).to eq(found["scan"]["alone"])
  end

  kinds = [%w[read dial_to_digital quarters], %w[slips dial_to_digital fives], %w[facts day_half day_halves],
           %w[rewrite words_to_digital quarters], %w[facts numeral_to_minutes fives_facts]]
  Thorough.some(kinds, 2).each do |kind, task, step|
    it "is read from #{kind}, #{task}: what is sure is marked, and nothing is marked wrongly" do
      check = check_of(make(kind:, task:, step:, count: 5, versions: kind == "read" ? "each" : "one"))
      found = read(Vantick::Copier.pdf(ids.first(3).flat_map { |id| paper(check, id) }))
      expect(found["scan"]).to include("answers" => 15, "done" => 3)
      expect(found["scan"]["alone"]).to be >= 8
      expect(current(check).map(&:verdict).uniq).to eq(["right"])
    end
  end

  it "learns what a child's digits look like from the answers that stand, for that child alone, until the paper goes" do
    check = check_of(make(kind: "rewrite", task: "words_to_digital", step: "quarters", count: 4, versions: "one"))
    scan = read(Vantick::Copier.pdf(ids.first(2).flat_map { |id| paper(check, id) }))["scan"]
    piece = store.db[:scan_pieces].where(child_id: ids.first).exclude(forms: nil).first
    forms = JSON.parse(piece[:forms]).map { |form| form&.unpack1("m0") }
    known = ->(child_id) { store.own_digits.of(child_id).weighed(forms.last, Array.new(11, 1 / 11.0)).each_with_index.max.last }
    at = check.items.index { |item| item[:id] == piece[:item_id] }
    expect(ids.first(2).map(&known)).to eq([right(check, ids.first)[at][-1].to_i] * 2)
    put("/api/pieces/#{piece[:id]}", { answer: "9:#{forms.compact.length == 4 ? '9' : ''}99" })
    expect(known.call(ids.first)).to eq(9)
    expect(known.call(ids[1])).to eq(0)
    delete("/api/scans/#{scan['id']}")
    expect(store.own_digits.of(ids.first).weighed(forms.last, Array.new(11, 1 / 11.0)).uniq.length).to eq(1)
  end

  it "leaves words to a person, with the piece of paper beside the place to type, and takes an empty line for empty" do
    check = check_of(make(kind: "slips", task: "dial_to_words", count: 5))
    answers = right(check, ids.first)
    read(Vantick::Copier.pdf(paper(check, ids.first, [*answers.first(4), nil])))
    expect(current(check).map(&:verdict)).to eq(["blank"])
    pieces = get("/api/checks/#{check.id}/pieces?waiting=true").body["pieces"]
    expect(pieces.map { |piece| piece.values_at("kind", "seen", "settled") }.uniq).to eq([["words", "", false]])
    expect(pieces.length).to eq(4)
    expect(plain("/api/pieces/#{pieces.first['id']}/picture").body).to start_with("\x89PNG".b)
    settled = put("/api/pieces/#{pieces.first['id']}", { answer: answers.first }).body
    expect(settled).to include("settled" => true, "alone" => false)
    expect(current(check).map(&:verdict)).to contain_exactly("blank", "right")
    expect(get("/api/checks/#{check.id}/pieces?waiting=true").body["pieces"].length).to eq(3)
    expect(put("/api/pieces/#{pieces.first['id']}", { answer: "x" * 300 })).to be_refused(400).at("answer")
    expect(put("/api/pieces/#{pieces[1]['id']}", { answer: "half\u0000past" }).status).to eq(200)
  end

  it "takes the cause that is ticked, of three, and leaves the time beside it to a person" do
    check = check_of(make(kind: "spot", task: "spot_mistake", count: 4))
    answers = check.items.map { |item| "#{item[:misreading]}; #{Vantick::Core::Dial::DialTime.parse(item[:time])}" }
    read(Vantick::Copier.pdf(paper(check, ids.first, [*answers.first(3), nil])))
    pieces = get("/api/checks/#{check.id}/pieces?waiting=true").body["pieces"]
    ticked = check.items.first(3).map { |item| ["cause", item[:misreading]] }
    expect(pieces.map { |piece| piece.values_at("kind", "seen") }).to match_array(ticked)
    expect(current(check).map(&:verdict)).to eq(["blank"])
    told = get("/api/checks/#{check.id}").body["items"].to_h { |item| [item["id"], item["options"].map { |one| one["id"] }] }
    expect(check.items.map { |item| told.fetch(item[:id]).count(item[:misreading]) }).to eq([1] * 4)
    first = check.items.find { |item| item[:id] == pieces.first["item_id"] }
    put("/api/pieces/#{pieces.first['id']}", { answer: "#{pieces.first['seen']}; #{first[:time]}" })
    expect(current(check).map(&:verdict)).to contain_exactly("blank", "right")
  end

  it "takes many pieces as they were read with one press, but none that is not read, not waiting or of another check" do
    check = check_of(make)
    read(Vantick::Copier.pdf(ids.first(3).flat_map { |id| paper(check, id) }))
    pieces = store.db[:scan_pieces].order(:id).all
    waiting, unread = pieces.partition { |piece| piece[:seen] != "" }.then { |seen, blank| [seen.first(5), [seen.last, *blank]] }
    store.db[:scan_pieces].where(id: waiting.map { |piece| piece[:id] }).update(settled_at: nil, sure: 0)
    store.db[:scan_pieces].where(id: unread.map { |piece| piece[:id] }).update(seen: "", settled_at: nil)
    all = pieces.map { |piece| piece[:id] }
    expect(post("/api/checks/#{check_of(make).id}/agreements", { piece_ids: all }).body["pieces"]).to eq([])
    before = store.db[:answers].count
    left = post("/api/checks/#{check.id}/agreements", { piece_ids: all }).body["pieces"]
    expect(left.map { |piece| piece["id"] }).to match_array(unread.map { |piece| piece[:id] })
    expect(store.db[:answers].count - before).to eq(5)
    expect(store.db[:answers].order(:id).last(5).map { |row| row[:answer] }).to match_array(waiting.map { |piece| piece[:seen] })
    expect(post("/api/checks/#{check.id}/agreements", { piece_ids: [0] })).to be_refused(400).at("piece_ids")
  end

  it "shows some that were read alone, each once, and says how many of those were wrong; these wait then" do
    check = check_of(make)
    read(Vantick::Copier.pdf(ids.first(3).flat_map { |id| paper(check, id) }))
    address = "/api/checks/#{check.id}"
    shown = get("#{address}/pieces?waiting=true").body
    expect(shown["looked_at"]).to eq("shown" => 0, "wrong" => 0)
    wrong, *right = shown["sample"].map { |piece| piece["id"] }
    expect(right.length).to eq(2)
    other = check_of(make(count: 2))
    expect(post("/api/checks/#{other.id}/agreements", { piece_ids: [], sure_ids: right }).body["looked_at"]["shown"]).to eq(0)
    after = post("#{address}/agreements", { piece_ids: [], sure_ids: right, wrong_ids: [wrong] }).body
    expect(after["looked_at"]).to eq("shown" => 3, "wrong" => 1)
    expect(after["pieces"].map { |piece| piece["id"] }).to include(wrong)
    expect(after["sample"].map { |piece| piece["id"] } & [wrong, *right]).to eq([])
  end

  it "says of a deleted check's paper that it can be restored, and reads it then" do
    check = check_of(make(count: 2))
    file = Vantick::Copier.pdf(paper(check, ids.first))
    delete("/api/checks/#{check.id}")
    refused = read(file)["others"].first
    expect(refused["words"]).to eq(Vantick::Server::Pages::ReadPage::WORDS["removed"])
    again = "/api/scan-pages/#{refused['id']}/readings"
    expect(post(again, {}).body["others"].map { |page| page["words"] }).to eq([refused["words"]])
    post("/api/removed/#{store.removed.all(school_class['id']).first.id}/return", {})
    found = store.scans.pages(store.scans.of_class(school_class["id"]).first.id).first
    expect(post("/api/scan-pages/#{found.id}/readings", {}).body.values_at("read", "others")).to eq([1, []])
    expect(current(check).map(&:verdict).uniq).to eq(["right"])
    again = -> { post("/api/scan-pages/#{store.scans.pages(found.scan_id).first.id}/readings", {}) }
    expect(again.call).to be_refused(422).at("scan_page_id").saying(/read already/)
    store.db[:scan_pages].update(state: "refused", picture: nil)
    expect(again.call).to be_refused(422).at("scan_page_id").saying(/picture is gone/)
    store.scans.remove(found.scan_id)
    store.db[:checks].where(id: check.id).update(code: "ZZZZZ")
    expect(read(file)["others"].first["words"]).to eq("No sheet here has the code #{check.code}. It may be from another school.")
  end

  it "says of a photograph whose it is, and what to do where it cannot be read" do
    check = check_of(make(count: 2))
    photos = ids.first(2).map { |id| paper(check, id).first }
    read(photos[0], name: "one.jpg")
    second = read(photos[1], name: "two.jpg")
    expect(second.values_at("children", "missing")).to eq([["Bram"], names.drop(2)])
    page = Vips::Image.new_from_buffer(photos[0], "").colourspace("b-w")
    unread = { dark: page * 0.2, far: page.gaussblur(5), no_marks: page.crop(200, 300, 700, 900) }
    words = unread.map { |name, photo| read(photo.cast("uchar").jpegsave_buffer(Q: 80), name: "#{name}.jpg")["others"].first["words"] }
    expect(Vantick::Server::Pages::ReadPage::DARK).to eq(85)
    expect(words).to eq(unread.keys.map { |name| Vantick::Server::Pages::ReadPage::WORDS[name.to_s] })
  end

  it "takes the paper of a child who has left since, where a person says so" do
    check = check_of(make(count: 2))
    files = ids.first(2).map { |id| Vantick::Copier.pdf(paper(check, id)) }
    others = make_class(["Zora"])
    before = make_check(school_class)
    answer(before, { "id" => ids[1] }, before["items"].first, "quarter to eight")
    store.db[:children].where(id: ids.first).update(left_at: "2026-03-02T08:00:00Z")
    store.db[:children].where(id: ids[1]).update(class_id: others["id"])
    files.zip(ids.first(2), names).each do |file, child_id, name|
      page = read(file)["others"].first
      expect(page.values_at("state", "child_id", "words"))
        .to eq(["refused", child_id, "#{name} is no longer in this class. Take the page all the same?"])
      taken = put("/api/scan-pages/#{page['id']}", { check_id: check.id, child_id:, page: 1 })
      expect(taken.body["read"]).to eq(1)
      expect(current(check).select { |one| one.child_id == child_id }.map(&:verdict).uniq).to eq(["right"])
    end
    expect(get("/api/checks/#{check.id}/findings").status).to eq(200)
  end

  # Whoever prints a code may write any child's number into it.
  it "takes no paper of a child who was never in the class, and doesn't name that child" do
    check = check_of(make(count: 2))
    other = make_class(["Zora"])["children"].first
    file = Vantick::Copier.pdf(paper(check, ids.first))
    allow(Vantick::Server::Documents::Finder).to receive(:read).and_wrap_original do |read, text|
      read.call(text)&.then { |name| name.class.new(**name.to_h, child: other["id"].to_s) }
    end
    page = read(file)["others"].first
    expect(page.values_at("child_id", "words")).to eq([nil, Vantick::Server::Pages::ReadPage::WORDS["nobody"]])
    taken = put("/api/scan-pages/#{page['id']}", { check_id: check.id, child_id: other["id"], page: 1 })
    expect(taken).to be_refused(422).at("child_id")
    store.db[:scan_pages].update(child_id: other["id"])
    expect(put("/api/scan-pages/#{page['id']}", { check_id: check.id, child_id: other["id"], page: 1 })).to be_refused(422).at("child_id")
    expect(store.db[:answers].count).to eq(0)
  end

  %w[rewrite words_to_digital quarters facts day_half day_halves].each_slice(3) do |kind, task, step|
    it "is sure of nothing on an empty page of #{kind} whose print lies elsewhere" do
      check = check_of(make(kind:, task:, step:))
      page = Vantick::Server::Pages::Printing.of_check(check, store.classes.find(check.class_id)).drawn_sheet(check,
                                                                                                              only: ids.first).pages.first
      canvas = Vantick::Copier.written([page], [], Vantick::Copier::ChildHand.new(Random.new(3))).first
      picture = Vantick::Core::Paper::GrayImage.new(canvas.width, canvas.height, canvas.bytes)
      corners = Vantick::Server::Pages::Found.of(picture).first.corners
      items = check.items.map { |item| item.with(task:) }
      sure = [0, 14].map do |off|
        found = Vantick::Server::Pages::FieldsSeen.new(page).read(picture, corners.map { |x, y| [x + off, y] }, items)
        found.map { |field| field.seen.sure }.uniq
      end
      expect(sure).to eq([[true], [false]])
    end
  end

  it "never changes what a person typed" do
    check = check_of(make(count: 2))
    item = check.items.first
    answer({ "id" => check.id }, { "id" => ids.first }, { "id" => item[:id] }, "hour=10 minute=10")
    read(Vantick::Copier.pdf(paper(check, ids.first)))
    expect(current(check).find { |one| one.item_id == item[:id] }.answer).to eq("hour=10 minute=10")
  end

  it "is named by a person where nobody's name is on it, and goes by its letter where sheets went round" do
    check = check_of(make(kind: "slips", task: "dial_to_digital", count: 5))
    found = read(Vantick::Copier.pdf(paper(check, :spare, right(check, ids.first))))
    page = found["others"].first
    expect(page).to include("state" => "unnamed", "check_id" => check.id, "page" => 1)
    expect(plain("/api/scan-pages/#{page['id']}/picture")["content-type"]).to eq("image/jpeg")
    stranger = make_class(["Zora"])["children"].first["id"]
    refused = put("/api/scan-pages/#{page['id']}", { check_id: check.id, child_id: stranger, page: 1 })
    expect(refused).to be_refused(422).at("child_id").saying(/isn.t in the class/)
    named = put("/api/scan-pages/#{page['id']}", { check_id: check.id, child_id: ids.last, page: 1 }).body
    expect(named).to include("read" => 1, "others" => [])
    expect(current(check).map(&:child_id).uniq).to eq([ids.last])
    round = check_of(make(versions: "each", names: false, kind: "read", task: "dial_to_digital"))
    put("/api/checks/#{round.id}/letters", { child_id: ids[0], other_id: ids[1] })
    round = store.checks.find(round.id)
    read(Vantick::Copier.pdf(paper(round, ids[1])))
    expect(current(round).map(&:child_id).uniq).to eq([ids[1]])
  end

  it "takes photographs, one at a time, and goes on where it was after a fall" do
    check = check_of(make(count: 2))
    stack = Vantick::Copier.pdf(ids.first(3).flat_map { |id| paper(check, id) })
    found = read(paper(check, ids.last).first, name: "photo.jpg")
    expect(found).to include("read" => 1)
    scan = store.scans.add(class_id: school_class["id"], name: "x", bytes: stack.bytesize, made_at: "2026-03-02T08:00:00Z")
    store.uploads.receive(scan.id, 0, stack)
    store.scans.update(scan.id, state: "reading")
    store.scans.add_pages(scan.id, [{ number: 1, state: "unfound", words: "", picture: nil }])
    store.jobs.add("paper", {})
    Vantick::Server::Work::Runner.wake(store).join
    expect(store.scans.pages(scan.id).map(&:number)).to eq([1, 2, 3])
    expect(File.exist?(store.scans.file(scan.id))).to be(false)
  end

  it "takes the same part sent four times at once for one, and gives up files that never come whole" do
    bytes = Random.new(1).bytes(900_000)
    scan = post("#{address}/scans", { name: "a\u0000b\n.pdf", bytes: bytes.bytesize }).body
    expect(scan["name"]).to eq("a b .pdf")
    parts = [0, 300_000].map { |at| { at:, data: [bytes.byteslice(at, 300_000)].pack("m0") } }
    parts.each do |part|
      four = Array.new(4) { Thread.new { put("/api/scans/#{scan['id']}/parts", part).status } }
      expect(four.map(&:value)).to eq([200] * 4)
    end
    expect(File.binread(store.scans.file(scan["id"]))).to eq(bytes.byteslice(0, 600_000))
    expect(get("/api/scans/#{scan['id']}").body["scan"]["received"]).to eq(600_000)
    stub_const("Vantick::Server::Paper::Scans::COMING", 2)
    post("#{address}/scans", { name: "y.pdf", bytes: 10 })
    expect(post("#{address}/scans", { name: "z.pdf", bytes: 10 })).to be_refused(422).at("bytes").saying(/files are being read/)
    store.scans.forget_old(Time.now + (2 * 86_400))
    expect(get("#{address}/scans").body["scans"]).to eq([])
    expect(File.exist?(store.scans.file(scan["id"]))).to be(false)
  end

  # Two slips in one photograph.
  it "keeps each child's own paper alone where several lie in one picture, also where one is erased of a picture of before" do
    check = check_of(make(kind: "slips", task: "dial_to_digital", count: 5))
    slips = ids.first(2).map { |id| paper(check, id).first }
    found = read(both(slips))
    expect(found["read"]).to eq(2)
    rows = store.db[:scan_pages].order(:child_id).all
    whole = rows.map { |row| darkness(row[:picture].to_s, JSON.parse(row[:corners])) }
    others = rows.map { |row| darkness(row[:picture].to_s, JSON.parse(rows.find { |one| one != row }[:corners])) }
    expect(whole).to all(be > 0.005)
    expect(others).to eq([0.0, 0.0])
    store.db[:scan_pages].update(picture: Sequel.blob(both(slips)))
    child = school_class["children"].first
    post("#{address}/children/#{child['id']}/erasure", { name: child["name"] })
    work
    left = store.db[:scan_pages].all
    expect(left.map { |row| row[:child_id] }).to eq([ids[1]])
    expect(darkness(left.first[:picture].to_s, JSON.parse(rows.first[:corners]))).to eq(0.0)
    expect(darkness(left.first[:picture].to_s, JSON.parse(rows.last[:corners]))).to be > 0.005
  end

  # @return [String] a JPEG with one sheet beside the other, as large as a page is read
  def both(sheets)
    left, right = sheets.map { |jpeg| Vips::Image.new_from_buffer(jpeg, "") }
    left.join(right, :horizontal).thumbnail_image(2300).jpegsave_buffer(Q: 95)
  end

  # @return [Float] the share of dark points within four corners
  def darkness(jpeg, corners)
    image = Vips::Image.new_from_buffer(jpeg, "").colourspace("b-w")[0]
    left, right = corners.map(&:first).minmax.map(&:round)
    top, below = corners.map(&:last).minmax.map(&:round)
    inner = image.extract_area(left + 20, top + 20, right - left - 40, below - top - 40)
    (inner < 100).avg / 255
  end

  describe "a file that cannot be read" do
    def pages(count, **more) = Prawn::Document.new(**more) { (count - 1).times { start_new_page } }

    # The beginning of a picture that says it is as large as that.
    def huge = ["\x89PNG\r\n\x1A\n".b, [13].pack("N"), "IHDR", [20_000, 20_000, 8, 0, 0, 0, 0].pack("N2C5"), [0].pack("N")].join

    it "is named in a line, and nothing else stops" do
      locked = pages(1).tap { |pdf| pdf.encrypt_document(user_password: "x", owner_password: "y") }.render
      files = { "text" => ["no picture at all", /isn't a PDF or a picture/], "damaged" => ["%PDF-1.4 and no more", /damaged/],
                "locked" => [locked, /has a password/], "long" => [pages(201).render, /more than 200 pages/],
                "huge" => [huge, /far too large|damaged/], "half" => [Vantick::Copier.pdf([]), /damaged/] }
      told = files.transform_values { |file, _| read(file.dup.force_encoding(Encoding::BINARY))["scan"] }
      files.each { |name, (_, words)| expect(told[name]).to include("state" => "failed", "trouble" => words), name }
      expect(get("#{address}/scans").body["scans"].length).to eq(files.length)
    end

    it "is refused where it is too large, or its parts do not follow" do
      expect(post("#{address}/scans", { name: "x.pdf", bytes: 200_000_000 })).to be_refused(422).at("bytes").saying(/100 megabytes/)
      scan = post("#{address}/scans", { name: "x.pdf", bytes: 10 }).body
      expect(put("/api/scans/#{scan['id']}/parts", { at: 5, data: ["12345"].pack("m0") })).to be_refused(422).at("at")
      expect(put("/api/scans/#{scan['id']}/parts", { at: 0, data: ["x" * 11].pack("m0") })).to be_refused(422).at("data")
    end

    it "says which packages are missing where they are" do
      allow(Vantick::Server::Pages::Tools).to receive(:missing).and_return(["zbar-tools"])
      expect(post("#{address}/scans", { name: "x.pdf", bytes: 10 })).to be_refused(422).at("name").saying(/zbar-tools/)
    end
  end

  it "is gone when it is removed, stopped when it is stopped, and erased with a child" do
    check = check_of(make(count: 2))
    found = read(Vantick::Copier.pdf(ids.first(2).flat_map { |id| paper(check, id) }))
    child = school_class["children"].first
    post("#{address}/children/#{child['id']}/erasure", { name: child["name"] })
    work
    expect(store.db[:scan_pages].select_map(:child_id)).to eq([ids[1]])
    expect(store.db[:scan_pieces].select_map(:child_id).uniq).to eq([ids[1]])
    expect(delete("/api/scans/#{found['scan']['id']}").body).to eq("removed" => true)
    expect(%i[scans scan_pages scan_pieces].map { |table| store.db[table].count }).to eq([0, 0, 0])
    scan = post("#{address}/scans", { name: "x.pdf", bytes: 10 }).body
    expect(post("/api/scans/#{scan['id']}/stops", {}).body["scan"]["state"]).to eq("stopped")
    store.scans.forget_old(Time.now + (40 * 86_400))
    expect(get("#{address}/scans").body["scans"]).to eq([])
  end
end
