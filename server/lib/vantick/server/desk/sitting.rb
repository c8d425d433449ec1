# frozen_string_literal: true

require "date"

module Vantick
  module Server
    module Desk
      # A child at a desk: what they are asked, and what becomes of their answers. Core chooses and marks; here it is kept.
      class Sitting
        # Tasks that a device holds for when the network is away (judgement).
        AHEAD = 4
        # Kinds of desks at which all have the same tasks, in order; at an exit nothing is told before the end.
        FIXED = %w[stage exit].freeze
        SILENT = "exit"

        # What was made of an answer.
        # @!attribute marked [Array<Core::Marked>] one for each item
        # @!attribute done [Boolean] whether the task is done
        # @!attribute turn [Hash]
        Taken = Struct.new(:marked, :done, :turn, keyword_init: true)

        # @return [Hash] the seat
        attr_reader :seat

        # @param seat [Hash]
        # @param store [Store::Database]
        # @param room [Room]
        # @param now [Time]
        def initialize(seat, store:, room:, now:)
          @seat = seat
          @store = store
          @turns = store.turns
          @room = room
          @now = now
        end

        # @return [Core::Conventions]
        def conventions = @conventions ||= Core::Conventions.new(**school_class[:conventions])

        # @return [Hash] the class without its children
        def school_class = @school_class ||= @store.classes.plain(seat[:class_id])

        # @return [Boolean]
        def fixed? = FIXED.include?(seat[:kind])

        # @return [Boolean] whether a child is told of each answer
        def told? = seat[:kind] != SILENT

        # @return [Integer]
        def done = @done ||= @turns.done(seat)

        # @return [Integer] tasks of this round
        def length = @length ||= fixed? ? @store.checks.item_ids(seat[:check_id], seat[:child_id]).length : Core::Round::TASKS

        # @return [Boolean]
        def over?
          return done >= length if fixed?

          Core::Round.over?(done:, seconds: @now - Time.iso8601(seat[:round_began_at]))
        end

        # Sees to it that there is something to do, and something ahead.
        # @return [Array<Hash>] open turns, the next first
        def prepare
          return [] unless goes_on?

          @turns.transaction { fill } if lacking?
          open
        end

        # @param turn_id [Integer]
        # @param given [Array<Hash>] each with `id`, `item_id` and `answer`
        # @param late [Boolean] whether the child went on without being told
        # @return [Taken]
        # @raise [Store::Missing, Core::Error]
        def take(turn_id, given, late:)
          turn = open.find { |one| one[:id] == turn_id } || @turns.find(seat, turn_id)
          check_items(turn, given)
          return again(turn, given) if turn[:tries].positive? && sent_before?(given)
          raise Store::Turns::Answered if turn[:done_at]

          marked = mark(turn, given)
          done = late || !told? || turn[:tries].positive? || marked.all?(&:right?)
          @turns.transaction { keep(turn, given, marked, done) }
          Taken.new(marked:, done:, turn:)
        rescue Sequel::UniqueConstraintViolation
          raise Store::Answers::IdTaken
        end

        # @return [Array<Core::Marked>] first tries of this round
        def marks
          turns = @turns.of_round(seat)
          items = turns.flat_map { |turn| turn[:items] }.to_h { |item| [item[:id], item] }
          @turns.answers(seat[:child_id], items.keys).map do |row|
            Api::Marks.asked({ **row, **items.fetch(row[:item_id]).slice(:task, :time), misreadings: row[:misreadings].split }, conventions)
          end
        end

        # @return [Sitting] with another round begun
        def again_from_the_start
          @store.desks.next_round(seat[:id], @now.iso8601)
          @room.forget(seat)
          Sitting.new({ **seat, round: seat[:round] + 1, round_began_at: @now.iso8601 }, store: @store, room: @room, now: @now)
        end

        private

        def at = @now.iso8601

        def check_items(turn, given)
          wanted = turn[:item_ids].sort
          return if given.map { |one| one[:item_id] }.sort == wanted

          raise Core::Error.new("These answers are not to this task.", field: :answers)
        end

        def sent_before?(given)
          known = @turns.known(given.map { |one| one[:id] })
          raise Store::Answers::IdTaken if given.any? { |one| known.fetch(one[:id], one[:item_id]) != one[:item_id] }

          known.any?
        end

        # The same answer once more changes nothing; what was made of it is told again.
        def again(turn, given) = Taken.new(marked: mark(turn, given), done: !turn[:done_at].nil?, turn:)

        def mark(turn, given)
          answers = given.to_h { |one| [one[:item_id], one[:answer]] }
          turn[:items].map do |item|
            task = Core::Task.find(item[:task])
            Core::Marker.mark(task:, time: task.parse_time(item[:time]), text: answers.fetch(item[:id]), said: item[:said], conventions:)
          end
        end

        def keep(turn, given, marked, done)
          rows = given.to_h { |one| [one[:item_id], { uuid: one[:id], **one.slice(:item_id, :answer), child_id: seat[:child_id] }] }
          kept = turn[:items].map { |item| rows.fetch(item[:id]) }
          @turns.tried(turn, done:, at:)
          turn[:tries].zero? ? add_first(kept, marked) : kept.zip(marked) { |row, one| @turns.add_try(row, one, answered_at: at) }
          learn(turn, marked) if turn[:tries].zero? && !fixed?
          move(turn, done)
          fill if done && goes_on? && lacking?
        end

        # What was read before the answer came, brought up to it.
        def move(turn, done)
          @done = nil
          @open = open.filter_map { |one| one[:id] == turn[:id] ? ({ **one, tries: one[:tries] + 1 } unless done) : one }
        end

        # An item of an exit may have been answered on paper before.
        def add_first(rows, marked)
          rows.zip(marked) do |row, one|
            fixed? ? @store.answers.add(row, one, answered_at: at) : @store.answers.add_first(row, one, answered_at: at)
          end
        end

        def learn(turn, marked)
          @room.keep(seat, learner.asked(core_turn(turn)).after(marked))
        end

        def core_turn(turn)
          task = Core::Task.find(turn[:task])
          times = turn[:items].map { |item| task.parse_time(item[:time]) }
          Core::Turn.new(step: Core::Step.find(turn[:step]), task:, times:, reason: turn[:reason].to_sym)
        end

        def learner
          @room.learner(seat) do
            step = Core::Step.find(seat[:step])
            answers = @store.answers.of_child(seat[:child_id]).map { |answer| Api::Marks.asked(answer, conventions) }
            turns = @turns.of_round(seat).reject { |turn| turn[:done_at].nil? }.map { |turn| core_turn(turn) }
            Core::Learner.new(step:, answers:, turns:, day_times: Core::DayPlace.times(school_class[:day]))
          end
        end

        def goes_on? = seat[:open] && !over?

        def open = @open ||= @turns.open(seat)

        def ahead = open.select { |turn| turn[:ahead] == 1 }

        # One to do, and some ahead; at a fixed desk all at once.
        def lacking? = fixed? ? open.length + done < length : open.length == ahead.length || ahead.length < AHEAD

        def fill
          return put_all if fixed?

          ready = ahead
          now = open - ready
          now = [add(Core::NextTurn.for(learner, seed:, beside: times(ready)), ahead: false)] if now.empty?
          @open = now + ready + more(now + ready, AHEAD - ready.length)
        end

        # Chosen as if all that is open had been asked already.
        def more(open, count)
          return [] unless count.positive?

          after = open.reduce(learner) { |so_far, turn| so_far.asked(core_turn(turn)) }
          Core::NextTurn.ahead(after, count:, seed: seed + 1).map { |turn| add(turn, ahead: true) }
        end

        def times(turns) = turns.flat_map { |turn| core_turn(turn).times }

        def add(turn, ahead:) = @turns.add(seat, turn, ahead:, at:)

        # Another for each child and each task, and the same if asked again.
        def seed = (seat[:id] * 1009) + (seat[:round] * 101) + done

        def put_all
          there = @turns.of_round(seat).flat_map { |turn| turn[:item_ids] }
          check = @store.checks.find(seat[:check_id])
          mine = check[:items].select { |item| [nil, seat[:child_id]].include?(item[:child_id]) && !there.include?(item[:id]) }
          @open = open + mine.map { |item| put(item) }
        end

        def put(item)
          task = Core::Task.find(item[:task])
          turn = Core::Turn.new(step: Core::Step.find(item[:step]), task:, times: [task.parse_time(item[:time])], reason: :given)
          @turns.put(seat, turn, items: [item], ahead: false, at:)
        end
      end
    end
  end
end
