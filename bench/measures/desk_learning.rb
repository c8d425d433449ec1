# frozen_string_literal: true

require_relative "../children/history"

module Bench
  # What children of every family learn at devices, who learn by being asked: ten rounds after some lessons, each on another day. The step
  # moves and help is on the clock; beside it the same rounds on the step of the first one, without help.
  class DeskLearning < Family
    ROUNDS = Sizes[:desk_rounds]
    LESSONS = 10
    DAYS = 2
    READ = Vantick::Core

    # One child's rounds.
    class Rounds
      attr_reader :asked, :right, :day

      def initialize(child, answers, lessons, from, moving:)
        @child = child
        @answers = answers.dup
        @lessons = lessons
        @day = from
        @moving = moving
        @asked = 0
        @right = 0
      end

      def run
        ROUNDS.times do |round|
          @day += DAYS
          one_round(round)
        end
        self
      end

      private

      def one_round(round)
        learner = learner()
        READ::Desk::Round::TASKS.times do |at|
          turn = READ::Desk::TaskSelector.for(learner, seed: (round * 100) + at)
          learner = learner.with_turn(turn).after(turn.times.map { |time| answered(turn, time, at) })
        end
      end

      def learner
        own = READ::Teaching::ChildProgress.new(@answers, lessons: @lessons, today: @day)
        step = @step || own.next_step || READ::Curriculum::Step.hardest
        @step = step unless @moving
        ceiling = READ::Curriculum::Step.above([step, *@lessons.map(&:step)]) if @moving
        READ::Desk::Learner.new(step:, answers: @answers.map(&:marked), belief: own.diagnosis, review_due: own.review_due, ceiling:,
                                states: @moving ? own.states : {})
      end

      def answered(turn, time, place)
        kind = READ::Curriculum::KnowledgeComponents.of(turn.task, time)
        marked = READ::Marking::Marker.mark(task: turn.task, time:, text: text(turn, time, kind, place), said: turn.said)
        @child.practice(kind, @day)
        @asked += 1
        @right += 1 if marked.read_right?
        @answers << READ::Curriculum::ItemResponse.new(step: turn.step, marked:, day: @day, device: true, helped: turn.helped)
        marked
      end

      # Who knows a time hears what is wrong with what somebody said.
      def text(turn, time, kind, place)
        return found(turn, time, turn.task.write(@child.answer(kind, time, turn.task, @day, place)), place) unless turn.said

        @child.knows?(kind, @day) ? "#{turn.mistake.id}; #{READ::Wording::Phrase.usual(time)}" : "?"
      end

      # Whoever does not see their own answer among some takes any.
      def found(turn, time, own, place)
        return own unless READ::Desk::Variants::EASIER.value?(turn.variant)

        offered = READ::Desk::Variants.offered(turn.task, time, against: turn.against, seed: place).map { |one| turn.task.write(one) }
        offered.include?(own) ? own : offered[(time.index + place) % offered.length]
      end
    end

    def classes(seed)
      makes = Children::FAMILIES.keys.first(Sizes[:families]).product(Children::CLASSES.first(Sizes[:classes_of_children]))
      count = Sizes[:children_of_each]
      makes.to_h { |family, kind| [[family, kind], Children::History.new(family, kind, seed, count:).run(LESSONS)] }
    end

    # @return [Hash{Array => Array}] by make, what is known at the end, and the share of tasks that went right
    def taken(seed, moving:)
      (@taken ||= {})[[seed, moving]] ||= classes(seed).transform_values do |history|
        rounds = history.answers.map do |child, answers|
          [child, Rounds.new(child, answers, history.lessons, history.day, moving:).run]
        end
        right, asked = %i[right asked].map { |name| rounds.sum { |_, one| one.public_send(name) } }
        [mean(rounds.map { |child, one| known(child, one.day) }), right / asked.to_f]
      end
    end

    def known(child, day)
      kinds = READ::Curriculum::KnowledgeComponents.all
      kinds.count { |kind| child.knows?(kind, day) } / kinds.length.to_f
    end

    def by_family(taken, &) = taken.group_by { |(family, _), _| family }.transform_values { |all| mean(all.map(&:last).map(&)) }

    measure(:desk_learning, "known after ten rounds of ten tasks, over rounds that stay on one step without help, mean of families",
            ">= 1.15") do |seed|
      moving, still = [true, false].map { |one| by_family(taken(seed, moving: one), &:first) }
      found = moving.to_h { |family, share| [family.to_s, share / still.fetch(family)] }
      Taken.new(mean(found.values), { **found, "worst" => found.values.min })
    end

    measure(:desk_within_reach, "tasks that go right at first try, mean of families", "0.60 to 0.85") do |seed|
      all = taken(seed, moving: true)
      found = by_family(all, &:last)
      kinds = all.group_by { |(_, kind), _| kind.to_s }.transform_values { |some| mean(some.map { |_, one| one.last }) }
      Taken.new(mean(found.values), { **found.transform_keys(&:to_s), **kinds })
    end
  end
end
