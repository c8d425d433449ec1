# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # What lies behind a child's mistakes, as it is told: read from its {Belief} and from the answers that show it. There is one diagnosis
      # for a child: the record, the groups, {Teaching::ChildProgress} and the devices ask the same.
      class Diagnosis
        ROW = TABLE[:told].freeze
        LIKELY = ROW[:likely]
        POSSIBLE = ROW[:possible]
        SECOND = ROW[:second]
        # @return [Array<MarkedAnswer>] those it rests on, oldest first
        attr_reader :answers
        # @return [Belief]
        attr_reader :belief

        # @param answers [Array<MarkedAnswer>] at first try, oldest first
        # @param days [Array<Integer>] on which each was given, any count of days; all on one where left out
        # @param today [Integer, nil] in the same count; the day of the last answer where left out
        # @param belief [Belief, nil] where they were followed already
        def initialize(answers, days: [], today: nil, belief: nil)
          @today = today || days.compact.last || 0
          dated = answers.zip(days).map { |answer, day| [answer, day || @today] }
          @belief = belief || followed(dated)
          telling = dated.select { |answer, _| answer.telling? }.last(ROW[:looked_at])
          @answers = telling.map(&:first).freeze
          @days = telling.map(&:last).freeze
        end

        # @param marked [MarkedAnswer]
        # @return [Diagnosis] after one answer more, today
        def with(marked)
          belief = self.belief.dup
          belief.answered(marked, @today)
          Diagnosis.new(answers + [marked], days: @days + [@today], today: @today, belief:)
        end

        # @return [Array<Evidence>] own hits first
        def evidence = @evidence ||= Judging::Evidence.from(answers).freeze

        # @return [String] "likely", "possible", "secure" or "not enough to say"
        def verdict
          return "not enough to say" if answers.empty?
          return "likely" if likely.any?
          return "possible" if possible.any?

          secure? ? "secure" : "not enough to say"
        end

        # @return [Array<Misreading>] the likely ones, the most probable first: one, and a second that has evidence of its own
        def likely = @likely ||= likely_from(LIKELY, ROW[:hits]).freeze

        # @return [Array<Misreading>] the likely ones, and those that are possible
        def possible = @possible ||= (likely | likely_from(POSSIBLE, 1, second: SECOND)).first(ROW[:most]).freeze

        # What it looks like where there is not enough to say so.
        # @return [Symbol, nil] `:secure`, `:unsure` or `:misreading`, whichever is the most probable; nothing without answers
        def leans
          return if answers.empty?

          states.group_by { |state, _| state.name }.transform_values { |shares| shares.sum(&:last) }.max_by(&:last).first
        end

        # @return [State] the most probable one
        def top = states.max_by(&:last).first

        # @param misreading [Misreading]
        # @return [Float] 0..1, today
        def probability(misreading) = belief.mistake(misreading, @today)

        # @return [Hash{State => Float}] what may be true of the child where one mistake shows, or two, or none: these sum to 1
        def states = @states ||= worked_out(belief, known).freeze

        # @return [Hash{State => Float}] what was believed before any answer
        def priors = @priors ||= worked_out(Belief.new, ROW[:known]).freeze

        private

        def followed(dated)
          dated.each_with_object(Belief.new) { |(answer, day), belief| belief.answered(answer, day) }
        end

        # How much of what was asked lately is known.
        def known
          return ROW[:known] if answers.empty?

          asked = answers.last(ROW[:among]).map { |answer| Item.of(answer.task, answer.time) }.uniq { |item| [item.kind, item.way] }
          asked.sum { |item| belief.met(item) } / asked.length
        end

        def secure? = leans == :secure && known * clear >= ROW[:secure] && belief.slip <= ROW[:slip]

        # The chance that the child has none of the mistakes that could have shown.
        def clear
          shown = answers.flat_map { |answer| Item.of(answer.task, answer.time).mistakes }.uniq
          shown.reduce(1.0) { |free, place| free * (1 - probability(Mistakes.all[place])) }
        end

        def likely_from(bound, hits, second: bound)
          last = answers.last(ROW[:among])
          found = Mistakes.all.select { |mistake| probability(mistake) >= second }
          found = found.sort_by.with_index { |mistake, at| [-probability(mistake), at] }
          found.each_with_object([]) do |state, named|
            break named if named.length == ROW[:most] || (named.empty? && probability(state) < bound)

            named << state if shows?(state, last, named, hits)
          end
        end

        # What those that are told already explain is no evidence of another.
        def shows?(misreading, last, named, hits)
          left = last.reject { |answer| named.any? { |mistake| answer.misreadings.include?(mistake.id) } }
          needed = misreading.seldom? && hits > 1 ? ROW[:seldom_hits] : hits
          own = left.count { |answer| answer.misreadings.include?(misreading.id) }
          own >= needed && (hits == 1 || own >= ROW[:share] * left.count { |answer| misreading.chance?(answer.time, answer.task) })
        end

        def worked_out(belief, known)
          all = Mistakes.all.to_h { |mistake| [mistake, belief.mistake(mistake, @today)] }
          chances = all.select { |_, chance| chance >= Judging::ItemSelection::SEEN_FROM }
          odds = chances.transform_values { |chance| chance / (1 - chance) }
          singles = odds.transform_keys { |mistake| Judging::State.new(:misreading, [mistake]) }
          strong = odds.select { |mistake, _| chances[mistake] >= ROW[:paired] }
          pairs = strong.to_a.combination(2).to_h { |(one, a), (two, b)| [Judging::State.new(:misreading, [one, two]), a * b] }
          normalised({ Judging::State::SECURE => known, Judging::State::UNSURE => 1 - known, **singles, **pairs })
        end

        def normalised(shares)
          whole = shares.values.sum
          shares.transform_values { |share| share / whole }
        end
      end
    end
  end
end
