# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # Chooses what a child is asked next: what would help most where a misreading is likely, else what would tell most, a known
      # one now and then; never the same time twice running.
      class TaskSelector
        # Every so many turns something known comes, so that it stays known and the child sees what they can do (judgement).
        KNOWN_EVERY = 4
        # Times that are compared for what they tell, drawn by lot from the step's (judgement: the best of so many is near the best).
        COMPARED = 10
        # Below this fall of doubt, in bits, an answer tells next to nothing: then it is practice (judgement).
        TELLING_BITS = 0.08
        # Times not asked again at once, where a round has more tasks than there are times (judgement).
        APART = 6
        # Clocks and cards to match at a time (judgement: as many as stand side by side on a phone).
        PAIRS = 4
        # Sets of cards drawn by lot, of which one without the last time is taken.
        TRIED = 4
        # Ways of asking that everybody begins with.
        EASIER = %i[dial_to_words digital_to_dial dial_to_digital].freeze

        # @param learner [Learner]
        # @param seed [Integer]
        # @param beside [Array<DialTime, DayTime>] times that are held ready for later, and may come right after this one
        # @return [Turn]
        def self.for(learner, seed:, beside: [])
          random = Random.new(seed)
          return placing(learner.baseline.next_question(random, but: beside)) if learner.baseline

          Variants.varied(Beginning.supported(new(learner, random, beside).turn, learner, random), learner)
        end

        # What can be asked ahead, for when the network is away: practice that needs no answer to be chosen.
        # @param learner [Learner]
        # @param count [Integer]
        # @param seed [Integer]
        # @return [Array<Turn>] no time twice
        def self.ahead(learner, count:, seed:)
          random = Random.new(seed)
          return learner.baseline.ahead(count, but: learner.times, random:).map { |question| placing(question) } if learner.baseline

          (1..count).reduce([[], learner]) do |(turns, so_far), _|
            turn = new(so_far, random).practice
            [turns + [turn], so_far.with_turn(turn)]
          end.first
        end

        def self.placing(question)
          question && Turn.new(step: question.step, task: question.task, times: [question.time], reason: :tells)
        end
        private_class_method :placing

        # @param learner [Learner]
        # @param random [Random]
        # @param beside [Array<DialTime, DayTime>] times that are held ready for later
        def initialize(learner, random, beside = [])
          @learner = learner
          @beside = beside
          @step = learner.step
          @random = random
        end

        # @return [Turn]
        def turn
          return easier || known || telling if @learner.stuck?
          return known || telling if (@learner.turns.length % KNOWN_EVERY) == KNOWN_EVERY - 1

          helping || telling
        end

        # @return [Turn] the next task in turn, with a time not asked yet
        def practice = of_task(following, :practises) { |times| unmet(times) }

        private

        # The task asked least in this sitting, the first in order among equals; not the same again where there are others.
        def following(among = @learner.ways(@step))
          asked = @learner.turns.map(&:task).tally
          tasks = among.map(&:task)
          others = tasks - [@learner.turns.last&.task]
          (others.empty? ? tasks : others).min_by.with_index { |task, place| [asked.fetch(task, 0), place] }
        end

        # For halves of the day the class's own day as well.
        def pool(task) = task.asks == :day ? @learner.day_times | @step.pool_for(task) : @step.pool_for(task)

        def recent = @beside + @learner.times

        # Not asked just now; where that leaves nothing, at least not the last one.
        def fresh(times)
          [recent, recent.last(APART), recent.last(1)].map { |asked| times - asked }.find(&:any?) || []
        end

        # The class's own times first, then those not met yet.
        def unmet(times)
          fresh = fresh(times)
          left = fresh - @learner.answers.map(&:time)
          [left & @learner.day_times, left, fresh].find(&:any?).sample(random: @random)
        end

        # For a child who is ground down; not in the way that was asked just now.
        def easier
          step = @learner.easier_than(@step) or return
          ways = @learner.ways(step)
          task = following(ways.select { |way| EASIER.include?(way.task.id) }.then { |easy| easy.empty? ? ways : easy })
          times = fresh(shown(step.pool_for(task)))
          Turn.new(step:, task:, times: [easy(times)], reason: :known) if times.any?
        end

        def known
          tasks = single.map(&:task) - thrice
          # In the first round none twice; who goes on longer meets what went well again.
          lately = @learner.turns.length < Round::TASKS ? recent : recent.last(APART)
          task, time = @learner.known.find { |asked, at| tasks.include?(asked) && !lately.include?(at) }
          time && Turn.new(step: holding(task, time), task:, times: [time], reason: :known)
        end

        # Never three alike one after the other.
        def thrice = @learner.turns.last(2).map(&:task).then { |last| last.length == 2 && last.uniq.one? ? last.uniq : [] }

        # Those whose one time is all there is to choose.
        def single?(task) = !%i[match spot_mistake].include?(task.id)
        def single = @learner.ways(@step).select { |way| single?(way.task) }

        # A known time of a step below stays with the step that is practised: it is not this that it tells of.
        def holding(task, time)
          pool(task).include?(time) || Curriculum::Step.home(task) ? @step : Curriculum::Step.holding([time], task) || @step
        end

        # Not twice running: help needs something else between.
        def helping
          against = @learner.belief.likely.first
          return if against.nil? || @learner.turns.last&.reason == :helps

          fitting = single.select { |way| against.shows_in?(way.task) }
          fitting.empty? ? nil : helping_with(following(fitting), against)
        end

        def helping_with(task, against)
          times = fresh(shown(pool(task)).select { |time| against.chance?(time, task) })
          Turn.new(step: @step, task:, times: [easy(times)], reason: :helps, against:) if times.any?
        end

        # One of the easier half, not always the same.
        def easy(times)
          times.sort_by do |time|
            Curriculum::Difficulty.of(time.dial_time)
          end.first((times.length / 2.0).ceil).sample(random: @random)
        end

        def telling
          task = following
          return practice unless single?(task)

          times = fresh(shown(pool(task))).sample(COMPARED, random: @random)
          shares = @learner.belief.states.select { |_, share| share >= Judging::ItemSelection::SEEN_FROM }
          bits, time = times.map { |candidate| [Judging::ItemSelection.expected_fall(shares, candidate, task), candidate] }.max_by(&:first)
          return practice if bits.nil? || bits < TELLING_BITS

          Turn.new(step: @step, task:, times: [time], reason: :tells)
        end

        # Where no hand hides the other, unless all do.
        def shown(times)
          left = times.reject(&:hidden_hand?)
          left.empty? ? times : left
        end

        def of_task(task, reason)
          case task.id
          when :match then pairs(task, reason)
          when :spot_mistake then mistake(task, reason)
          else Turn.new(step: @step, task:, times: [yield(shown(pool(task)))], reason:)
          end
        end

        def pairs(task, reason)
          count = [PAIRS, shown(@step.pool).length].min
          tries = Array.new(TRIED) { Choosing::MatchCards.choose(step: @step, count:, seed: @random.rand(2**31)) }
          Turn.new(step: @step, task:, times: tries.min_by { |times| (times & recent.last(1)).length }, reason:)
        end

        # Of the child's own likely misreading, where that can be heard.
        def mistake(task, reason)
          own = @learner.belief.likely & @step.misreadings(Tasks::Task.find(:dial_to_words))
          choice = Choosing::Mistakes.choose(step: @step, count: 2, seed: @random.rand(2**31), misreadings: own)
          found = choice.find { |mistake| !recent.include?(mistake.time) }
          return of_task(Tasks::Task.find(:dial_to_words), reason) { |times| unmet(times) } unless found

          Turn.new(step: @step, task:, times: [found.time], reason:, said: found.said, mistake: found.misreading)
        end
      end
    end
  end
end
