# frozen_string_literal: true

module Vantick
  module Server
    module Desk
      # A child's desk as the contract describes it: what is asked, with everything that the device needs to draw it.
      class DeskView
        BOTH = %i[hour_hand_degrees minute_hand_degrees].freeze
        # The hands that are on what a child looks at; on words, digits and numerals there are none.
        HANDS_SEEN = { dial: BOTH, dials_and_cards: BOTH, dial_and_words: BOTH, bare_dial: BOTH,
                       hour_hand: %i[hour_hand_degrees], minute_hand: %i[minute_hand_degrees] }.freeze

        # @param sitting [Desk::Sitting]
        def initialize(sitting)
          @sitting = sitting
          @conventions = sitting.conventions
        end

        # @param child [Hash]
        # @return [Hash]
        def state(child)
          open = @sitting.prepare
          { child: child.slice(:id, :name), kind: @sitting.seat[:kind], told: @sitting.told?, adjustments:, **going_on(open) }
        end

        # @param open [Array<Hash>] turns that are not done
        # @param held [Array<Integer>] turns that the device has kept ahead and need not be sent again
        # @return [Hash] what comes next, what is kept ahead, and how it ended
        def going_on(open, held: [])
          over = @sitting.over?
          now, ahead = open.partition { |turn| turn[:ahead].zero? }
          ahead = now.drop(1) if @sitting.fixed?
          { open: @sitting.seat[:open], round: round(over), turn: now.first && turn(now.first),
            ahead_ids: ahead.map { |one| one[:id] }, ahead: ahead.reject { |one| held.include?(one[:id]) }.map { |one| turn(one) },
            end: over || !@sitting.seat[:open] ? end_of : nil }
        end

        # @param taken [Desk::Sitting::Taken]
        # @return [Hash]
        def taken(taken)
          { turn_id: taken.turn[:id], done: taken.done, results: results(taken), sentence: sentence(taken), help: help(taken) }
        end

        # @param taken [Desk::Sitting::Taken] of a task that the child asked to be shown
        # @return [Hash]
        def helped(taken)
          { turn_id: taken.turn[:id], done: true, results: [], sentence: "", help: steps_of(taken.turn[:items].first) }
        end

        private

        # What a device does otherwise for this child.
        def adjustments
          %i[voice larger unhurried buttons left_handed calm].to_h { |id| [id, @sitting.adjustments.on?(id)] }
        end

        def round(over) = { number: @sitting.seat[:round], done: @sitting.done, of: @sitting.length, over: }

        def end_of
          said = Core::Desk::Round.end_of(@sitting.marks, @conventions)
          { well: said.well, watch: @sitting.told? ? said.watch : nil }
        end

        def results(taken)
          taken.turn[:items].zip(taken.marked).map do |item, marked|
            { item_id: item[:id], right: @sitting.told? ? marked.right? : nil, verdict: @sitting.told? ? marked.verdict : nil }
          end
        end

        def sentence(taken)
          return Core::Desk::Feedback::WORDS[:kept] unless @sitting.told?

          Core::Desk::Feedback.of_turn(taken.marked, @conventions, home: @sitting.adjustments.home)
        end

        # After the second try, of the first that was wrong.
        def help(taken)
          return if !taken.done || !@sitting.told? || taken.marked.all?(&:right?) || taken.turn[:tries].zero?

          steps_of(taken.turn[:items].zip(taken.marked).find { |_, marked| !marked.right? }.first)
        end

        def steps_of(item)
          task = Core::Marking::Task.find(item[:task])
          time = task.parse_time(item[:time])
          mistake = item[:misreading] && Core::Reading::Misreading.find(item[:misreading])
          { item_id: item[:id], **hands(time), steps: Core::Desk::Help.steps(task, time, @conventions, mistake:).map(&:to_h) }
        end

        def turn(turn)
          task = Core::Marking::Task.find(turn[:task])
          about = Core::Desk::DeskTask.for(task)
          { id: turn[:id], task: task.id, entry: about.entry, ask: about.ask, sees: task.sees, tried: turn[:tries],
            items: turn[:items].map { |item| item(item, task, turn) }, strips: strips(about.entry, turn), cards: cards(about.entry, turn),
            example: example(turn, task), sign: @conventions.sign }
        end

        # A clock that is shown before the child's own, where the step is new.
        def example(turn, task)
          item = turn[:items].first
          return if item[:example].nil? || turn[:tries].positive?

          time = task.parse_time(item[:example])
          { item_id: item[:id], **hands(time), steps: Core::Desk::Help.steps(task, time, @conventions).map(&:to_h) }
        end

        def item(item, task, turn)
          time = task.parse_time(item[:time])
          { id: item[:id], **seen_hands(time, task), shown: shown(task, time), said: item[:said].to_s, options: options(item),
            numerals: task.asks == :numerals ? [time.hour_passed, time.minute_numeral] : [], day: day(task, time),
            on_clock: item[:helped] == 1 ? on_clock(turn, task, time) : nil, half: item[:half] == 1 ? half(task, time) : nil }
        end

        def half(task, time) = Core::Desk::Beginning.half(task, time, @conventions).to_h

        # Help for whoever is new to a step.
        def on_clock(turn, task, time)
          look = Core::Choosing::Support.look(Core::Teaching::Step.find(turn[:step]), task, time)
          words = %w[to past].map { |side| Core::Wording::ClassWords.fill("%{#{side}}", @conventions) }
          { hour_gap: look[:hour_gap], minute_numbers: look[:minute_numbers], sides: look[:sides] ? words : nil }
        end

        # Those that are on the dial which is looked at: no other hand leaves the server before the answer is given.
        def seen_hands(time, task)
          seen = HANDS_SEEN.fetch(task.sees, [])
          hands(time).to_h { |name, degrees| [name, seen.include?(name) ? degrees : nil] }
        end

        def hands(time)
          shown = time.dial_time
          { hour_hand_degrees: shown.hour_hand_degrees, minute_hand_degrees: shown.minute_hand_degrees }
        end

        # What stands in the place of a dial.
        def shown(task, time)
          return Core::Wording::Phrase.usual(time, @conventions) if task.sees == :words

          %i[digits time_of_day].include?(task.sees) ? time.dial_time.digital(@conventions.sign) : ""
        end

        def day(task, time) = task.asks == :day ? Core::Desk::DayPlace.of(time, @sitting.school_class[:day]) : nil

        def strips(entry, turn)
          return [] unless %i[words mistake count].include?(entry)

          Core::Desk::Strips.for(Core::Teaching::Step.find(turn[:step]), @conventions, whole: entry != :count).map(&:to_h)
        end

        # Not in the order of the clocks.
        def cards(entry, turn)
          case entry
          when :pairs then turn[:items].map { |item| Core::Dial::DialTime.parse(item[:time]).digital(@conventions.sign) }.sort
          when :halves then Core::Dial::DayTime::HALVES.map { |half| Core::Wording::PartReader.day_half_name(half) }
          else []
          end
        end

        # The cause among others that could be.
        def options(item) = Views::CheckView.options(item, @conventions, item[:id])
      end
    end
  end
end
