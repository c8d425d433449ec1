# frozen_string_literal: true

module Vantick
  module Server
    module Desk
      # What is known of a child at a desk: at hand while they sit there, worked out from what is stored where it is not.
      class Knowledge
        # @param turn [Hash] with its items
        # @return [Core::Desk::Turn]
        def self.turn(turn)
          task = Core::Tasks::Task.find(turn.task)
          times = turn.items.map { |item| task.parse_time(item.time) }
          Core::Desk::Turn.new(step: Core::Curriculum::Step.find(turn.step), task:, times:, reason: turn.reason.to_sym)
        end

        # @param seat [Hash]
        # @param store [Store::Database]
        # @param presence [DevicePresence]
        # @yieldreturn [Array(Hash, Core::Wording::Conventions)] the class, where nothing is at hand
        def initialize(seat, store:, presence:, &of_class)
          @seat = seat
          @store = store
          @presence = presence
          @of_class = of_class
        end

        # @return [Core::Teaching::Adjustments] as a teacher has set them by now
        def adjustments = @adjustments ||= @store.register.adjustments_of(@seat.child_id)

        # @return [Core::Desk::Learner]
        def learner = @learner || @presence.learner(@seat) { worked_out(*@of_class.call) }.adjusted(adjustments)

        # For as long as this request lasts: an answer that is not stored in the end was never given.
        # @param turn [Hash] that was answered
        # @param marked [Array<Core::Marking::MarkedAnswer>] at first try
        def learn(turn, marked)
          @learner = learner.with_turn(Knowledge.turn(turn)).after(marked)
        end

        # @param turn [Hash] that the child asked to be shown
        def shown(turn)
          @learner = learner.with_turn(Knowledge.turn(turn)).shown
        end

        # The answer is stored: what was learned of it stays at hand.
        def keep = @learner && @presence.keep(@seat, @learner)

        # Worked out again next time.
        def forget
          @learner = nil
          @presence.forget(@seat)
        end

        private

        def worked_out(school_class, conventions)
          answers = @store.answers.of_child(@seat.child_id)
          asked = answers.map { |answer| Store::ProgressCache.item_response(answer, conventions) }
          turns = @store.turns.of_round(@seat).reject { |turn| turn.done_at.nil? }.map { |turn| Knowledge.turn(turn) }
          own = Core::Teaching::ChildProgress.new(asked, today: Store::SchoolDay.today, wanted: Core::Knowing::States.wanted(conventions))
          Core::Desk::Learner.new(step: step(turns), answers: asked.map(&:marked), belief: own.diagnosis, turns:, ceiling:,
                                  states: own.states, day_times: Core::Wording::DayPlace.times(school_class.day),
                                  review_due: own.review_due, baseline: baseline(answers, asked, school_class))
        end

        # As far as the child has come in this round.
        def step(turns)
          ladder = Core::Curriculum::Step.with_times
          climbed = turns.reject { |turn| turn.reason == :known }.map(&:step)
          [Core::Curriculum::Step.find(@seat.step), *(climbed if ceiling)].max_by { |step| ladder.index(step) }
        end

        # One above what the class was taught; none where the teacher chose the step.
        def ceiling
          desk = @store.desks.find(@seat.desk_id)
          return if desk.step || @seat.kind == DeviceSession::BASELINE

          taught = Store::ProgressCache.lessons(@store, desk.class_id).map(&:step)
          Core::Curriculum::Step.above([Core::Curriculum::Step.find(@seat.step), *taught])
        end

        # From what was known before, by the answers of this sitting.
        def baseline(answers, asked, school_class)
          return unless @seat.kind == DeviceSession::BASELINE

          today = Store::SchoolDay.today
          child = @store.classes.child(@seat.child_id)
          belief = Store::ProgressCache.before(child, school_class, @store, @seat.check_id, today:)
          here = answers.zip(asked).select { |answer, _| answer.check_id == @seat.check_id }.map(&:last)
          here.each_with_object(Core::Knowing::Baseline.new(belief, day: today)) do |answer, found|
            found.answered(Core::Knowing::Baseline::Question.new(step: answer.step, **item_response(answer.marked)), answer.marked)
          end
        end

        def item_response(marked) = { task: marked.task, time: marked.time }
      end
    end
  end
end
