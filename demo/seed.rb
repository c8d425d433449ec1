# frozen_string_literal: true

require "securerandom"
require "yaml"
require "vantick/server"

module Vantick
  # The made-up school: a class with a story, told by simulated children from a fixed seed.
  class Demo
    TABLE = YAML.safe_load_file(File.join(__dir__, "curlew.yml"), symbolize_names: true).freeze
    HOUR = 3600
    DAY = 24 * HOUR

    # @param store [Server::Store::Database]
    # @param now [Time] the checks lie some days before it
    def initialize(store, now:)
      @store = store
      @now = now
    end

    # Does nothing where there is a class already. All of it or nothing, also where two are started at once.
    # @return [Boolean] whether the class was made
    def seed
      return false if @store.classes.all.any?

      @store.db.with_patience(Server::Store::Database::PATIENCE) do
        @store.db.transaction do
          next false if @store.classes.all.any?

          make_class(at(TABLE[:checks].map { |check| check[:days_ago] }.max + 1))
          TABLE[:checks].each { |check| give(check) }
          TABLE[:lessons].each { |lesson| plan(lesson) }
          true
        end
      end
    end

    # The class with half a year behind it, as `bin/demo` shows it. Does nothing where there is a class already.
    # @return [Boolean] whether it was made
    def tell
      return false if @store.classes.all.any?

      @store.db.with_patience(Server::Store::Database::PATIENCE) do
        @store.db.transaction do
          next false if @store.classes.all.any?

          make_class(at(Story::TABLE[:weeks] * 7))
          Story.new(@store, @class, now: @now, spells: TABLE[:spells]).tell
          true
        end
      end
    end

    # Makes the teacher's account, to whom the class belongs; does nothing where there is an account already.
    def hire
      return unless @store.teachers.none?

      name, password = TABLE[:teacher].values_at(:name, :password)
      accounts = Server::Access::SignIn.accounts(@store)
      @store.db.transaction do
        next unless @store.teachers.none?

        accounts.create_account(login: name, password:)
        @store.teachers.adopt(@store.teachers.find(name)[:id])
      end
    end

    # A substitute gets the class for a week.
    def lend
      name, password, days = Story::TABLE[:substitute].values_at(:name, :password, :days)
      Server::Access::SignIn.accounts(@store).create_account(login: name, password:)
      last = Server::Store::SchoolDay.today + days
      @store.shares.share(@class.id, @store.teachers.find(name)[:id], Date.jd(last).iso8601, @now.utc.iso8601)
    end

    # The stack of paper that the class comes with lies beside the school's file, ready to be read.
    def stack
      folder = File.join(File.dirname(@store.path), "paper")
      FileUtils.mkdir_p(folder)
      FileUtils.cp(Dir[File.join(__dir__, "copier", "made-up.*")], folder)
    end

    private

    def at(days_ago) = (@now - (days_ago * DAY)).utc.iso8601

    def make_class(made_at)
      @class = @store.classes.add(name: TABLE[:name], school: TABLE[:school], names: TABLE[:children], made_at:, made_up: 1)
      @store.classes.change(@class[:id], day: Core::Wording::DayFacts.day(TABLE[:day]))
    end

    def plan(lesson)
      settled = { **lesson.slice(:step, :minutes, :earlier), seed: TABLE[:seed] }
      settings = Core::Teaching::LessonSettings.of(settled)
      plan = Core::Teaching::LessonPlan.new(settings, Core::Wording::Conventions.default).settings
      days_ago = lesson[:days_ago]
      row = @store.lessons.add(class_id: @class[:id], day: at(days_ago)[0, 10], plan:, made_at: at(days_ago + 1))
      return unless lesson[:left_out]

      @store.lessons.change(row[:id], left_out: plan.kept.fetch(:alone).last(lesson[:left_out]), given_at: at(days_ago))
    end

    def give(plan)
      task = Core::Tasks::Task.find(plan[:task])
      step = Core::Curriculum::Step.find(plan[:step])
      choice = Core::Choosing::Chooser.choose(step:, task:, count: plan[:count], seed: TABLE[:seed])
      times = choice.times.map(&:to_s)
      check = @store.checks.add(class_id: @class[:id], step: plan[:step], task: plan[:task], times:, made_at: at(plan[:days_ago]))
      present = @class[:children].reject { |child| plan[:away].include?(child[:name]) }
      present.each { |child| answer(child, check, task, plan) }
    end

    def answer(child, check, task, plan)
      simulated = simulated(child)
      check[:items].each.with_index(1) do |item, number|
        time = Core::Dial::DialTime.parse(item[:time])
        text = written(child, number, simulated.answer(time, task), plan)
        given = { uuid: SecureRandom.uuid, item_id: item[:id], child_id: child[:id], answer: text }
        @store.answers.add(given, Core::Marking::Marker.mark(task:, time:, text:), answered_at: at(plan[:days_ago]))
      end
    end

    def simulated(child)
      planted = TABLE[:misreadings].select { |_, names| names.include?(child[:name]) }.keys
      Core::Simulation::SimulatedChild.new(misreadings: planted.map do |id|
        Core::Reading::Misreading.find(id)
      end, seed: TABLE[:seed] + child[:id],
                               **TABLE.slice(:consistency, :careless))
    end

    def written(child, number, text, plan)
      scrawled, instead = plan.dig(:scrawls, child[:name].to_sym)
      return instead if scrawled == number

      TABLE[:spells].fetch(child[:name].to_sym, {}).reduce(text) { |spelled, (word, spelling)| spelled.gsub(word.to_s, spelling) }
    end
  end
end

require_relative "story"
