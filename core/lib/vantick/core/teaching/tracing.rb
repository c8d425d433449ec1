# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # How probable it is that a child knows each kind of times, followed answer by answer and lesson by lesson. After knowledge
      # tracing (Corbett and Anderson, "Knowledge tracing: Modeling the acquisition of procedural knowledge", User Modeling and
      # User-Adapted Interaction 4, 1995; from memory), with forgetting by half-life. All numbers are judgements, in scheme.yml.
      class Tracing
        SCHEME = Facts::DataFile.load("scheme").freeze
        ROW = SCHEME[:tracing].freeze

        # @param answers [Array<Standing::Asked>] at first try, oldest first
        # @param lessons [Array<Course::Given>] oldest first
        # @param today [Integer] in the same count of days
        # @param said [Array<Said>] what a teacher says of the child: worth as many answers as the scheme says
        # @param parts [Boolean] whether whole dials tell of the hour hand and of the numerals as well: for a class, of which many were
        #   never asked these alone
        def initialize(answers, lessons: [], today: nil, parts: false, said: [])
          @parts = parts
          @known = KindsOfTime.all.to_h { |kind| [kind, ROW[:begin]] }
          @days = {}
          @seen = {}
          @asked = {}
          happened(answers, lessons, said).each { |one| follow(one) }
          @today = today || @days.values.max
          fade_all(today) if today
          freeze
        end

        # @param day [Integer] on which a lesson is given that is not known of yet
        # @param step [Step, nil] what it is about; nothing to let days go by alone
        # @param recap [Array<Step>] what is gone over before: half of what was lost of it is expected to come back (judgement)
        # @return [Tracing] what is expected to be known then
        def onward(day, step: nil, recap: []) = dup.tap { |later| later.send(:play, day, step, recap) }.freeze

        # @param days [Hash{Step => Integer}] steps that a child has shown by what it read, and the last day on which it did
        # @return [Tracing] in which each was as good as known on that day
        def with_shown(days) = dup.tap { |other| other.send(:lift, days) }.freeze

        # @param kind [Symbol] one of {KindsOfTime.all}
        # @return [Float] 0..1
        def known(kind) = @known.fetch(kind)

        # @param kind [Symbol]
        # @return [Boolean] whether anything was answered on it
        def asked?(kind) = @asked.key?(kind)

        # @param step [Step]
        # @return [Float] 0..1, that all its kinds are known
        def of_step(step) = KindsOfTime.of_step(step).reduce(1.0) { |all, kind| all * known(kind) }

        # @param kind [Symbol]
        # @return [Float] 0..1, how far it can be learned: what it rests on counts
        def reach(kind) = ROW[:alone] + ((1 - ROW[:alone]) * (KindsOfTime.below(kind).map { |below| known(below) }.min || 1.0))

        # @param kind [Symbol]
        # @return [Float] 0..1, what of it going over it now would save: more of what was known well, and the longer it was not asked
        def at_risk(kind)
          seen, then_known = @seen.fetch(kind) { return 0.0 }
          left = 0.5**((@today - seen) / ROW[:risk_days].to_f)
          then_known * left * (1 - left)
        end

        # @param step [Step]
        # @return [Float] how much a lesson on it is likely to give, in kinds of times
        def gain(step) = KindsOfTime.of_step(step).sum { |kind| (1 - known(kind)) * reach(kind) } * Tracing.chance(step)

        # @param step [Step]
        # @return [Float] of learning one of its kinds in a lesson, where all that it rests on is known
        def self.chance(step) = KindsOfTime.of_step(step).length.then { |kinds| kinds == 1 ? ROW[:lesson] : ROW[:shared] / kinds }

        private

        BROUGHT_BACK = 0.5
        private_constant :BROUGHT_BACK

        def play(day, step, recap)
          @known, @days, @seen = [@known, @days, @seen].map(&:dup)
          @today = day
          fade_all(day)
          recap.flat_map { |one| KindsOfTime.of_step(one) }.uniq.each { |kind| bring_back(kind, day) }
          taught(Course::Given.new(step:, day:)) if step
        end

        def lift(days)
          @known, @days, @seen = [@known, @days, @seen].map(&:dup)
          days.each do |step, day|
            kinds = KindsOfTime.of_step(step)
            kinds.each { |kind| lift_to(ROW[:shown]**(1.0 / kinds.length), kind, day) }
          end
        end

        # @param shown [Float] so that all kinds of a step together come to what the scheme says
        def lift_to(shown, kind, day)
          now = shown * left(day, @today)
          return if now <= @known[kind]

          @known[kind] = now
          @days[kind] = @today
          @seen[kind] = [day, shown]
        end

        def bring_back(kind, day)
          then_known = @seen.fetch(kind, [nil, @known[kind]]).last
          @known[kind] += [then_known - @known[kind], 0].max * BROUGHT_BACK
          @seen[kind] = [day, @known[kind]]
        end

        def follow(one)
          case one
          when Course::Given then taught(one)
          when Said then told(one)
          else answered(one)
          end
        end

        # In order; on one day the answers come after nothing that was not taught before it, and a teacher says what is true after both.
        def happened(answers, lessons, said)
          dated = [answers, lessons, said].each_with_index.flat_map { |some, order| some.map { |one| [one.day, order, one] } }
          dated.sort_by.with_index { |(day, order, _), at| [day, order, at] }.map(&:last)
        end

        def answered(asked)
          marked = asked.marked
          return unless marked.telling?

          learned(KindsOfTime.of(marked.task, marked.time), marked.read_right?, asked.day)
          parts(marked).each { |kind| learned(kind, true, asked.day) }
        end

        # A whole dial with the hour right tells of the hour hand as well, one at fives of the numerals; a wrong one does not say of
        # which it was.
        def parts(marked)
          return [] unless @parts && marked.task.dial? && Step.home(marked.task).nil?

          fives = marked.read_right? && marked.time.ticks.zero? && (marked.time.minute % Wording::Saying::QUARTER).positive?
          [*(:hour_hand if Standing.hour_right?(marked)), *(:fives_facts if fives)]
        end

        def told(said)
          said.steps.flat_map { |step| KindsOfTime.of_step(step) }.uniq.each do |kind|
            ROW[:said].times { believe(kind, said.known, said.day) }
          end
        end

        def learned(kind, read_right, day)
          @asked[kind] = true
          believe(kind, read_right, day)
        end

        def believe(kind, read_right, day)
          fade(kind, day)
          known = @known[kind]
          right, wrong = read_right ? [1 - ROW[:slip], ROW[:guess]] : [ROW[:slip], 1 - ROW[:guess]]
          @known[kind] = known * right / ((known * right) + ((1 - known) * wrong))
          @seen[kind] = [day, @known[kind]]
        end

        def taught(lesson)
          KindsOfTime.of_step(lesson.step).each do |kind|
            fade(kind, lesson.day)
            @known[kind] += (1 - @known[kind]) * Tracing.chance(lesson.step) * reach(kind)
            @seen[kind] = [lesson.day, @known[kind]]
          end
        end

        def fade_all(day) = @known.each_key { |kind| fade(kind, day) }

        def fade(kind, day)
          since = @days[kind]
          @known[kind] *= left(since, day) if since && day > since
          @days[kind] = day
        end

        # How much of what was known on a day is left on a later one.
        def left(since, day) = 0.5**((day - since) / ROW[:half_days].to_f)
      end
    end
  end
end
