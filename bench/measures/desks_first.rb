# frozen_string_literal: true

require_relative "../serving"
require_relative "../../demo/copier/copier"

module Bench
  # Whether anything heavy holds up a desk: children at their devices while teachers plan and a stack of paper is read.
  class DesksFirst < Family
    include Serving

    CLASS = 26
    CLOCKS = 8

    def desk_p95_under_planning(seed)
      stack = Vantick::Copier.pdf(Sizes[:paper_pages].times.each_slice(10).flat_map do |some|
        ScannedPages.make(seed + some.first, some.length).map(&:last)
      end)
      with_school do |port, folder, server|
        children = joined(port, Sizes[:flat_out])
        planners = Array.new(Sizes[:planners]) { |at| planner(port, at) }
        # What is compiled at its first use is not what a teacher holds up.
        windows(children, 1)
        quiet(File.join(folder, "school.sqlite3"))
        alone = windows(children)
        joining, beside = heavy(port, planners, stack) { windows(children) }
        told(alone, beside, joining, server)
      end
    end

    private

    # Several, since one says little on a machine that others use too: the middle one counts.
    def windows(children, many = Sizes[:turns]) = Array.new(many) { Load.new(children, every: Sizes[:every]).run }

    # Until nothing is left that was begun when the classes were made.
    def quiet(file)
      Sequel.sqlite(file, readonly: true) { |school| sleep 0.5 while school[:jobs].where(state: %w[waiting running]).any? }
    end

    def told(alone, beside, joining, server)
      before, after = [alone, beside].map { |loads| loads.map(&:p95).sort[loads.length / 2] }
      Taken.new(after / before, { "p95 alone, seconds" => before, "p95 beside, seconds" => after,
                                  "longest wait alone, seconds" => alone.flat_map(&:waits).max,
                                  "longest wait beside, seconds" => beside.flat_map(&:waits).max,
                                  "unanswered" => beside.sum(&:unanswered).to_f,
                                  "answered beside" => beside.sum { |load| load.waits.length }.to_f,
                                  "a child joins within, seconds" => joining, "megabytes afterwards" => server.megabytes })
    end

    # A teacher with a class that has answered, and a term of a school year.
    def planner(port, number)
      teacher = teacher_at(port)
      names = Array.new(CLASS) { |child| "P#{number}-#{child}" }
      id = teacher.post("/api/classes", { name: "Planned #{number}", children: names }).fetch("id")
      check = teacher.post("/api/classes/#{id}/checks", { step: "quarters", task: "dial_to_words", count: CLOCKS, seed: number })
      texts = check["items"].each_with_index.map { |item, at| at.even? ? item["right"] : "half past one" }
      teacher.post("/api/checks/#{check['id']}/tables", { table: names.map { |name| [name, *texts].join(",") }.join("\n") })
      teacher.put("/api/classes/#{id}/term", term)
      [teacher, id]
    end

    def term
      first = Date.today
      { first_day: first.iso8601, last_day: (first + 300).iso8601, weekdays: { monday: 45, wednesday: 45, friday: 30 }, days_off: [],
        aim: "minutes", aim_day: (first + 290).iso8601 }
    end

    # Helps and a forecast for each teacher, and the stack, while the block runs; and a child who comes meanwhile.
    # @return [Array] seconds that the child waited to be in, and what the block gives
    def heavy(port, planners, stack)
      busy = planners.map { |teacher, id| Thread.new { asked(teacher, "/api/classes/#{id}/term/suggestions") } }
      busy << Thread.new { read(*planners.first.then { |_, id| [teacher_at(port), id] }, stack) }
      joins = Thread.new { sleep(LOAD_SECONDS / 3.0) && Benchmark.realtime { seats_of(teacher_at(port), port, 90, 1) } }
      loads = yield
      [joins.value, loads]
    ensure
      busy.each(&:kill)
    end

    # Asked until it is there, as a page does; and a forecast then.
    def asked(teacher, path)
      [path, path.sub("helps", "forecast")].each { |one| sleep 0.7 while teacher.get(one)["working"] }
    end

    def read(teacher, class_id, stack)
      scan = teacher.post("/api/classes/#{class_id}/scans", { name: "stack.pdf", bytes: stack.bytesize })
      (0...stack.bytesize).step(500_000) do |at|
        teacher.put("/api/scans/#{scan['id']}/parts", { at:, data: [stack.byteslice(at, 500_000)].pack("m0") })
      end
    end

    measure(:desk_p95_under_planning, "95th of 100 waits of 60 children while five teachers plan and 60 pages are read, over without",
            "<= 1.5") { |seed| desk_p95_under_planning(seed) }
  end
end
