# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # What a QTI item makes of an answer: which count as right, and the one sentence that a child is told, as at a desk here. Programs
      # compare letters, so every usual way of writing an answer stands in the item.
      class QtiScoring
        # What a child is told of answers alike: a name for it, the sentence, and the answers.
        Told = Struct.new(:name, :sentence, :answers)
        # Names of the feedback on right answers, and on those that no mistake leads to.
        RIGHT = "right"
        OTHER = "other"

        # @param task [Core::Tasks::Task]
        # @param time [Core::Dial::DialTime, Core::Dial::DayTime]
        # @param conventions [Core::Wording::Conventions]
        def initialize(task, time, conventions)
          @task = task
          @time = time
          @conventions = conventions
        end

        # @return [Array<String>] all that can be answered, where that is little enough to choose from
        def choices
          return [] if drawn? || @task.whole_time?

          @choices ||= @task.times.map { |time| @task.right_answer(time) }.uniq.first(Qti::MOST_CHOICES + 1).map { |answer| write(answer) }
          @choices.length > Qti::MOST_CHOICES ? [] : @choices
        end

        # @return [Boolean] whether a person looks at it
        def drawn? = @task.notation == :hands

        # @return [Array<String>] the right answer first, then every other way of writing it that is right in the class
        def right
          @right ||= begin
            usual = write(@task.right_answer(@time))
            ways = choices.any? ? choices : right_times.flat_map { |time| spelled(time) }
            [usual, *ways].uniq.select { |way| right?(way) }
          end
        end

        # @return [Array<Told>] of each mistake's answers what a child is told, none of them right and none twice
        def misreadings
          @misreadings ||= begin
            alike = wrong.uniq.reject { |answer| right?(answer) }.group_by { |answer| [mark(answer).causes.first, sentence(answer)] }
            alike.each_with_index.map { |((mistake, words), answers), at| Told.new("#{mistake || OTHER}-#{at + 1}", words, answers) }
          end
        end

        # @return [Array<Told>] the same of a right answer, and of what no mistake leads to
        def beside
          again = Core::Marking::MarkedAnswer.new(task: @task, time: @time, verdict: :unexplained)
          [Told.new(RIGHT, sentence(right.first), right), Told.new(OTHER, Core::Desk::Feedback.of(again, @conventions), [])]
        end

        private

        def write(answer) = @task.write(answer, @conventions)

        def mark(text)
          (@marked ||= {})[text] ||=
            Core::Marking::Marker.mark(task: @task, time: @time, text:, conventions: @conventions)
        end

        def right?(text) = mark(text).right?

        def sentence(text) = Core::Desk::Feedback.of(mark(text), @conventions)

        # An estimate is right some minutes before and after.
        def right_times
          off = @task.tolerance_minutes
          (-off..off).map { |minutes| Core::Dial::DialTime.from_index(@time.dial_time.index + minutes) }
        end

        def spelled(time)
          return Core::Wording::Spellings.of(@task.right_answer(time)) unless @task.whole_time?
          return Core::Wording::Spellings.of(time) if @task.tolerance_minutes.positive?

          Core::Wording::Spellings.of_time(time)
        end

        def wrong
          return choices if choices.any?

          Core::Reading::Predictions.of(@task).at(@time).values.flatten(1).uniq.flat_map { |answer| wrong_ways(answer) }
        end

        # In the class's own words, and where words are asked for in digits as well.
        def wrong_ways(answer)
          digits = answer.is_a?(Core::Wording::SpokenTime) ? Core::Wording::Spellings.of(answer.time) : []
          [write(answer), *Core::Wording::Spellings.of(answer, @conventions), *digits]
        end
      end
    end
  end
end
