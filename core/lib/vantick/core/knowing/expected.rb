# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # What a child is expected to know on a day, with what days take away: for the course, the review, the plan and the forecast.
      class Expected
        LEARN = TABLE[:learn].freeze
        COURSE = TABLE[:course].freeze
        # Of a kind that nobody has taught or asked, no more than this is taken to be known: a class is not led past it unseen.
        UNSEEN = TABLE[:states][:unseen]

        # @param belief [Belief]
        # @param seen [Seen]
        # @param day [Integer]
        def initialize(belief, seen, day)
          @belief = belief
          @seen = seen
          @day = day
          @known = {}
        end

        # @param day [Integer] on which a lesson is given that is not known of yet
        # @param step [Step, nil] what it is about; nothing to let days go by alone
        # @param recap [Array<Step>] what is gone over before
        # @return [Expected]
        def onward(day, step: nil, recap: [])
          later = @belief.dup
          seen = step ? @seen.after(step) : @seen
          later.gone_over(recap.flat_map { |lower| Curriculum::KnowledgeComponents.of_step(lower) }.uniq, day)
          if step
            later.taught(step, day)
            later.unlearned(step)
          end
          Expected.new(later, seen, day)
        end

        # @return [Boolean] whether anything is known of the child: an answer, or a teacher's word
        def any_evidence? = Curriculum::KnowledgeComponents.all.any? { |kind| @seen.of?(kind) }

        # @param kind [Symbol] one of {Curriculum::KnowledgeComponents.all}
        # @return [Float] 0..1
        def known(kind)
          @known[kind] ||= @seen.ways(kind).map { |asking| there(asking) * @belief.retention(asking, @day) }.min
        end

        # @param step [Step]
        # @return [Float] 0..1, that all its kinds are known
        def of_step(step) = Curriculum::KnowledgeComponents.of_step(step).map { |kind| known(kind) }.min

        # @param step [Step]
        # @return [Hash{Symbol => Float}] by way of asking that the class wants, how much of the step is known in it
        def ways(step)
          askings = Curriculum::KnowledgeComponents.of_step(step).flat_map { |kind| @seen.ways(kind) }.group_by(&:way)
          askings.transform_values { |all| all.sum { |asking| there(asking) * @belief.retention(asking, @day) } / all.length }
        end

        # @param step [Step]
        # @return [Float] 0..1, that it is not known though the steps it rests on are
        def next_up(step)
          below = step.foundations.select { |foundation| foundation.pool.any? }
          (1 - of_step(step)) * (below.map { |lower| of_step(lower) }.min || 1.0)
        end

        # @param kind [Symbol]
        # @return [Float] 0..1, how far it can be learned: what it rests on counts
        def ready(kind)
          part = @seen.ways(kind).first.part
          LEARN[:alone] + ((1 - LEARN[:alone]) * (@belief.reach(part) + @belief.next_up(part)))
        end

        # @param kind [Symbol]
        # @return [Float] 0..1, what of it going over it now would save: more of what was known well, and the longer it was not asked
        def at_risk(kind)
          asking = @seen.ways(kind).first
          kept = @belief.retention(asking, @day)
          there(asking) * kept * (1 - kept)
        end

        # @param kind [Symbol]
        # @return [Float] days in which half of it is lost
        def half(kind) = @seen.ways(kind).map { |asking| @belief.half(asking) }.min

        # @param step [Step]
        # @return [Float] how much a lesson on it is likely to give, in kinds of times
        def gain(step)
          kinds = Curriculum::KnowledgeComponents.of_step(step)
          kinds.sum { |kind| (1 - known(kind)) * ready(kind) } * LEARN[:lesson] / (kinds.length**COURSE[:shared])
        end

        private

        def there(asking)
          known = @belief.met(asking) * (1 - @belief.hindered(asking))
          @seen.of?(asking.kind) ? known : [known, UNSEEN].min
        end
      end
    end
  end
end
