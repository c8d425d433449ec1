# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # How likely a lesson makes its step known to a child of this class who can learn it: at first as is assumed of all, then by what came
      # of its lessons (a Beta distribution, whose first guess weighs like so many children as term.yml says).
      # @!attribute ones [Float] guessed and seen: children who learned it
      # @!attribute others [Float] those who did not
      Learning = Struct.new(:ones, :others, keyword_init: true) do
        # @return [Float] 0..1
        def chance = ones / (ones + others)
      end

      # How it is seen. Nobody sees a child learn: so each child counts by how likely it is, from what it knew before the lesson and what it
      # answered after it, that the lesson made the difference (expectation and maximization; Dempster, Laird and Rubin 1977, from memory).
      class Learning
        NUMBERS = Facts::DataFile.load("term")
        ROW = NUMBERS[:forecast].freeze
        CAME = NUMBERS[:came].freeze
        LESSON = Knowing::Expected::LEARN.fetch(:lesson)

        # What a child's answers after a lesson say.
        # @!attribute before [Float] 0..1, that it was known before
        # @!attribute ready [Float] 0..1, how far it could be learned
        # @!attribute known [Float] how likely the answers are of one who knows it
        # @!attribute not_known [Float] and of one who does not
        Came = Struct.new(:before, :ready, :known, :not_known, keyword_init: true) do
          # @param chance [Float] of learning
          # @return [Array(Float, Float)] how likely it was learned then, and how much of a chance there was to
          def learned(chance)
            unknown = 1 - before
            learned = unknown * chance * ready * known
            missed = unknown * (1 - (chance * ready)) * not_known
            all = (before * known) + learned + missed
            [learned / all, ready * (learned + missed) / all]
          end
        end

        class << self
          # @return [Learning] before anything was seen
          def guessed = new(ones: ROW[:weight] * LESSON, others: ROW[:weight] * (1 - LESSON)).freeze

          # What came of the first lesson on each step of one kind of times: later ones are given to those who have it already, or to
          # those with whom it did not go well by bad luck alone.
          # @param by_child [Hash{Object => Array<Curriculum::ItemResponse>}] oldest first
          # @param lessons [Array<Teaching::SchemeOfWork::GivenLesson>] oldest first
          # @param before [Hash{Object => Hash}] by child, what was known before each lesson (see {Knowing::Followed#before})
          # @return [Learning]
          def of(by_child, lessons, before)
            firsts = lessons.uniq(&:step).select { |lesson| Curriculum::KnowledgeComponents.of_step(lesson.step).one? }
            came = by_child.flat_map { |key, asked| seen_in(asked, firsts, lessons, before.fetch(key)) }
            CAME[:rounds].times.reduce(guessed) { |so_far, _| counted(came, so_far.chance) }
          end

          private

          def counted(came, chance)
            seen = came.map { |result| result.learned(chance) }
            ones = seen.sum(0.0, &:first)
            first = guessed
            new(ones: first.ones + ones, others: first.others + [seen.sum(0.0, &:last) - ones, 0.0].max).freeze
          end

          def seen_in(asked, firsts, lessons, before)
            days = Teaching::ChildProgress.by_step(asked)
            firsts.filter_map do |lesson|
              known, ready = before[[lesson.step, lesson.day]]
              came_of(days.fetch(lesson.step), lesson.day, following(lesson, lessons), known, ready) if known
            end
          end

          def following(lesson, lessons)
            lessons.find { |later| later.step == lesson.step && later.day > lesson.day }&.day || Float::INFINITY
          end

          # The answers of the first day after the lesson that has some.
          def came_of(given, from, until_day, known, ready)
            after = given.select { |answer| answer.day >= from && answer.day < until_day && answer.marked.telling? }
            first = after.select { |answer| answer.day == after.first.day }
            return if first.empty?

            rights = first.map { |answer| answer.marked.right? }
            Came.new(before: known, ready:, known: chance_of(rights, CAME[:known]), not_known: chance_of(rights, CAME[:not_known]))
          end

          def chance_of(rights, share) = rights.reduce(1.0) { |all, right| all * (right ? share : 1 - share) }
        end
      end
    end
  end
end
