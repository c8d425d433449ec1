# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # Finds out where a child is on the ladder in a few questions: each is the one that tells most of what the child knows, and it ends
      # when the highest step that it knows is found. Of a child who has answers already it asks what these leave open.
      class Baseline
        ROW = TABLE[:baseline].freeze
        # Of a time asked so, with one task for each way of answering.
        TASKS = { say: :dial_to_words, write: :dial_to_digital }.freeze

        # @!attribute step [Step] that the time is of
        # @!attribute task [Task]
        # @!attribute time [DialTime]
        Question = Struct.new(:step, :task, :time, keyword_init: true)

        class << self
          # @return [Array<Array(Step, Task)>] what can be asked
          def all = @all ||= rungs.product(TASKS.values.map { |id| Tasks::Task.find(id) }).each(&:freeze).freeze

          # @return [Array<Step>] those that bring a kind of times of their own at a whole dial, in order: one of these is found
          def rungs
            kinds = Curriculum::KnowledgeComponents.all
            @rungs ||= Curriculum::Step.with_times.select { |step| step.whole? && kinds.include?(step.id) }.freeze
          end

          # One page: what tells most of all children who could be in front of it, in the order of the ladder.
          # @param count [Integer] questions; each step is there once, where there is room
          # @param seed [Integer] of their times
          # @param tasks [Array<Task>] of {all}
          # @return [Array<Question>]
          def page(count:, seed:, tasks: all.map(&:last).uniq)
            like(((@pages ||= {})[[count, tasks]] ||= most_telling_page(count, tasks).freeze), Random.new(seed), but: [])
          end

          # @param page [Array<Question>]
          # @param but [Array<Array<Question>>] pages that are there already
          # @param random [Random]
          # @return [Array<Question>] as hard, with other times
          def like(page, random, but: [page])
            taken = but.flatten.map(&:time)
            page.reduce([]) do |so_far, question|
              times = times_of(question.step, question.task) - so_far.map(&:time)
              left = times - taken
              so_far + [Question.new(step: question.step, task: question.task, time: (left.empty? ? times : left).sample(random:))]
            end
          end

          # @param step [Step]
          # @param task [Task]
          # @return [Array<DialTime>] the step's own, both hands to be seen
          def times_of(step, task)
            (@times ||= {})[[step, task]] ||= step.pool_for(task).select do |time|
              Curriculum::KnowledgeComponents.of(task, time) == step.id && !time.hidden_hand?
            end.freeze
          end

          # The same is thought of again and again.
          # @param question [Question]
          # @param reading [DialTime] what a child says
          # @return [MarkedAnswer]
          def marked(question, reading)
            kept = ((@marked ||= {})[question.task] ||= {})[question.time] ||= {}
            kept[reading] ||= Marking::Marker.mark(task: question.task, time: question.time,
                                                   text: question.task.write(question.task.right_answer(reading)))
          end

          private

          # What is asked on a page does not depend on the times: so it is found once.
          def most_telling_page(count, tasks)
            random = Random.new(ROW[:drawn])
            drawn = Array.new(ROW[:drawn]) { new }
            count.times do
              question = most_telling(drawn, count - drawn.first.asked.length, tasks, random)
              drawn.each { |guesser| guesser.guess(question, random) }
            end
            drawn.first.asked.sort_by.with_index { |question, at| [rungs.index(question.step), at] }
          end

          def most_telling(drawn, room, tasks, random)
            steps = rungs - drawn.first.asked.map(&:step)
            steps = rungs if steps.length < room
            open = steps.product(tasks).shuffle(random:).filter_map { |step, task| drawn.first.question(step, task, random) }
            open.max_by { |question| drawn.sum { |guesser| guesser.bits(question) } }
          end
        end

        # @return [Belief]
        attr_reader :belief
        # @return [Array<Question>] asked so far
        attr_reader :asked

        # @param belief [Belief] of what is known of the child already
        # @param day [Integer]
        def initialize(belief = Belief.new, day: 0)
          @belief = belief.dup
          @day = day
          @asked = []
          @right = []
        end

        def initialize_copy(other)
          super
          @belief = @belief.dup
          @asked = @asked.dup
          @right = @right.dup
        end

        # @param random [Random]
        # @param but [Array<DialTime>] not to be asked now
        # @return [Question, nil] nothing where the place is found
        def next_question(random, but: [])
          return if over?

          open = Baseline.all.shuffle(random:).filter_map { |pair| question(*pair, random, but:) }
          hopeful = open.select { |question| belief.chance_of_right(question.task, question.time, @day) >= hope }
          (hopeful.empty? ? open : hopeful).max_by { |question| bits(question) }
        end

        # @param turn [Desk::Turn] that was asked
        # @param marked [MarkedAnswer] its answer at first try
        # @return [Baseline] after it
        def after(turn, marked)
          dup.tap { |later| later.answered(Question.new(step: turn.step, task: turn.task, time: turn.times.first), marked) }
        end

        # What can be asked while no answer comes back: what tells most by now, each on another step.
        # @param count [Integer]
        # @param but [Array<DialTime>] asked already
        # @param random [Random]
        # @return [Array<Question>]
        def ahead(count, but:, random:)
          open = Baseline.all.shuffle(random:).filter_map { |pair| question(*pair, random, but:) }
          open.sort_by { |question| -bits(question) }.uniq(&:step).first(count)
        end

        # @param question [Question]
        # @param marked [MarkedAnswer] its answer at first try
        def answered(question, marked)
          @asked << question
          @right << marked.read_right?
          belief.answered(marked, @day)
        end

        # @return [Boolean]
        def over? = asked.length >= ROW[:most] || (asked.length >= ROW[:least] && settled?)

        # @return [Step, nil] the highest from which a child goes on; nothing where it is none
        def place = Baseline.rungs.reverse.find { |step| known(step) >= TABLE[:states][:passed] }

        # @return [Boolean] whether at most one step is in doubt
        def settled? = Baseline.rungs.count { |step| known(step).between?(1 - ROW[:sure], ROW[:sure]) } <= ROW[:doubtful]

        # @param step [Step]
        # @return [Float] 0..1, that it is known in words and in digits, and no mistake is in the way
        def known(step) = Asking.wanted(step.id).map { |asking| belief.met(asking) * (1 - belief.hindered(asking)) }.min

        # @param step [Step] one of {rungs}
        # @param task [Task]
        # @param random [Random]
        # @param but [Array<DialTime>] not to be asked now
        # @return [Question, nil] with a time that was not asked yet
        def question(step, task, random, but: [])
          times = Baseline.times_of(step, task) - asked.map(&:time) - but
          times.any? ? Question.new(step:, task:, time: times.sample(random:)) : nil
        end

        # @param question [Question]
        # @return [Float] by how much its answer is expected to lower the doubt over all steps, in bits
        def bits(question)
          right = belief.chance_of_right(question.task, question.time, @day)
          doubt - (right * after_one(question, question.time).doubt) - ((1 - right) * after_one(question, away(question)).doubt)
        end

        # @return [Float] how much is not known of which steps the child knows, in bits
        def doubt
          shares = Baseline.rungs.flat_map { |step| known(step).then { |share| [share, 1 - share] } }
          shares.select(&:positive?).sum { |share| -share * Math.log2(share) }
        end

        # As if a child had answered it of whom this is known.
        # @param question [Question]
        # @param random [Random]
        def guess(question, random)
          right = random.rand < belief.chance_of_right(question.task, question.time, @day)
          answered(question, Baseline.marked(question, right ? question.time : away(question)))
        end

        private

        # Minutes on the dial to a time that no misreading tells of.
        AWAY = 137
        private_constant :AWAY

        def away(question) = Dial::DialTime.from_index(question.time.index + AWAY)

        def after_one(question, reading) = dup.tap { |later| later.answered(question, Baseline.marked(question, reading)) }

        # After two wrong ones comes something that is likely right.
        def hope = ROW[@right.last(2) == [false, false] ? :after_wrong : :hope]
      end
    end
  end
end
