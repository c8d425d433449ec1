# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What a teacher settled about a lesson, as plain data, and the lesson that core makes of it.
      class LessonPlan
        # What a lesson can put before a whole class.
        SEEN = %i[dial hour_hand minute_hand time_of_day].freeze
        # The conventions that are a class's method, which a lesson may change.
        METHOD = %i[order counting counting_to].freeze

        # @param step [Curriculum::Step]
        # @return [Array<Task>] those that a lesson on it can be about
        def self.tasks(step) = step.tasks.select { |task| SEEN.include?(task.sees) && task.tolerance_minutes.zero? }

        # @param step [Curriculum::Step]
        # @param task [Task, nil]
        # @param conventions [Conventions]
        # @return [String] what a lesson is called
        # @example
        #   LessonPlan.title(Step.find(:fives_past), Tasks::Task.find(:dial_to_digital)) # "Fives past, in digits"
        def self.title(step, task, conventions = Wording::Conventions.default)
          name = step.texts_in(conventions)[:name]
          task&.part && tasks(step).length > 1 ? "#{name}, #{task.part}" : name
        end

        # @return [Hash] the plan, with every time that stands in it
        attr_reader :settled
        # @return [Lesson]
        attr_reader :lesson
        # @return [Curriculum::Step]
        attr_reader :step
        # @return [Task]
        attr_reader :task
        # @return [Conventions] the class's, with the lesson's method
        attr_reader :conventions

        # @param settled [Hash{Symbol => Object}]
        # @param conventions [Conventions] the class's
        # @raise [Error]
        # @param day [Array<Hash>] the class's own
        def initialize(settled, conventions, day = [])
          @day = day
          @step = Curriculum::Step.find(settled[:step])
          @task = known_task(settled[:task])
          @conventions = conventions.with(**settled.fetch(:method, {}).slice(*METHOD))
          @lesson = build(settled)
          check_swap(settled)
          @settled = { opening: 0, swapped: [], carried: [], stage_minutes: {}, activities: {}, **settled, **computed(settled) }
        end

        # @param stage [Symbol]
        # @return [Class] the kind of time that stands there
        def kind_of_time(stage)
          known = StageMinutes::STAGES
          row = known[stage] || raise(UnknownName.new("stage", stage, known.keys))
          task.asks == :day && !row[:earlier] ? Dial::DayTime : Dial::DialTime
        end

        private

        def computed(settled)
          { task: task.id, kept: texts, pinned: pinned(settled), method: @conventions.to_h.slice(*METHOD) }
        end

        def known_task(id)
          known = LessonPlan.tasks(step)
          return known.find { |task| task.id == :dial_to_words } || known.first if id.nil?

          known.find { |task| task.id.to_s == id.to_s } ||
            raise(UnknownName.new("task for #{step.name.downcase}", id, known.map(&:id), field: :task))
        end

        def build(settled)
          Lesson.new(step:, task:, minutes: settled[:minutes], seed: settled[:seed], stage_minutes: settled.fetch(:stage_minutes, {}),
                     pacing: Pacing.new({}, settled.fetch(:pace, {}).transform_keys(&:to_sym)),
                     earlier: settled.fetch(:earlier, []).map { |id| Curriculum::Step.find(id) },
                     avoid: settled.fetch(:swapped, []).flat_map { |text| both_kinds(text) }, kept: kept_parts(settled),
                     exit_avoid: settled.fetch(:exit_avoid, []).map { |text| kind_of_time(:exit).parse(text) },
                     day_times: Wording::DayPlace.times(@day), pinned: parsed(settled.fetch(:pinned, {})),
                     activities: settled.fetch(:activities, {}))
        end

        # One place left open is a time to be swapped: it needs another.
        def check_swap(settled)
          open_places = settled.fetch(:kept, {}).select { |_, times| times.include?(nil) }
          return unless open_places.values.sum { |times| times.count(nil) } == 1

          stage, times = open_places.first
          found = lesson.stages.find { |one| one.id == stage } or return
          return unless found.items.count(&:time) < times.length && found.missing.positive?

          raise Error.new("Every other time is already in this lesson. Type one instead.", field: :kept)
        end

        def both_kinds(text) = [Dial::DialTime.parse(text), *(Dial::DayTime.parse(text) if task.asks == :day)]

        def kept_parts(settled) = parsed(settled.fetch(:kept, {}))

        def parsed(stages)
          stages.to_h { |stage, times| [stage, times.map { |text| text && kind_of_time(stage).parse(text) }] }
        end

        def texts = lesson.stages.to_h { |stage| [stage.id, stage.items.filter_map(&:time).map(&:to_s)] }

        # A pin goes with its time.
        def pinned(settled)
          progress = texts
          settled.fetch(:pinned, {}).to_h do |stage, times|
            [stage, times.map { |text| kind_of_time(stage).parse(text).to_s } & progress.fetch(stage, [])]
          end
        end
      end
    end
  end
end
