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
        term(given)
      end

      private

      # All children of the half year, each with what it begins with.
      def come
        @store.register.add(@class.id, [TABLE[:left][:name]])
        @pupils = @store.classes.find(@class.id).children.to_h { |child| [child, pupil(child)] }
      end

      def go
        gone = @pupils.keys.find { |child| child[:name] == TABLE[:left][:name] }
        @store.register.leave(gone[:id], moment(week(TABLE[:left][:week])))
      end

      def pupil(child)
        begins = TABLE[:misreadings].select { |_, names| names.include?(child[:name]) }.keys
        Core::Simulation::Pupil.new(:usual, Random.new(TABLE[:seed] + child[:id]), rates: 0.25..0.5, half: 14..40, misreadings: begins,
                                                                                   unlearns: TABLE[:unlearns])
      end

      def week(number) = @first + (number * WEEK)

      def holidays = TABLE[:holidays].map { |one| { from: week(one[:week]), to: week(one[:week] + one[:weeks]) - 1, name: one[:name] } }

      def off = holidays.map { |one| one[:from].jd..one[:to].jd }

      def slots
        @slots ||= days.reject { |slot| ill?(slot.day) }
      end

      # All days that would have had a lesson so far.
      def days = Core::Term::Days.lessons(first: @first.jd, last: @today.jd - 1, weekdays: TABLE[:weekdays], off:)

      def ill?(day) = (day - @first.jd) / WEEK == TABLE[:ill][:week]

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
        step = Core::Teaching::Step.find(step_id)
        here = present(slot.day)
        here.each_value { |pupil| pupil.lesson(step, slot.day - @first.jd) }
        check(step, tasks(step)[at % tasks(step).length], here, date) if at % 3 != 0
      end

      def keep(date, settled)
        plan = Core::Teaching::LessonPlan.new(settled, @conventions).settled
        row = @store.lessons.add(class_id: @class.id, day: date.iso8601, plan:, made_at: moment(date - 1))
        @store.lessons.change(row.id, left_out: plan[:kept].fetch(:alone).last(settled[:seed] % 3), given_at: moment(date))
      end

      # Of a whole dial in words and in digits in turn.
      def tasks(step) = step.whole? ? %i[dial_to_words dial_to_digital].map { |id| Core::Marking::Task.find(id) } : step.tasks.first(1)

      def check(step, task, here, date, **odd)
        count = [CHECKED, step.pool_for(task).length].min
        times = Core::Choosing::Chooser.choose(step:, task:, count:, seed: date.jd).times.map(&:to_s)
        made = @store.checks.add(class_id: @class.id, step: step.id.to_s, task: task.id.to_s, times:, made_at: moment(date))
        rows = here.flat_map { |child, pupil| answers(made, task, child, pupil, date, **odd) }
        @store.answers.add_all(rows, answered_at: moment(date))
      end

      def answers(check, task, child, pupil, date, scrawls: {})
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
        check(Core::Teaching::Step.find(last[:step]), Core::Marking::Task.find(last[:task]), here, @today - last[:days_ago],
              scrawls: last[:scrawls])
      end

      # The term as it was planned and given so far, and its lessons to come.
      def term(given)
        term = @store.terms.set(@class.id, **settings, changed_at: moment(@first))
        @store.terms.add(term.id, made_at: moment(@first), cause: "set", lessons: past(given), known_of: "")
        Server::Plan::TermPlanning.new(@store, term, now: @now.utc.iso8601, today: @today.jd).set
      end

      def settings
        last = (@today + (TABLE[:ahead] * WEEK)).iso8601
        days_off = holidays.map { |one| { **one, from: one[:from].iso8601, to: one[:to].iso8601 } }
        { first_day: @first.iso8601, last_day: last, weekdays: TABLE[:weekdays], days_off:, aim: TABLE[:aim], aim_day: last }
      end

      def past(given)
        steps = given.to_h.transform_keys(&:day)
        seen = []
        days.map do |slot|
          step = steps[slot.day]
          kind = kind(slot, step, seen)
          seen |= [step]
          { day: Date.jd(slot.day).iso8601, minutes: slot.minutes, kind:, step:, recap: [], check: false,
            settled: (:skipped if kind == "skipped") }
        end
      end

      def kind(slot, step, seen)
        return ill?(slot.day) ? "skipped" : "open" if step.nil?

        seen.include?(step) ? "again" : "new"
      end
    end
  end
end
