# frozen_string_literal: true

require "securerandom"
require "yaml"
require "vantick/server"

module Vantick
  class Demo
    # Half a year of the class before today: lessons, checks, holidays, children who come and go, and the term it is in.
    class Story
      TABLE = YAML.safe_load_file(File.join(__dir__, "story.yml"), symbolize_names: true).freeze
      CHECKED = 5
      WEEK = 7
      AWAY = 0.05
      DAY = 24 * 3600

      # @param day [Integer] from the first one
      def self.ill?(day) = day / WEEK == TABLE[:ill][:week]

      # @param store [Server::Store::Database]
      # @param school_class [Server::Store::Rows::SchoolClass]
      # @param now [Time]
      # @param spells [Hash] how some children spell
      def initialize(store, school_class, now:, spells: {})
        @store = store
        @class = school_class
        @spells = spells
        @today = now.to_date
        @now = now
        @first = @today - (@today.cwday - 1) - (TABLE[:weeks] * WEEK)
        @random = Random.new(TABLE[:seed])
        @conventions = Core::Wording::Conventions.default
      end

      def tell
        come
        given = slots.zip(TABLE[:lessons]).select { |slot, step| slot && step && slot.day < @today.jd }
        given.each_with_index { |(slot, step), at| lesson(slot, step, at) }
        last_check(TABLE[:last])
        go
        StoryTerm.new(@store, @class.id, first: @first, today: @today, now: @now).keep(given, days, holidays)
      end

      private

      # All children of the half year, each with what it begins with.
      def come
        @store.register.add(@class.id, [TABLE[:left][:name]], moment(@first))
        @pupils = @store.classes.find(@class.id).children.to_h { |child| [child, pupil(child)] }
        ids = @pupils.keys.to_h { |child| child.values_at(:name, :id) }
        TABLE[:came].each { |name, number| @store.register.joined(ids.fetch(name.to_s), moment(week(number))) }
      end

      def go
        gone = @pupils.keys.find { |child| child[:name] == TABLE[:left][:name] }
        @store.register.leave(gone[:id], moment(week(TABLE[:left][:week])))
      end

      def pupil(child)
        misreadings = TABLE[:misreadings].select { |_, names| names.include?(child[:name]) }.keys
        traits = Core::Simulation::Traits.new(rates: 0.25..0.5, half: 14..40, misreadings:, unlearns: TABLE[:unlearns])
        Core::Simulation::Pupil.new(:usual, Random.new(TABLE[:seed] + child[:id]), traits)
      end

      def week(number) = @first + (number * WEEK)

      def holidays
        TABLE[:holidays].map do |holiday|
          { from: week(holiday[:week]), to: week(holiday[:week] + holiday[:weeks]) - 1, name: holiday[:name] }
        end
      end

      def off = holidays.map { |holiday| holiday[:from].jd..holiday[:to].jd }

      def slots
        @slots ||= days.reject { |slot| Story.ill?(slot.day - @first.jd) }
      end

      # All days that would have had a lesson so far.
      def days = Core::Term::Days.lessons(first: @first.jd, last: @today.jd - 1, weekdays: TABLE[:weekdays], off:)

      # Nine in the morning.
      def moment(date) = (Time.utc(date.year, date.month, date.day, 9) + 1).iso8601

      def present(day)
        number = (day - @first.jd) / WEEK
        @pupils.reject { |child, _| !there?(child[:name], number) || @random.rand < AWAY }
      end

      def there?(name, number)
        number >= TABLE[:came].fetch(name.to_sym, 0) && (name != TABLE[:left][:name] || number < TABLE[:left][:week])
      end

      def lesson(slot, step_id, at)
        date = Date.jd(slot.day)
        keep(date, { step: step_id, minutes: slot.minutes, seed: at })
        step = Core::Curriculum::Step.find(step_id)
        here = present(slot.day)
        here.each_value { |pupil| pupil.lesson(step, slot.day - @first.jd) }
        return if (at % 3).zero?

        made = check(step, tasks(step)[at % tasks(step).length], here, date)
        at_desks(made, date) if (at % 4).zero?
      end

      def keep(date, settled)
        plan = Core::Teaching::LessonPlan.new(Core::Teaching::LessonSettings.of(settled), @conventions).settings
        row = @store.lessons.add(class_id: @class.id, day: date.iso8601, plan:, made_at: moment(date - 1))
        @store.lessons.change(row.id, left_out: plan.kept.fetch(:alone).last(settled[:seed] % 3), given_at: moment(date))
      end

      # Of a whole dial in words and in digits in turn.
      def tasks(step) = step.whole? ? %i[dial_to_words dial_to_digital].map { |id| Core::Tasks::Task.find(id) } : step.tasks.first(1)

      def check(step, task, here, date, **odd)
        count = [CHECKED, step.pool_for(task).length].min
        times = Core::Choosing::Chooser.choose(step:, task:, count:, seed: date.jd).times.map(&:to_s)
        made = @store.checks.add(class_id: @class.id, step: step.id.to_s, task: task.id.to_s, times:, made_at: moment(date))
        rows = here.flat_map { |child, pupil| answers(made, task, [child, pupil], date, **odd) }
        @store.answers.add_all(rows, answered_at: moment(date))
        made
      end

      # Some checks were answered at the desks.
      def at_desks(check, date)
        at = Time.iso8601(moment(date))
        desk = @store.desks.open({ class_id: @class.id, check_id: check[:id], kind: "exit" }, at)
        @store.desks.close(desk.id, (at + (20 * 60)).iso8601)
      end

      def answers(check, task, (child, pupil), date, scrawls: {})
        check[:items].each.with_index(1).map do |item, number|
          time = task.parse_time(item[:time])
          text = written(child, number, task.write(pupil.answer(time, task, date.jd - @first.jd)), scrawls)
          given = { uuid: SecureRandom.uuid, item_id: item[:id], child_id: child[:id], answer: text }
          [given, Core::Marking::Marker.mark(task:, time:, text:)]
        end
      end

      def written(child, number, text, scrawls)
        scrawled, instead = scrawls[child[:name].to_sym]
        return instead if scrawled == number

        @spells.fetch(child[:name].to_sym, {}).reduce(text) { |spelled, (word, spelling)| spelled.gsub(word.to_s, spelling) }
      end

      def last_check(last)
        here = present(@today.jd - last[:days_ago]).merge(@pupils).reject do |child, _|
          (last[:away] + [TABLE[:left][:name]]).include?(child[:name])
        end
        check(Core::Curriculum::Step.find(last[:step]), Core::Tasks::Task.find(last[:task]), here, @today - last[:days_ago],
              scrawls: last[:scrawls])
      end
    end
  end
end

require_relative "story_term"
