# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Mistakes for children to spot: a dial, and what someone said it shows. Each has one cause alone, so
      # that there is one answer to what went wrong.
      module Mistakes
        # @!attribute time [DialTime]
        # @!attribute said [Saying] what someone said
        # @!attribute misreading [Misreading] what went wrong
        Mistake = Struct.new(:time, :said, :misreading, keyword_init: true)

        class << self
          # @param step [Step]
          # @param count [Integer] 1 or more
          # @param seed [Integer]
          # @param misreadings [Array<Misreading>] such as the class's own, taken in turn; all of the step where left out
          # @return [Array<Mistake>] easiest first, no time and, while there are others, no hour twice
          # @raise [InvalidCount] where the step has fewer of them
          def choose(step:, count:, seed: 0, misreadings: [])
            random = Random.new(seed)
            kinds = kinds(step, misreadings).map { |found| found.shuffle(random:) }.shuffle(random:)
            chosen = count.times.reduce([]) { |so_far, turn| so_far + [following(kinds.rotate(turn), so_far)].compact }
            raise InvalidCount, "#{step.name}: there are no #{count} mistakes to spot, choose fewer." if chosen.length < count

            chosen.sort_by { |mistake| [Difficulty.of(mistake.time), mistake.time] }
          end

          private

          def kinds(step, misreadings)
            task = Marking::Task.find(:dial_to_words)
            known = step.misreadings(task).reject(&:seldom?)
            known &= misreadings if misreadings.any?
            known.map { |one| of_step(step, one, task) }.reject(&:empty?)
          end

          # Worked out once.
          def of_step(step, misreading, task)
            @of_step ||= {}
            @of_step[[step.id, misreading.id]] ||= begin
              pool = step.pool.reject(&:hidden_hand?)
              pool.flat_map { |time| mistakes(misreading, time, task) }.freeze
            end
          end

          def mistakes(misreading, time, task)
            others = Reading::Misreading.for(task).reject(&:seldom?) - [misreading]
            table = Reading::Predictions.of(task)
            said = table.wrong_answers(misreading, time) - others.flat_map { |other| table.wrong_answers(other, time) }
            said.map { |saying| Mistake.new(time:, said: saying, misreading:).freeze }
          end

          # From the kind whose turn it is, or the next that has one left.
          def following(kinds, chosen)
            left = kinds.map { |found| found.reject { |mistake| chosen.map(&:time).include?(mistake.time) } }.find(&:any?) || []
            hours = chosen.map { |mistake| mistake.time.hour }
            left.find { |mistake| !hours.include?(mistake.time.hour) } || left.first
          end
        end
      end
    end
  end
end
