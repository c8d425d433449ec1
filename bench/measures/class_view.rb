# frozen_string_literal: true

require "rack/mock"
require "securerandom"
require "tmpdir"
require "vantick/server"

module Bench
  KIDS = 30
  CLOCKS = 10

  # Whether a class's view stays as quick when its answers grow.
  class ClassViews < Family
    def class_view_growth(seed)
      few = Sizes[:few_answers]
      many = Sizes[:many_answers]
      Dir.mktmpdir do |folder|
        store = Vantick::Server::Store::Database.open(File.join(folder, "school.sqlite3"))
        teacher = teacher(store, Rack::MockRequest.new(Vantick::Server.app(store:, web: folder)))
        classes = [few, many].map { |answers| class_with(store, answers, Random.new(seed)) }
        times = classes.reverse.map { |id| quickest(3) { teacher.call("/api/classes/#{id}/ladder") } }
        store.close
        Taken.new(times[0] / times[1], { "seconds at #{few} answers" => times[1], "seconds at #{many} answers" => times[0] })
      end
    end

    # @return [Proc] asks as the one teacher there is
    def teacher(store, app)
      login = { name: "Bench", password: "sixty at a time" }
      Vantick::Server::Access::SignIn.accounts(store).create_account(login: login[:name], password: login[:password])
      signed = app.post("/api/session/login", "CONTENT_TYPE" => "application/json", input: JSON.generate(login))
      cookie = signed["set-cookie"].split(";").first
      ->(path) { app.get(path, "HTTP_COOKIE" => cookie).tap { |found| raise "#{path}: #{found.status}" unless found.ok? } }
    end

    def class_with(store, answers, random)
      made_at = Time.now.utc.iso8601
      account_id = store.db[:accounts].get(:id)
      school_class = store.classes.add(name: "C#{answers}", school: "", names: (1..KIDS).map do |number|
        "K#{number}"
      end, made_at:, account_id:)
      checks = answers / (KIDS * CLOCKS)
      store.db.transaction { checks.times { |number| check_with(store, school_class, number, checks, random) } }
      school_class[:id]
    end

    # Four of five answers right, as the days go by.
    def check_with(store, school_class, number, checks, random)
      answered_at = (Time.now - ((checks - number) * 20_000)).utc.iso8601
      check = check_of(store, school_class, Curriculum::Step.find(%i[quarters fives minutes][number % 3]), answered_at, random)
      rows = check[:items].product(school_class[:children]).map { |item, child| { item_id: item[:id], child_id: child[:id], answered_at: } }
      store.db[:answers].multi_insert(rows.map { |row| { **row, **judged_at(random) } })
    end

    def check_of(store, school_class, step, made_at, random)
      times = step.pool.sample(CLOCKS, random:).map(&:to_s)
      store.checks.add(class_id: school_class[:id], step: step.id.to_s, task: "dial_to_words", times:, made_at:)
    end

    def judged_at(random)
      verdict = random.rand < 0.8 ? { verdict: "right", misreadings: "" } : { verdict: "misread", misreadings: "hands_swapped" }
      { uuid: SecureRandom.uuid, answer: "x", read_as: "", read_short: "", slips: "", **verdict }
    end

    measure(:class_view_growth, "a class's view at 100,000 answers over that at 10,000", "<= 1.5") { |seed| class_view_growth(seed) }
  end
end
