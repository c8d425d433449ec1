# frozen_string_literal: true

module Vantick
  module Core
    module Marking
      # Judges an answer that is a whole time, in digits or in words.
      module TimeMarker
        ORDER = /\A(\d{1,2})\s?[:.]\s?(\d{1,2})\z/
        ORDER_ID = :spoken_order

        class << self
          # @param task [Tasks::Task]
          # @param time [DialTime] what was shown
          # @param text [String] the answer exactly as given
          # @param conventions [Conventions]
          # @return [MarkedAnswer]
          # @raise [AnswerTooLong]
          def mark(task:, time:, text:, conventions:)
            givens = givens(task, time, text, conventions)
            return beyond(task, time, text) || MarkedAnswer.unread(task, time, text) if givens.empty?
            return MarkedAnswer.unread(task, time, text) if nought_left_out?(givens, time)

            right = right_one(givens, task, time, conventions.home)
            return wrong(task, time, cleanest(givens), conventions) unless right

            copy?(task, right) ? copied(task, time, right, conventions) : right(task, time, right, conventions)
          end

          private

          def right_one(givens, task, time, home)
            givens.find { |given| given.time == time } || givens.find { |given| task.near?(given, time) } ||
              at_home(givens, task, time, home)
          end

          # "9:2" for 9:20: two minutes or twenty, nobody can say.
          def nought_left_out?(givens, time)
            given = givens.first
            return false unless givens.one? && given.slips.include?(:one_digit) && given.time.hour == time.dial_time.hour

            given.time.minute.positive? && given.time.minute * 10 == time.dial_time.minute
          end

          # In words alone: digits are the same in every language.
          def at_home(givens, task, time, home)
            return if home.nil? || task.notation != :words

            givens.find { |given| given.form == :words && home.says?(given.time, time.dial_time) }
          end

          def givens(task, time, text, conventions)
            found = Wording::AnswerReader.read(text, conventions)
            return found unless found.empty? && time.dial_time.minute.zero?

            Wording::AnswerReader.hour_alone(text, task.notation == :digits ? :clock : :words)
          end

          # Where an answer can be taken without a slip, it is.
          def cleanest(givens) = givens.select { |given| given.slips.empty? }.then { |clean| clean.empty? ? givens : clean }

          # What was asked in digits and is answered in digits, or in words and in words, was not read.
          def copy?(task, given)
            (task.sees == :digits && given.digits?) || (task.sees == :words && given.form == :words)
          end

          def copied(task, time, given, conventions)
            MarkedAnswer.new(task:, time:, verdict: :unexplained, **readings([given], conventions),
                             slips: [*given.slips, Wording::ParsedAnswer::COPIED])
          end

          # Digits that are on no clock can be read all the same, and are wrong: "7:75", as if an hour had a hundred minutes.
          def beyond(task, time, text)
            in_order = spoken_order(task, time, text)
            return in_order if in_order

            found = ORDER.match(Wording::AnswerReader.tidy(text))
            return unless found && (1..12).cover?(found[1].to_i) && (60..99).cover?(found[2].to_i)

            MarkedAnswer.new(task:, time:, verdict: :unexplained, read_as: text.strip, read_short: text.strip)
          end

          # Digits in the order in which they were heard can lie beyond every clock: "25:05" for twenty-five past five.
          def spoken_order(task, time, text)
            spoken = Wording::SpokenTime.usual(time)
            found = ORDER.match(Wording::AnswerReader.tidy(text))
            return unless found && found.captures.map(&:to_i) == [spoken.count, spoken.hour]
            return unless Reading::Misreading.find(ORDER_ID).shows_in?(task)

            MarkedAnswer.new(task:, time:, verdict: :misread, misreadings: [ORDER_ID], read_as: text.strip, read_short: text.strip)
          end

          def right(task, time, given, conventions)
            verdict = right_verdict(task, time, given)
            MarkedAnswer.new(task:, time:, verdict:, **readings([given], conventions), slips: given.slips,
                             accepted: conventions.accepts?(verdict))
          end

          # Right is the notation and the count that the task asks for: "fifteen to eight" is right for
          # quarter to eight, "forty-five past seven" is right in other words.
          def right_verdict(task, time, given)
            return given.time == time ? :right : :near if task.tolerance_minutes.positive?
            return :right_other_words unless form_asked?(task, time, given)

            given.slips.empty? ? :right : :right_writing_slip
          end

          def form_asked?(task, time, given)
            return given.form == :clock if task.notation == :digits

            given.form == :words && given.saying == Wording::SpokenTime.usual(time)
          end

          # An answer in the other form than the one that was asked has gone the way of that form.
          def wrong(task, time, givens, conventions)
            found = givens.flat_map { |given| led_to(task.in_form(given.digits? ? :digits : :words), time, given) }.uniq
            MarkedAnswer.new(task:, time:, verdict: found.any? ? :misread : :unexplained, misreadings: in_order(found),
                             slips: givens.flat_map(&:slips).uniq, **readings(givens, conventions))
          end

          def in_order(ids) = Reading::Misreading.all.map(&:id) & ids

          def led_to(task, time, given)
            answer = task.answer(given.saying)
            found = Reading::Predictions.of(task).at(time).select { |_, wrong| predicted?(wrong, answer, task) }.keys
            found.select { |id| Reading::Misreading.find(id).shows_in?(task) }
          end

          def predicted?(wrong, answer, task)
            return wrong.include?(answer) if task.tolerance_minutes.zero?

            wrong.any? { |other| task.near?(answer, other) }
          end

          def readings(givens, conventions)
            %i[read_as read_short].to_h { |name| [name, givens.map { |given| given.public_send(name, conventions) }.uniq.join(" or ")] }
          end
        end
      end
    end
  end
end
