# frozen_string_literal: true

module Vantick
  module Server
    module Desk
      # One task as the contract describes it: what a child looks at, what there is to choose from, and the steps to its answer.
      class TurnView
        BOTH = %i[hour_hand_degrees minute_hand_degrees].freeze
        # The hands that are on what a child looks at; on words, digits and numerals there are none.
        HANDS_SEEN = { dial: BOTH, dials_and_cards: BOTH, dial_and_words: BOTH, bare_dial: BOTH,
                       hour_hand: %i[hour_hand_degrees], minute_hand: %i[minute_hand_degrees] }.freeze

        # @param turn [Store::Rows::Turn]
        # @param conventions [Core::Wording::Conventions]
        # @param day [Array<Hash>] of the class
        def initialize(turn, conventions, day:)
          @turn = turn
          @conventions = conventions
          @day = day
          @task = Core::Tasks::Task.find(turn.task)
          @about = Core::Desk::DeskTask.for(@task)
          @variant = turn.items.first.variant&.to_sym
          @texts = @variant ? Core::Desk::Variants.words(@variant) : {}
        end

        # @return [Hash]
        def to_h
          { id: @turn.id, task: @task.id, entry:, ask: @texts.fetch(:ask, @about.ask), sees: @task.sees, tried: @turn.tries,
            items: @turn.items.map { |item| item(item) }, strips:, cards:, example:, sign: @conventions.sign }
        end

        # @param item [Store::Rows::Item]
        # @return [Hash] the way to its answer
        def steps(item = @turn.items.first)
          mistake = item.misreading && Core::Reading::Misreading.find(item.misreading)
          steps_to(item, @task.parse_time(item.time), mistake:)
        end

        private

        def entry = @texts.fetch(:entry, @about.entry).to_sym

        def steps_to(item, time, mistake: nil)
          { item_id: item.id, **hands(time), steps: Core::Desk::Help.steps(@task, time, @conventions, mistake:).map(&:to_h) }
        end

        # A clock that is shown before the child's own, where the step is new.
        def example
          item = @turn.items.first
          steps_to(item, @task.parse_time(item.example)) if item.example && @turn.tries.zero?
        end

        def item(item)
          time = @task.parse_time(item.time)
          { id: item.id, **seen_hands(time), shown: shown(time), said: item.said.to_s, options: options(item),
            numerals: @task.asks == :numerals ? [time.hour_passed, time.minute_numeral] : [], day: day(time),
            on_clock: (on_clock(time) if item.helped == 1 && @variant != :find), clocks: clocks(item, time),
            half: (Core::Desk::Beginning.half(@task, time, @conventions).to_h if item.half == 1) }
        end

        # The wrong clock, or those to choose from.
        def clocks(item, time)
          found = case @variant
                  when :fix then [Core::Desk::Variants.start(@task, time, **question_fields(item))]
                  when :find then offered(item, time)
                  else []
                  end
          found.map { |hands| { hour_hand_degrees: hands.hour_degrees, minute_hand_degrees: hands.minute_degrees, answer: hands.to_s } }
        end

        def offered(item, time) = Core::Desk::Variants.offered(@task, time, **question_fields(item))

        # Always the same for one item.
        def question_fields(item) = { against: @turn.against && Core::Reading::Misreading.find(@turn.against), seed: item.id }

        # Help for whoever is new to a step.
        def on_clock(time)
          look = Core::Choosing::Support.look(Core::Curriculum::Step.find(@turn.step), @task, time)
          words = %w[to past].map { |side| Core::Wording::ClassWords.fill("%{#{side}}", @conventions) }
          { hour_gap: look[:hour_gap], minute_numbers: look[:minute_numbers], sides: look[:sides] ? words : nil }
        end

        # Those that are on the dial which is looked at: no other hand leaves the server before the answer is given.
        def seen_hands(time)
          seen = HANDS_SEEN.fetch(@task.sees, [])
          hands(time).to_h { |name, degrees| [name, seen.include?(name) ? degrees : nil] }
        end

        def hands(time)
          shown = time.dial_time
          { hour_hand_degrees: shown.hour_hand_degrees, minute_hand_degrees: shown.minute_hand_degrees }
        end

        # What stands in the place of a dial.
        def shown(time)
          return Core::Wording::Phrase.usual(time, @conventions) if @task.sees == :words

          %i[digits time_of_day].include?(@task.sees) ? time.dial_time.digital(@conventions.sign) : ""
        end

        def day(time) = @task.asks == :day ? Core::Wording::DayPlace.of(time, @day) : nil

        def strips
          return [] unless %i[words mistake count].include?(entry)

          Core::Desk::Strips.for(Core::Curriculum::Step.find(@turn.step), @conventions, whole: entry != :count).map(&:to_h)
        end

        # Not in the order of the clocks.
        def cards
          case entry
          when :pairs then @turn.items.map { |item| Core::Dial::DialTime.parse(item.time).digital(@conventions.sign) }.sort
          when :choice then choices(@turn.items.first)
          when :halves then Core::Dial::DayTime::HALVES.map { |half| Core::Wording::PartReader.day_half_name(half) }
          else []
          end
        end

        def choices(item)
          offered(item, @task.parse_time(item.time)).map { |answer| @task.write(answer, @conventions) }
        end

        # The cause among others that could be.
        def options(item) = Views::CheckView.options(item, @conventions, item.id)
      end
    end
  end
end
