# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # The one sentence that a child is told of an answer: what is right, or the step that went wrong.
      module Feedback
        WORDS = DeskTask::WORDS
        # What is said otherwise at home in some languages, and no mistake of reading.
        HALF_BEFORE = :half_before

        class << self
          # @param marked [MarkedAnswer]
          # @param conventions [Conventions]
          # @param home [Wording::HomeLanguage, nil] what the child speaks at home
          # @param variant [Symbol, String, nil] in which other way it was asked, see {Variants}
          # @return [String]
          def of(marked, conventions = Wording::Conventions.default, home: nil, variant: nil)
            return read_right(marked, conventions) if marked.read_right?
            return gap(marked.offset_degrees) if marked.verdict == :right_gap

            half = HalfRight.of(marked, conventions)
            return half(half, marked, conventions, home) if half
            return misread(marked, conventions, home) if marked.misreadings.any?

            entry = DeskTask.for(marked.task).entry
            (WORDS[:unreadable][entry] unless marked.telling?) || (variant && Variants.words(variant)[:again]) || again(marked.task, entry)
          end

          # @param marked [Array<MarkedAnswer>] the answers of one turn: one, or as many as there are pairs
          # @param conventions [Conventions]
          # @param home [Wording::HomeLanguage, nil]
          # @param variant [Symbol, String, nil]
          # @return [String]
          def of_turn(marked, conventions = Wording::Conventions.default, home: nil, variant: nil)
            return of(marked.first, conventions, home:, variant:) if marked.one?

            marked.all?(&:right?) ? WORDS[:pairs_right] : WORDS[:again][:pairs]
          end

          # @param task [Task]
          # @param time [DialTime, DayTime]
          # @param conventions [Conventions]
          # @return [String] the right answer, for a child; of hands what they say
          def answer(task, time, conventions = Wording::Conventions.default)
            case task.notation
            when :hands, :mistake then Wording::Phrase.usual(time, conventions)
            else task.write(task.right_answer(time), conventions)
            end
          end

          # @param sentence [String] with a place for the answer at its end
          # @param answer [String] such as "a.m.", after which no other full stop comes
          # @return [String]
          def say(sentence, answer) = format(sentence, answer:).sub(/\.\.\z/, ".")

          private

          def read_right(marked, conventions)
            say(WORDS.fetch(marked.verdict), answer(marked.task, marked.time, conventions))
          end

          # First what is right.
          def half(part, marked, conventions, home)
            words = WORDS[:half].fetch(part)
            [words[:right], marked.misreadings.any? ? misread(marked, conventions, home) : words[:again]].join(" ")
          end

          # Where several fit, the first in the order of the chain; what is said so at home first of all.
          def misread(marked, conventions, home = nil)
            return WORDS[:home_half] if home&.half_before? && marked.misreadings.include?(HALF_BEFORE)

            found = Reading::Misreading.find(marked.causes.first)
            found.child(marked.task, conventions)
          end

          # Where no dial is shown there is none to look at.
          def again(task, entry) = (WORDS[:unseen][entry] unless task.dial?) || WORDS[:again].fetch(entry)

          def gap(offset) = format(WORDS[:right_gap], **WORDS.fetch(offset.positive? ? :too_far : :too_near))
        end
      end
    end
  end
end
