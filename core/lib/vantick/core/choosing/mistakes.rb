# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Mistakes for children to spot: a dial, and what someone said it shows. Each has one cause alone, so
      # that there is one answer to what went wrong.
      module Mistakes
        # @!attribute time [DialTime]
        # @!attribute said [SpokenTime] what someone said
        # @!attribute misreading [Misreading] what went wrong
        Mistake = Struct.new(:time, :said, :misreading, keyword_init: true)

        # What can be named as the cause: the right one among others, in an order that says nothing (common practice, no source).
        OPTIONS = 3

        class << self
          # @param step [Step]
          # @param misreading [Misreading] what went wrong
          # @param time [DialTime] what the dial shows
          # @param at [Integer] which of a sheet's exercises, from 0: where the same place would be right most often, a child finds out
          # @return [Array<Misreading>] what is offered as the cause, the right one among them; fewer on steps with few misreadings
          # @example
          #   Mistakes.options(Curriculum::Step.find(:quarters), Reading::Misreading.find(:sides_swapped), time, 0).length # 3
          def options(step, misreading, time, at)
            others = step.misreadings(Tasks::Task.find(:dial_to_words)).reject(&:seldom?) - [misreading]
            offered = others.sample(OPTIONS - 1, random: Random.new(time.index))
            offered.insert((time.hour + at) % (offered.length + 1), misreading)
          end

          # @param step [Step]
          # @param count [Integer] 1 or more
          # @param seed [Integer]
          # @param misreadings [Array<Misreading>] such as the class's own, taken in turn; all of the step where left out
          # @param avoid [Array<DialTime>] times rather not used
          # @return [Array<Mistake>] easiest first, no time and, while there are others, no hour twice
          # @raise [InvalidCount] where the step has fewer of them
          def choose(step:, count:, seed: 0, misreadings: [], avoid: [])
            random = Random.new(seed)
            kinds = kinds(step, misreadings).map { |found| found.shuffle(random:) }.shuffle(random:)
            pools = [sayable(kinds, step), kinds]
            chosen = count.times.reduce([]) do |so_far, turn|
              so_far + [pools.filter_map { |pool| following(pool.rotate(turn), so_far, avoid) }.first].compact
            end
            too_many(step, count, chosen.length) if chosen.length < count

            chosen.sort_by { |mistake| [Curriculum::Difficulty.of(mistake.time), mistake.time] }
          end

          private

          def too_many(step, count, nearest)
            raise InvalidCount.new("There are not #{count} mistakes to spot for #{step.name.downcase}. Choose fewer.", nearest:)
          end

          def kinds(step, misreadings)
            task = Tasks::Task.find(:dial_to_words)
            known = step.misreadings(task).reject(&:seldom?)
            # A class may share mistakes of drawing alone, which nobody can say.
            own = known & misreadings
            known = own if own.any?
            known.map { |misreading| of_step(step, misreading, task) }.reject(&:empty?)
          end

          # Worked out once.
          def of_step(step, misreading, task)
            @of_step ||= {}
            @of_step[[step.id, misreading.id]] ||= begin
              pool = step.pool.reject(&:hidden_hand?)
              pool.flat_map { |time| mistakes(misreading, time, task) }.freeze
            end
          end

          def sayable(kinds, step)
            met = met(step)
            kinds.map { |found| found.select { |mistake| met.include?(mistake.said.time.minute) } }
          end

          # Minutes that a class on the step has words for: on o'clock nobody has said quarter to anything yet.
          def met(step) = [step, *step.foundations.select(&:whole?)].flat_map(&:pool).map(&:minute).uniq

          def mistakes(misreading, time, task)
            others = Reading::Misreading.for(task).reject(&:seldom?) - [misreading]
            table = Reading::Predictions.of(task)
            wrong = table.wrong_answers(misreading, time) - others.flat_map { |other| table.wrong_answers(other, time) }
            wrong.map { |saying| Mistake.new(time:, said: saying, misreading:).freeze }
          end

          # From the kind whose turn it is, or the next that has one left.
          def following(kinds, chosen, avoid)
            times = chosen.map(&:time)
            kind = kinds.find { |found| found.any? { |mistake| !times.include?(mistake.time) } } || return
            by_welcome = kind.reject { |mistake| times.include?(mistake.time) }.group_by { |mistake| unwelcome(mistake.time, times, avoid) }
            by_welcome.min_by(&:first).last.first
          end

          def unwelcome(time, times, avoid)
            (times.map(&:hour).include?(time.hour) ? 2 : 0) + (avoid.include?(time) ? 1 : 0)
          end
        end
      end
    end
  end
end
