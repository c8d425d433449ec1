# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What is settled about a lesson, and the lesson that core makes of it.
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

        # @return [LessonSettings] the plan, with every time that stands in it
        attr_reader :settings
        # @return [Lesson]
        attr_reader :lesson
        # @return [Curriculum::Step]
        attr_reader :step
        # @return [Task]
        attr_reader :task
        # @return [Conventions] the class's, with the lesson's method
        attr_reader :conventions

        # @param settings [LessonSettings]
        # @param conventions [Conventions] the class's
        # @param day [Array<Hash>] the class's own
        # @raise [Error]
        def initialize(settings, conventions, day = [])
          @day = day
          @step = Curriculum::Step.find(settings.step)
          @task = known_task(settings.task)
          @conventions = conventions.with(**settings.teaching_method.slice(*METHOD))
          @lesson = build(settings)
          check_swap(settings)
          @settings = settings.with(task: task.id, kept: texts, pinned: pinned(settings), method: @conventions.to_h.slice(*METHOD))
        end

        # @param stage [Symbol]
        # @return [Class] the kind of time that stands there
        def kind_of_time(stage)
          known = StageMinutes::STAGES
          row = known[stage] || raise(UnknownName.new("stage", stage, known.keys))
          task.asks == :day && !row[:earlier] ? Dial::DayTime : Dial::DialTime
        end

        private

        def known_task(id)
          known = LessonPlan.tasks(step)
          return known.find { |task| task.id == :dial_to_words } || known.first if id.nil?

          known.find { |task| task.id.to_s == id.to_s } ||
            raise(UnknownName.new("task for #{step.name.downcase}", id, known.map(&:id), field: :task))
        end

        def build(settings) = Lesson.new(step:, task:, seed: settings.seed, frame: frame(settings), context: context(settings))

        def frame(settings)
          LessonFrame.new(**settings.to_h.slice(:minutes, :stage_minutes, :activities), kept: parsed(settings.kept),
                                                                                        pinned: parsed(settings.pinned))
        end

        def context(settings)
          LessonContext.new(pacing: Pacing.new({}, settings.pace.transform_keys(&:to_sym)),
                            earlier: settings.earlier.map { |id| Curriculum::Step.find(id) },
                            avoid: settings.swapped.flat_map { |text| both_kinds(text) },
                            exit_avoid: settings.exit_avoid.map { |text| kind_of_time(:exit).parse(text) },
                            day_times: Wording::DayPlace.times(@day))
        end

        # One place left open is a time to be swapped: it needs another.
        def check_swap(settings)
          open_places = settings.kept.select { |_, times| times.include?(nil) }
          return unless open_places.values.sum { |times| times.count(nil) } == 1

          stage, times = open_places.first
          found = lesson.stages.find { |part| part.id == stage } or return
          return unless found.items.count(&:time) < times.length && found.missing.positive?

          raise Error.new("Every other time is already in this lesson. Type one instead.", field: :kept)
        end

        def both_kinds(text) = [Dial::DialTime.parse(text), *(Dial::DayTime.parse(text) if task.asks == :day)]

        def parsed(stages)
          stages.to_h { |stage, times| [stage, times.map { |text| text && kind_of_time(stage).parse(text) }] }
        end

        def texts = lesson.stages.to_h { |stage| [stage.id, stage.items.filter_map(&:time).map(&:to_s)] }

        # A pin goes with its time.
        def pinned(settings)
          there = texts
          settings.pinned.to_h do |stage, times|
            [stage, times.map { |text| kind_of_time(stage).parse(text).to_s } & there.fetch(stage, [])]
          end
        end
      end
    end
  end
end
