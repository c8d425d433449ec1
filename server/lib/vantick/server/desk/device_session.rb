# frozen_string_literal: true

require "date"

module Vantick
  module Server
    module Desk
      # A child at a desk: what they are asked, and what becomes of their answers. Core chooses and marks; here it is kept.
      class DeviceSession
        # Kinds of desks at which all have the same tasks, in order; at an exit nothing is told before the end.
        FIXED = %w[stage exit].freeze
        SILENT = "exit"
        # Here each task is asked once, until the child's place on the ladder is found.
        BASELINE = "baseline"
        PRACTICE = "practice"
        # Tasks of a round where they are not given.
        MOST = { BASELINE => Core::Knowing::Baseline::ROW[:most], PRACTICE => Core::Desk::Round::TASKS }.freeze

        # What was made of an answer.
        # @!attribute marked [Array<Core::Marking::MarkedAnswer>] one for each item
        # @!attribute done [Boolean] whether the task is done
        # @!attribute turn [Hash]
        SubmissionResult = Struct.new(:marked, :done, :turn, keyword_init: true)

        # @return [Hash] the seat
        attr_reader :seat

        # @param seat [Hash]
        # @param store [Store::Database]
        # @param presence [DevicePresence]
        # @param now [Time]
        def initialize(seat, store:, presence:, now:)
          @seat = seat
          @store = store
          @turns = store.turns
          @presence = presence
          @now = now
          @knowledge = Knowledge.new(seat, store:, presence:) { [school_class, conventions] }
        end

        # @return [Core::Wording::Conventions]
        def conventions = @conventions ||= school_class.wording

        # @return [Hash] the class without its children
        def school_class = @school_class ||= @store.classes.plain(seat.class_id)

        # @return [Core::Teaching::Adjustments] of the child
        def adjustments = @knowledge.adjustments

        # @return [Boolean]
        def fixed? = FIXED.include?(seat.kind)

        # @return [Boolean] whether a child is told of each answer
        def feedback? = seat.kind != SILENT

        # @return [Integer]
        def done = @done ||= @turns.done(seat)

        # @return [Boolean]
        def baseline? = seat.kind == BASELINE

        # @return [Integer] tasks of this round, at most
        def length
          @length ||= MOST[seat.kind] || @store.checks.item_ids(seat.check_id, seat.child_id).length
          seat.kind == PRACTICE ? adjustments.tasks(@length) : @length
        end

        # @param done [Integer]
        # @return [Boolean]
        def over?(done = self.done)
          return done >= length if fixed?
          return @knowledge.learner.baseline.over? if baseline?

          # The minutes begin with the first task that is done: who waits for the others loses none of them.
          began = @turns.began(seat)
          Core::Desk::Round.over?(done:, seconds: began ? @now - Time.iso8601(began) : 0, adjustments:)
        end

        # Sees to it that there is something to do, and something ahead.
        # @return [Array<Hash>] open turns, the next first
        def prepare
          return [] unless goes_on?

          fill if lacking?
          open
        end

        # @param turn_id [Integer]
        # @param given [Array<Hash>] each with `id`, `item_id` and `answer`
        # @param late [Boolean] whether the child went on without being told
        # @return [SubmissionResult]
        # @raise [Store::Missing, Core::Error]
        def take(turn_id, given, late:)
          turn = open.find { |candidate| candidate.id == turn_id } || @turns.find(seat, turn_id)
          given = Submission.new(turn, given, turns: @turns, conventions: conventions.of_child(home: adjustments.home))
          return again(turn, given) if turn.tries.positive? && given.before?
          raise Store::Turns::Answered if turn.done_at

          taken(turn, given, given.marked, late)
        rescue Sequel::UniqueConstraintViolation
          raise Store::Answers::IdTaken
        end

        # A child who asks to be shown answers nothing: the task is done, and no mistake.
        # @param turn_id [Integer]
        # @return [SubmissionResult]
        # @raise [Store::Missing, Store::Turns::Answered, Core::Error]
        def show(turn_id)
          raise Core::Error.new("Do this one by yourself.", field: :turn_id) if fixed? || baseline?

          turn = open.find { |candidate| candidate.id == turn_id } || @turns.find(seat, turn_id)
          raise Store::Turns::Answered if turn.done_at

          @knowledge.shown(turn)
          finished(turn, [], done: true) { @turns.tried(turn, done: true, at:) }
        end

        # @return [Array<Core::Marking::MarkedAnswer>] first tries of this round
        def marks
          turns = @turns.of_round(seat)
          items = turns.flat_map(&:items).to_h { |item| [item.id, item] }
          @turns.answers(seat.child_id, items.keys).map do |row|
            Store::MarkedAnswers.from_row(row, conventions, items.fetch(row.item_id))
          end
        end

        # @return [DeviceSession] with another round begun
        def again_from_the_start
          step = @knowledge.learner.step.id.to_s
          @store.desks.next_round(seat.id, @now.iso8601, step:)
          @knowledge.forget
          again = seat.with(round: seat.round + 1, round_began_at: @now.iso8601, step:)
          DeviceSession.new(again, store: @store, presence: @presence, now: @now)
        end

        private

        def at = @now.iso8601

        # Whether there is no second try.
        def once? = !feedback? || baseline?

        # The same answer once more changes nothing; what was made of it is told again.
        def again(turn, given) = SubmissionResult.new(marked: given.marked, done: !turn.done_at.nil?, turn:)

        def taken(turn, given, marked, late)
          done = late || once? || turn.tries.positive? || marked.all?(&:right?)
          # Before it is stored: what is known is worked out from what is stored, and what comes next from what is known.
          @knowledge.learn(turn, marked) if turn.tries.zero? && !fixed?
          finished(turn, marked, done:) { keep(turn, given, marked, done) }
        end

        # In the same breath: what comes next is there when the answer is acknowledged.
        # @yield to store what came
        def finished(turn, marked, done:)
          left = left(turn, done)
          chosen = done ? choose(left, turn) : []
          @turns.transaction do
            yield
            @open = queue.practice(left, chosen)
          end
          @knowledge.keep
          @done = nil
          SubmissionResult.new(marked:, done:, turn:)
        rescue StandardError
          @knowledge.forget
          raise
        end

        def choose(left, turn)
          far = done + (turn.round == seat.round ? 1 : 0)
          fixed? || !seat.open || over?(far) ? [] : queue.chosen(left, seed(far))
        end

        def keep(turn, given, marked, done)
          kept = given.rows(seat.child_id)
          @turns.tried(turn, done:, at:)
          turn.tries.zero? ? add_first(kept, marked) : kept.zip(marked) { |row, mark| @turns.add_try(row, mark, answered_at: at) }
        end

        # What was open before the answer came, brought up to it.
        def left(turn, done)
          open.filter_map { |held| held.id == turn.id ? (held.with(tries: held.tries + 1) unless done) : held }
        end

        # An item of an exit may have been answered on paper before.
        def add_first(rows, marked)
          rows.zip(marked) do |row, mark|
            fixed? ? @store.answers.add(row, mark, answered_at: at) : @store.answers.add_first(row, mark, answered_at: at)
          end
        end

        def goes_on? = seat.open && !over?

        def open = @open ||= @turns.open(seat)

        # One to do, and some ahead; at a fixed desk all at once.
        def lacking? = fixed? ? open.length + done < length : TaskQueue.lacking?(open)

        def fill
          chosen = fixed? ? [] : queue.chosen(open, seed(done))
          @turns.transaction { @open = fixed? ? queue.assigned(open) : queue.practice(open, chosen) }
        end

        def queue = @queue ||= TaskQueue.new(seat, store: @store, knowledge: @knowledge, at:)

        # Another for each child and each task, and the same if asked again.
        def seed(done) = (seat.id * 1009) + (seat.round * 101) + done
      end
    end
  end
end
