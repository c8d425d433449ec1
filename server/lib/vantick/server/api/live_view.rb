# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # Who is at a desk, where each child is, and what they answered, as it happens.
      class LiveView
        # Seconds after which a device that is not heard of is away (judgement: it is heard of every ten).
        AWAY = 25
        # Answers shown of each child, the newest ones.
        SHOWN = 10
        ABSENT = { joined: false, here: false, round: 0, step: nil, done: 0, asked: nil, stuck: nil }.freeze

        # @param desk [Hash]
        # @param store [Store::Database]
        # @param room [Server::Desk::Room]
        # @param now [Time]
        def initialize(desk, store, room, now)
          @desk = desk
          @store = store
          @room = room
          @now = now
          @class = store.classes.find(desk[:class_id])
          @conventions = Core::Conventions.new(**@class[:conventions])
        end

        # @param described [Hash] the desk as the contract describes it
        # @return [Hash]
        def to_h(described)
          @open = described[:open]
          turns = @store.turns.at_desk(@desk)
          answers = answers(turns)
          seats = @store.desks.seats(@desk[:id]).to_h { |seat| [seat[:child_id], seat] }
          children = @class[:children].select { |child| @desk[:child_ids].nil? || @desk[:child_ids].include?(child[:id]) }
          { desk: described, children: children.map do |child|
            id = child[:id]
            child(child, seats[id], turns.fetch(id, []), answers.fetch(id, []))
          end }
        end

        private

        # First tries with what came after, by child.
        def answers(turns)
          ids = turns.values.flatten.flat_map { |turn| turn[:item_ids] }
          @items = @store.turns.items(ids)
          @store.answers.at_items(ids).group_by { |row| row[:child_id] }
        end

        def child(child, seat, turns, answers)
          mine = answers.map { |row| answer(row, turns) }
          told = { child_id: child[:id], name: child[:name], right: mine.count do |one|
            one[:right]
          end, given: mine.length, answers: mine.last(SHOWN) }
          { **told, **(seat ? sitting(seat, turns.select { |turn| turn[:round] == seat[:round] }, mine) : ABSENT) }
        end

        def sitting(seat, round, answers)
          # Once it is closed, nobody is asked anything and nobody waits for help.
          open = @open && round.find { |turn| turn[:done_at].nil? && turn[:ahead].zero? }
          here, quiet = presence(seat)
          { joined: true, here:, **seat.slice(:round, :step), done: round.count { |turn| turn[:done_at] }, asked: open ? asked(open) : nil,
            stuck: here && open ? Core::Stuck.why(firsts(round, answers), seconds: quiet) : nil }
        end

        # Whether the device is there, and seconds since the child did something.
        def presence(seat)
          heard, did = @room.seen(seat)
          return [false, 0] unless heard

          [@now - heard <= AWAY, @now - did]
        end

        def asked(turn)
          item = @items.fetch(turn[:item_ids].first)
          { **turn.slice(:task, :reason, :against), time: dial(turn[:task], item[:time]), second: turn[:tries].positive? }
        end

        def dial(task, text)
          time = Core::Task.find(task).parse_time(text)
          (time.is_a?(Core::DayTime) ? time.dial_time : time).to_s
        end

        def firsts(round, answers)
          right = answers.to_h { |one| [one[:item_id], one[:right]] }
          round.select { |turn| turn[:tries].positive? }.map { |turn| turn[:item_ids].all? { |id| right[id] } }
        end

        def answer(row, turns)
          turn = turns.find { |one| one[:item_ids].include?(row[:item_id]) }
          time = @items.fetch(row[:item_id])[:time]
          marked = Marks.asked({ **row, task: turn[:task], time:, misreadings: row[:misreadings].split }, @conventions)
          { item_id: row[:item_id], task: turn[:task], time: dial(turn[:task], time), answer: row[:answer],
            read_as: row[:read_as], hands: hands(row[:answer]), verdict: row[:verdict], misreadings: row[:misreadings].split,
            right: marked.right?, second: row[:second] }
        end

        def hands(text)
          set = Core::HandsReader.read(text)
          set && { hour_hand_degrees: set.hour_degrees, minute_hand_degrees: set.minute_degrees }
        end
      end
    end
  end
end
