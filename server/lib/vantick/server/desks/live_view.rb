# frozen_string_literal: true

module Vantick
  module Server
    module Desks
      # Who is at a desk, where each child is, and what they answered, as it happens.
      class LiveView
        # Seconds after which a device that is not heard of is away (judgement: it is heard of every ten).
        AWAY = 25
        # Answers shown of each child, the newest ones.
        SHOWN = 10
        ABSENT = { joined: false, here: false, round: 0, step: nil, done: 0, asked: nil, stuck: nil, place: nil }.freeze

        # @param desk [Hash]
        # @param store [Store::Database]
        # @param presence [Access::DevicePresence]
        # @param now [Time]
        def initialize(desk, store, presence, now)
          @desk = desk
          @store = store
          @presence = presence
          @now = now
          @class = store.classes.find(desk.class_id)
          @conventions = @class.wording
        end

        # @param described [Hash] the desk as the contract describes it
        # @return [Hash]
        def to_h(described)
          @open = described[:open]
          look
          children = @class.children.select { |child| @desk.child_ids.nil? || @desk.child_ids.include?(child[:id]) }
          { desk: described, children: children.map { |child| child(child) } }
        end

        private

        # No more than what is shown: the round that each child is in, their last answers, and how many of each verdict.
        def look
          @seats = @store.desks.seats(@desk, @now).to_h { |seat| [seat.child_id, seat] }
          @rounds = @store.turns.of_rounds(@desk)
          @answers = @store.answers.last_of_each(@desk.check_id, SHOWN)
          @tallies = @store.answers.tally(@desk.check_id)
          look_at_rounds(@rounds.values)
        end

        def look_at_rounds(rounds)
          @items = @store.turns.items(rounds.filter_map { |round| open_turn(round)&.item_ids&.first })
          @verdicts = @store.answers.verdicts(rounds.flat_map { |round| tried(round).flat_map(&:item_ids) })
        end

        def open_turn(round) = round.find { |turn| turn.done_at.nil? && turn.ahead.zero? }

        # Those that say whether a child is stuck.
        def tried(round) = round.select { |turn| turn.tries.positive? }.last(Core::Desk::Stuck::RUNNING)

        def child(child)
          id = child.id
          tally = @tallies.fetch(id, {})
          right = tally.sum { |verdict, count| right?(verdict) ? count : 0 }
          { child_id: id, name: child.name, right:, given: tally.values.sum, answers: @answers.fetch(id, []).map { |row| answer(row) },
            wrong_tries: @presence.wrong_tries(id), lost: @presence.lost_answers({ desk_id: @desk.id, child_id: id }),
            **progress_of(child) }
        end

        def right?(verdict)
          Core::Marking::MarkedAnswer::RIGHT.include?(verdict.to_sym) && @conventions.accepts?(verdict.to_sym)
        end

        def progress_of(child)
          seat = @seats[child.id] or return ABSENT
          round = @rounds.fetch(child.id, [])
          # Once it is closed, nobody is asked anything and nobody waits for help.
          open = @open ? open_turn(round) : nil
          here, quiet = presence(seat)
          { joined: true, here:, **seat.slice(:round, :step), done: round.count(&:done_at),
            asked: open ? current_question(open) : nil,
            stuck: here && open ? Core::Desk::Stuck.why(firsts(round, child.id), seconds: quiet) : nil, place: place(seat, open) }
        end

        # Once it is found: the step up to which the child knows all, or that there is none.
        def place(seat, open)
          return if open || seat.kind != Desk::DeviceSession::BASELINE || @tallies.fetch(seat.child_id, {}).empty?

          knowledge = Desk::Knowledge.new(seat, store: @store, presence: @presence) { [@class, @conventions] }
          baseline = knowledge.learner.baseline
          { step: baseline.place&.id } if baseline.over?
        end

        # Whether the device is there, and seconds since the child did something.
        def presence(seat)
          heard, did = @presence.seen(seat)
          return [false, 0] unless heard

          [@now - heard <= AWAY, @now - did]
        end

        def current_question(turn)
          item = @items.fetch(turn.item_ids.first)
          { **turn.slice(:task, :reason, :against), time: dial(turn.task, item.time), second: turn.tries.positive? }
        end

        def dial(task, text)
          Core::Tasks::Task.find(task).parse_time(text).dial_time.to_s
        end

        def firsts(round, child_id)
          tried(round).map { |turn| turn.item_ids.all? { |id| right?(@verdicts.fetch([id, child_id], "blank")) } }
        end

        def answer(row)
          { item_id: row.item_id, task: row.task, time: dial(row.task, row.time), answer: row.answer,
            read_as: row.read_as, hands: hands(row.answer), verdict: row.verdict,
            misreadings: Store::MarkedAnswers.causes(row.misreadings), right: right?(row.verdict), second: row.second }
        end

        def hands(text)
          set = Core::Wording::HandsReader.read(text)
          set && { hour_hand_degrees: set.hour_degrees, minute_hand_degrees: set.minute_degrees }
        end
      end
    end
  end
end
