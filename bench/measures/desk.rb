# frozen_string_literal: true

require_relative "../serving"

module Bench
  # What it costs that children answer at their desks: sixty of them at once, each one request after the other.
  class DeskCost < Family
    include Serving

    # Answers a second, all devices at once; the work of each is a list of calls.
    def rate(jobs)
      done = Queue.new
      seconds = Benchmark.realtime { jobs.map { |job| Thread.new { job.call(done) } }.each(&:join) }
      done.length / seconds
    end

    def bare_jobs(port)
      Array.new(Sizes[:devices]) do
        device = Device.new(port)
        ->(done) { Sizes[:requests].times { done << device.post("/rows", { uuid: SecureRandom.uuid, answer: "quarter to eight" }) } }
      end
    end

    # Half of the answers are right at once, half of them take a second try.
    def desk_jobs(seats, sent)
      seats.map do |device|
        turn, held = device.post("/api/desk/rounds", {}).values_at("turn", "ahead_ids")
        lambda do |done|
          Sizes[:requests].times do |number|
            answers = turn["items"].map do |item|
              { id: SecureRandom.uuid, item_id: item["id"], answer: number.even? ? "7:45" : "quarter past one" }
            end
            told = device.post("/api/desk/answers", { turn_id: turn["id"], answers:, held: })
            answers.each { |answer| sent << answer[:id] }
            done << told
            turn = told["turn"] or break
          end
        end
      end
    end

    # Rounds of the one and of the other in turn, so that what else the machine does falls on both.
    def answer_cost
      Dir.mktmpdir do |folder|
        file = File.join(folder, "school.sqlite3")
        port, bare_port = Array.new(2) { free_port }
        server = school_server(folder, port)
        bare = bare_server(folder, bare_port)
        at = seats(port)
        sent = Queue.new
        pairs = Array.new(Sizes[:turns]) { [rate(desk_jobs(at, sent)), rate(bare_jobs(bare_port))] }
        [server, bare].each(&:stop)
        taken(pairs, kept(file, sent))
      end
    end

    # The median of each.
    def taken(pairs, kept)
      ours, theirs = pairs.transpose.map { |rates| rates.sort[Sizes[:turns] / 2] }
      Taken.new(ours / theirs, { "answers a second" => ours, "bare rows a second" => theirs, **kept })
    end

    # What was acknowledged, against what is in the file after the server was killed.
    def kept(file, sent)
      ids = Array.new(sent.length) { sent.pop }
      store = Vantick::Server::Store::Database.open(file)
      found = store.db[:answers].select_map(:uuid) + store.db[:tries].select_map(:uuid)
      store.close
      { "answers sent" => ids.length.to_f, "lost" => (ids - found).length.to_f, "doubled" => (found.length - found.uniq.length).to_f }
    end

    measure(:answer_cost, "answers a second of 60 children over rows a second of a bare route", ">= 0.3") { |_seed| answer_cost }
  end
end
