# frozen_string_literal: true

module Vantick
  module Server
    module Desk
      # A child's desk as the contract describes it: what is asked, with everything that the device needs to draw it.
      class DeskView
        # @param session [Desk::DeviceSession]
        def initialize(session)
          @session = session
          @conventions = session.conventions
        end

        # @param child [Hash]
        # @return [Hash]
        def state(child)
          open = @session.prepare
          { child: child.slice(:id, :name), kind: @session.seat.kind, told: @session.feedback?, adjustments:, **going_on(open) }
        end

        # @param open [Array<Hash>] turns that are not done
        # @param held [Array<Integer>] turns that the device has kept ahead and need not be sent again
        # @return [Hash] what comes next, what is kept ahead, and how it ended
        def going_on(open, held: [])
          over = @session.over?
          now, ahead = open.partition { |turn| turn.ahead.zero? }
          ahead = now.drop(1) if @session.fixed?
          { open: @session.seat.open, round: round(over), turn: views(now.first(1)).first,
            ahead_ids: ahead.map(&:id), ahead: views(ahead.reject { |turn| held.include?(turn.id) }),
            end: over || !@session.seat.open ? end_of : nil }
        end

        # @param taken [Desk::DeviceSession::SubmissionResult]
        # @return [Hash]
        def taken(taken)
          { turn_id: taken.turn.id, done: taken.done, results: results(taken), sentence: sentence(taken), help: help(taken) }
        end

        # @param taken [Desk::DeviceSession::SubmissionResult] of a task that the child asked to be shown
        # @return [Hash]
        def helped(taken)
          { turn_id: taken.turn.id, done: true, results: [], sentence: "", help: turn_view(taken.turn).steps }
        end

        private

        # What a device does otherwise for this child.
        def adjustments
          %i[voice larger unhurried buttons left_handed calm].to_h { |id| [id, @session.adjustments.on?(id)] }
        end

        def round(over) = { number: @session.seat.round, done: @session.done, of: @session.length, over: }

        def end_of
          sentence = Core::Desk::Round.end_of(@session.marks, @conventions)
          { well: sentence.well, watch: @session.feedback? ? sentence.watch : nil }
        end

        def results(taken)
          taken.turn.items.zip(taken.marked).map do |item, marked|
            { item_id: item.id, right: @session.feedback? ? marked.right? : nil, verdict: @session.feedback? ? marked.verdict : nil }
          end
        end

        def sentence(taken)
          return Core::Desk::Feedback::WORDS[:kept] unless @session.feedback?

          variant = taken.turn.items.first.variant
          Core::Desk::Feedback.of_turn(taken.marked, @conventions, home: @session.adjustments.home, variant:)
        end

        # After the second try, of the first that was wrong.
        def help(taken)
          return if !taken.done || !@session.feedback? || taken.marked.all?(&:right?) || taken.turn.tries.zero?

          turn_view(taken.turn).steps(taken.turn.items.zip(taken.marked).find { |_, marked| !marked.right? }.first)
        end

        def views(turns) = turns.map { |turn| turn_view(turn).to_h }

        def turn_view(turn) = TurnView.new(turn, @conventions, day: @session.school_class.day)
      end
    end
  end
end
