# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # The steps that a child is shown after a second try, each lit up on the dial.
      module Help
        WORDS = DeskTask::WORDS[:helps]
        # What of a talk-through belongs to a task about one hand.
        PARTS = { hour: %i[hour], count: %i[minutes] }.freeze

        class << self
          # @param task [Task]
          # @param time [DialTime, DayTime]
          # @param conventions [Conventions]
          # @param mistake [Misreading, nil] what somebody else did wrong
          # @return [Array<TalkStep>] the last one says the answer, in the form that was asked
          def steps(task, time, conventions = Wording::Conventions.default, mistake: nil)
            case task.notation
            when :day_half then day_half(time, conventions)
            when :length then hops(time)
            when :hour, :count then part(task, time, conventions)
            when :mistake then [*Reading::TalkThrough.steps(time, conventions),
                                line(WORDS[:wrong], they: mistake.texts_in(conventions)[:they])]
            when :hands then SettingSteps.of(time, conventions)
            when :digits then digits(task, time, conventions)
            else Reading::TalkThrough.steps(time, conventions)
            end
          end

          private

          def line(words, *lights, **values) = Reading::TalkStep.new(:say, format(words, **values), *lights)

          def answer(task, time, conventions)
            Reading::TalkStep.new(:say, Feedback.say(WORDS[:answer], Feedback.answer(task, time, conventions)))
          end

          # Digits know no "to": all minutes are counted from the 12.
          def digits(task, time, conventions)
            hour = Reading::TalkThrough.steps(time, conventions).select { |step| step.part == :hour }
            sentence = Feedback.say(WORDS[:digits], Feedback.answer(task, time, conventions))
            both = [{ kind: :hand, hand: :hour }, { kind: :hand, hand: :minute }]
            [*hour, *Reading::MinuteTalk.past(time, conventions), Reading::TalkStep.new(:say, sentence, *both)]
          end

          def part(task, time, conventions)
            steps = Reading::TalkThrough.steps(time, conventions).select { |step| PARTS.fetch(task.notation).include?(step.part) }
            sentence = Feedback.say(WORDS[:part], Feedback.answer(task, time, conventions))
            [*steps, Reading::TalkStep.new(:say, sentence, *steps.last.lights)]
          end

          def day_half(time, conventions)
            task = Tasks::Task.find(:day_half)
            return [answer(task, time, conventions)] if Wording::DayFacts::NAMED.include?(time.half)

            place = WORDS[time.half == :am ? :before : :after]
            digits = time.dial_time.digital(conventions.sign)
            [line(WORDS[:day_half], time: digits, place:), answer(task, time, conventions)]
          end

          # From the numeral in the place of the hour to the one under the long hand.
          def hops(time)
            minutes = time.minutes_between_numerals
            return [line(WORDS[:no_hop], { kind: :numeral, numeral: 12 }), minutes_long(time)] if minutes.zero?

            from = time.hour_passed
            fives = 5.step(minutes, 5).to_a
            start = (from % 12) * 5
            sweep = { kind: :sweep, from: start, to: start + minutes, counts: fives.map { |count| [(start + count) % 60, count] } }
            [line(WORDS[:hops], sweep, from:, to: time.minute_numeral, fives: fives.join(", ")),
             minutes_long(time)]
          end

          def minutes_long(time) = answer(Tasks::Task.find(:numeral_to_minutes), time, Wording::Conventions.default)
        end
      end
    end
  end
end
