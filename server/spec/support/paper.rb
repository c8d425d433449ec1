# frozen_string_literal: true

require_relative "../../../demo/copier/copier"

# Sheets that made-up children wrote on, copied and read. Whoever includes it has `school_class`, its `address`, `random` and a `scanner`.
module PaperRead
  def make(**settings) = post("#{address}/sheets", { kind: "draw", task: "digital_to_dial", step: "quarters", count: 4, **settings }).body

  def check_of(made) = store.checks.find(made["check_id"])

  # What a child would write who gets everything right.
  def right(check, child_id)
    task = Vantick::Core::Tasks::Task.find(check.task)
    items = check.items.select { |item| [nil, child_id].include?(item.child_id) }
    items.map do |item|
      answer = task.right_answer(task.parse_time(item.time))
      task.notation == :day_half ? answer.to_s : task.write(answer)
    end
  end

  # @return [Array<String>] JPEG of each page of a child's sheet
  def paper(check, child_id, answers = right(check, child_id), **scanned)
    of = store.classes.find(check.class_id)
    sheet = Vantick::Server::Pages::Printing.of_check(check, of).drawn_sheet(check, only: child_id)
    hand = Vantick::Copier::ChildHand.new(Random.new(random.rand(2**30)))
    Vantick::Copier.written(sheet.pages, answers, hand).map { |canvas| scanner.scan(canvas, **scanned) }
  end

  def ids = school_class["children"].map { |child| child["id"] }

  # Sends a file and waits until it is read.
  def read(file, of: address, name: "stack.pdf", part: 500_000)
    scan = post("#{of}/scans", { name:, bytes: file.bytesize }).body
    (0...file.bytesize).step(part) do |at|
      put("/api/scans/#{scan['id']}/parts", { at:, data: [file.byteslice(at, part)].pack("m0") })
    end
    Vantick::Server::Work::Runner.wake(store).join
    get("/api/scans/#{scan['id']}").body
  end

  def current(check) = store.answers.current([check.id]).fetch(check.id, [])

  # As it comes from the printer.
  def printed(check, answers)
    sheet = Vantick::Server::Pages::Printing.of_check(check, store.classes.find(check.class_id)).drawn_sheet(check)
    sheet.pages.map do |page|
      hand = Vantick::Copier::ChildHand.new(Random.new(random.rand(2**30)))
      scanner.scan(Vantick::Copier.written([page], answers, hand).first)
    end
  end
end
