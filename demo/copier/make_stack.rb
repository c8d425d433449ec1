# frozen_string_literal: true

# Makes the stack that the demo class comes with: six dials on which the made-up children drew hands, scanned in an order of its own,
# one page upside down, one missing and one twice:
#   bundle exec ruby demo/copier/make_stack.rb
# It writes made-up.pdf, and beside it which sheet that is.
%w[core server].each { |room| $LOAD_PATH.unshift(File.expand_path("../../#{room}/lib", __dir__)) }
require_relative "../seed"
require_relative "copier"

Dir.mktmpdir do |folder| # rubocop:disable Metrics/BlockLength
  store = Vantick::Server::Store::Database.open(File.join(folder, "school.sqlite3"))
  demo = Vantick::Demo.new(store, now: Vantick::Server::Clock.now)
  demo.seed
  school_class = store.classes.all.first
  core = Vantick::Core
  made_at = Vantick::Server::Clock.iso8601
  task = core::Tasks::Task.find(:digital_to_dial)
  step = core::Curriculum::Step.find(:quarters)
  choice = core::Choosing::SheetChoice.new(kind: core::Choosing::SheetKind.find(:draw), step:, task:, count: 6)
  times = choice.items(Vantick::Demo::TABLE[:seed]).map { |item| item.time.to_s }
  sheet = { kind: "draw", step: step.id.to_s, task: task.id.to_s, count: 6, paper: "a4", versions: "one", names: true }
  about = { code: Vantick::Server::Store::Codes.checked("F7RX"), step: step.id.to_s, task: task.id.to_s, sheet:, times: }
  check = store.checks.add(class_id: school_class.id, **about.slice(:step, :task, :sheet, :times, :code), made_at:)
  random = Random.new(Vantick::Demo::TABLE[:seed])
  scanner = Vantick::Copier::Scanner.new(random, quality: 30, grain: 1.2)
  pages = school_class.children.to_h do |child|
    simulated = demo.send(:simulated, child)
    answers = check.items.map { |item| simulated.answer(core::Dial::DialTime.parse(item[:time]), task) }
    drawn = Vantick::Server::Pages::Printing.of_check(check, school_class).drawn_sheet(check, only: child[:id]).pages
    hand = Vantick::Copier::ChildHand.new(Random.new(random.rand(2**30)))
    [child[:name], Vantick::Copier.written(drawn, answers, hand).first]
  end
  order = (pages.keys - ["Kofi"]).shuffle(random:)
  scans = [*order, "Mila"].map { |name| scanner.scan(pages.fetch(name), upside_down: name == "Juno") }
  File.binwrite(File.join(__dir__, "made-up.pdf"), Vantick::Copier.pdf(scans))
  File.write(File.join(__dir__, "made-up.json"), JSON.pretty_generate(about))
  store.close
end
