# frozen_string_literal: true

module Vantick
  module Core
    module Curriculum
      # A step of the ladder: what is learned there, and the times it is learned with.
      class Step
        # @return [Symbol] such as `:quarters`
        attr_reader :id
        # @return [String] its name for teachers
        attr_reader :name
        # @return [Array<DialTime>] its times in order; empty where the step has none
        attr_reader :pool
        # @return [Array<String>] the published standards it serves
        attr_reader :standards

        # @return [DialTime, nil] the one that stands for the step; nothing where it has no times
        attr_reader :example
        # @return [Symbol] which hands its dial has, `:both`, `:hour` or `:minute`
        attr_reader :hands

        # @return [Array<Task>] those that its times can be asked with
        attr_reader :tasks

        # @return [Array<Step>] the ladder, in order
        # @raise [InvalidData] where a step builds on one that does not come before it
        def self.all
          @all || Facts::Once.make do
            @all ||= climb(Facts::DataFile.entries("ladder", required: %i[id name words questions openings standards])).freeze
          end
        end

        def self.climb(entries)
          entries.each_with_object([]) do |entry, ladder|
            missing = entry[:builds_on].map(&:to_sym) - ladder.map(&:id)
            raise InvalidData, "ladder.yml: #{entry[:id]} builds on #{missing.first}, which does not come before it" if missing.any?

            ladder << new(entry)
          end
        end
        private_class_method :climb

        # @return [Array<Step>] those that have times to choose from
        def self.with_times = @with_times ||= all.reject { |step| step.pool.empty? }.freeze

        # @param highest [Step]
        # @return [Array<Step>] those with times, up to this one
        def self.up_to(highest) = with_times.take(with_times.index(highest) + 1)

        # @param taught [Array<Step>] one at least
        # @param least [Step, nil] below which it is not
        # @return [Step] the one above the highest of them; what only takes steps below together is no step up
        def self.above(taught, least: nil)
          highest = taught.map { |step| with_times.index(step) }.max
          with_times.drop([highest + 1, *with_times.index(least)].max).find { |step| !step.together? } || with_times.last
        end

        # @return [Array<Step>] those at which a whole dial is read
        def self.reading = with_times.select { |step| step.tasks.any? { |task| task.sees == :dial } }

        # @return [Step] the one whose times are all of the dial
        def self.hardest = with_times.max_by.with_index { |step, place| [step.pool.length, place] }

        # @param id [String, Symbol]
        # @return [Step]
        # @raise [UnknownName] also for a step without times of its own
        def self.find(id)
          @by_name ||= with_times.to_h { |step| [step.id.to_s, step] }.freeze
          @by_name[id.to_s] || raise(UnknownName.new("step", id, with_times.map(&:id)))
        end

        # @param task [Task]
        # @return [Step, nil] the one at which it is learned, where it asks for a part of reading alone
        def self.home(task)
          @homes ||= with_times.reject(&:whole?).flat_map { |step| step.tasks.map { |own| [own.id, step] } }.to_h.freeze
          @homes[task.id]
        end

        # @param times [Array<DialTime, DayTime>]
        # @param task [Task] they were asked with
        # @return [Step] the earliest step that has all of them
        def self.holding(times, task)
          return home(task) if home(task) && (times - home(task).pool_for(task)).empty?

          fitting = with_times.select { |step| step.tasks.include?(task) }
          fitting.sort_by.with_index { |step, place| [step.pool.length, place] }.find { |step| (times - step.pool_for(task)).empty? }
        end

        # @param entry [Hash{Symbol => Object}] of ladder.yml
        def initialize(entry)
          @id = entry[:id].to_sym
          @texts = { parts: [], **entry.slice(:name, :words, :questions, :openings, :parts) }.freeze
          @name = Wording::ClassWords.fill(@texts[:name])
          @pool = times(entry[:minutes]).freeze
          @places = @pool.to_set(&:index).freeze
          @tasks = named(entry[:tasks]).freeze
          @pools = @tasks.to_h { |task| [task, pool_of(task)] }.freeze
          @whole = entry[:tasks].nil?
          @builds_on = entry[:builds_on].map(&:to_sym).freeze
          stands_for(entry)
          freeze
        end

        # @return [Array<String>] its words, as most classes say them
        def words = texts_in(Wording::Conventions.default)[:words]

        # @return [Array<String>] questions to talk about
        def questions = texts_in(Wording::Conventions.default)[:questions]

        # @return [Array<String>] ways to begin a lesson
        def openings = texts_in(Wording::Conventions.default)[:openings]

        # @param conventions [Conventions]
        # @return [Hash] its name, words, questions and openings as a class says them; `parts` of a lesson where it has no times, each
        #   with its name, minutes, what to say, what to look for and what is needed
        def texts_in(conventions) = Wording::ClassWords.fill(@texts, conventions)

        # @return [Array<Integer>] where on the dial its minute hand points, in degrees
        def minute_degrees = pool.map { |time| time.minute * 6 }.uniq

        # @return [Boolean] whether whole times are read here, and not one hand, numerals or halves of the day
        def whole? = @whole

        # @return [Array<Step>] those whose times are all among its own
        def parts = Step.parts.fetch(id)

        # @return [Hash{Symbol => Array<Step>}] by step; worked out once
        def self.parts
          @parts ||= with_times.to_h do |step|
            [step.id, step.foundations.select do |part|
              step.whole? && part.whole? && part.pool.any? && (part.pool - step.pool).empty?
            end.freeze]
          end.freeze
        end

        # @return [Boolean] whether it only takes together what its parts have, as all fives do
        def together? = (KnowledgeComponents.of_step(self) - parts.flat_map { |part| KnowledgeComponents.of_step(part) }).empty?

        # @return [Boolean] whether another step rests on it
        def leads_on? = Step.with_times.any? { |step| step.foundations.include?(self) }

        # @return [Array<Step>] the steps it rests on
        def builds_on = Step.all.select { |step| @builds_on.include?(step.id) }

        # @return [Array<Step>] the steps it rests on, and those that these rest on, in the order of the ladder
        def foundations = Step.foundations.fetch(id)

        # @return [Hash{Symbol => Array<Step>}] by step, those it rests on; worked out once
        def self.foundations
          @foundations ||= all.each_with_object({}) do |step, found|
            found[step.id] = (all & step.builds_on.flat_map { |below| [below, *found.fetch(below.id)] }).freeze
          end.freeze
        end

        # @param step [Step]
        # @return [Boolean] whether it is harder than the other and cannot be read without it: it rests on it, or on all of its times
        def covers?(step)
          return true if foundations.include?(step)

          Step.all.index(step) < Step.all.index(self) && step.whole? && (step.pool - Step.beneath(self)).empty?
        end

        # @param step [Step]
        # @return [Array<DialTime>] whole times of a step and of those it rests on
        def self.beneath(step) = (@beneath ||= {})[step.id] ||= [step, *step.foundations].select(&:whole?).flat_map(&:pool).uniq.freeze

        # @param time [DialTime]
        # @return [Boolean] whether it is one of the step's
        def holds?(time) = @places.include?(time.index)

        # @param task [Task]
        # @return [Array<DialTime, DayTime>] what it can be asked with here: times of the day come twice a dial time
        # @raise [UnknownName] where the task is not for this step
        def pool_for(task)
          @pools.fetch(task) { raise UnknownName.new("task for #{name.downcase}", task.id, tasks.map(&:id), field: :task) }
        end

        # @param task [Task]
        # @return [Array<Misreading>] those that its times can show; looked up by the thousand, so kept
        # @raise [UnknownName] where the task is not for this step
        def misreadings(task)
          Step.showing[[id, task.id]] ||= (pool_for(task) && SHOWING.dig(id, task.id).map { |name| Reading::Misreading.find(name) }).freeze
        end

        # @param misreading [Misreading]
        # @return [Boolean] whether it can show in what is asked here
        def shows?(misreading) = tasks.any? { |task| misreadings(task).include?(misreading) }

        # Which misreadings the times of a step can show, by step and task: made by `bin/tables`, as it takes a second to work out.
        SHOWING = Facts::DataFile.load("showing")

        def self.showing = @showing ||= {}

        private

        def stands_for(entry)
          @example = entry[:example] && Dial::DialTime.parse(entry[:example])
          @standards = entry[:standards]
          @hands = entry.fetch(:hands, "both").to_sym
        end

        def pool_of(task)
          return pool.flat_map { |time| Dial::DayTime.of(time) }.sort.freeze if task.asks == :day

          (pool & task.times).select { |time| task.seen?(time) }.freeze
        end

        # Where the ladder names none, all that ask for times of the dial; a step without times has nothing to ask.
        def named(ids)
          return ids.map { |id| Tasks::Task.find(id) } if ids

          pool.empty? ? [] : Tasks::Task.all.select { |task| task.asks == :time }
        end

        def times(minutes)
          return [] unless minutes

          wanted = minutes[:from].step(minutes[:to], minutes[:every]).to_a
          Dial::DialTime.all.select { |time| wanted.include?(time.minute) }
        end
      end
    end
  end
end
