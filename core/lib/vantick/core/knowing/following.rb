# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # What changes a {Belief}: answers, lessons, what a teacher says, and what is gone over.
      module Following
        LEARN = TABLE[:learn].freeze
        LIFT = TABLE[:lift]
        BLANK = TABLE[:blank]
        SAID = TABLE[:said_by_teacher].freeze

        # @param marked [MarkedAnswer] an answer at first try
        # @param day [Integer]
        # @param helped [Boolean] whether help was on the clock: what went right there was not recalled
        # @return [Float] 0..1, how likely that answer was; 1 for one that says nothing of this
        def answered(marked, day, helped: false)
          item = Item.of(marked.task, marked.time)
          blank(item, day) if marked.verdict == :blank
          return 1.0 unless marked.telling?

          likely = follow(item, marked, day, helped)
          went(item, marked, day, helped)
          learn(item.kind, [item.way], LEARN[:answer], day)
          likely
        end

        # @param step [Step] that the lesson was on
        # @param day [Integer]
        def taught(step, day)
          kinds = Curriculum::KnowledgeComponents.of_step(step)
          chance = LEARN[:lesson] / (kinds.length**LEARN[:shared])
          exercised(kinds).each { |kind| learn(kind, Asking::ALONE, chance * LEARN[:exercised], day) }
          kinds.each { |kind| learn(kind, Asking.ways_of(kind), chance, day) }
        end

        # Of a lesson that is to come: answers will tell what it cleared up, so nothing of it is said of what was given.
        # @param step [Step]
        def unlearned(step)
          askings = Curriculum::KnowledgeComponents.of_step(step).flat_map { |kind| Asking.wanted(kind) }
          @mistakes.ease(askings, 1 - LEARN[:unlearned])
        end

        # What a teacher says of the child: worth some answers, and answers overrule it.
        # @param step [Step]
        # @param known [Boolean]
        # @param day [Integer]
        def judged(step, known, day)
          kinds = Curriculum::KnowledgeComponents.of_step(step)
          ways = kinds.flat_map { |kind| Asking.wanted(kind).map(&:way) }.uniq
          judged = Weighed.new(Mistakes::NO_ACTING, *SAID.values_at(*(known ? %i[known unknown] : %i[unknown known])))
          weigh_judgement(kinds.flat_map { |kind| Asking.parts_of(kind, ways) }.uniq, judged, known, day)
          believe_judgement(kinds, ways, judged, known)
          @mistakes.denied(kinds, judged) if known
        end

        # @param kinds [Array<Symbol>] gone over on a day: some of what was lost comes back
        # @param day [Integer]
        def gone_over(kinds, day)
          kinds.product(States::WANTED).each do |kind, way|
            learn(kind, [way], LEARN[:recap], day) if Asking.ways_of(kind).include?(way)
          end
        end

        private

        def went(item, marked, day, helped)
          return @places.went_wrong(item.part, day) unless marked.read_right?

          went_right(item, day) unless helped
        end

        def follow(item, marked, day, helped)
          known, acting = before(item, marked, day)
          right = marked.read_right?
          share = right ? nil : item.slip_share(marked)
          likely = ->(slip) { right ? 1 - slip : slip * share }
          weighed = Weighed.new(acting, likely.call(@skills.slip), item.unknown(marked, helped:))
          @mistakes.follow(item, acting, weighed.plain(known))
          @skills.weigh { |slip| (acting.none * ((known * likely.call(slip)) + ((1 - known) * weighed.if_not))) + acting.by_mistake }
          each_factor(item, weighed, known)
          weighed.of(known)
        end

        # Each of the factors by itself, the others being as they were.
        def each_factor(item, weighed, known)
          own = @skills.own(item.kind, item.way)
          @places.weigh(item.part, weighed.ratio(@places.reach(item.part), known))
          @skills.set_way(item.way, weighed.after(@skills.way(item.way), known))
          @skills.set_own(item.kind, item.way, weighed.after(own, known)) unless item.way == :alone
        end

        # An empty place says a little: who knows it seldom leaves it out.
        def blank(item, day)
          @places.fade(item.part, day)
          @places.weigh(item.part, BLANK)
        end

        def went_right(item, day)
          @places.went_right(item.part, day)
          @skills.lift(Curriculum::KnowledgeComponents.beneath(item.kind), item.way, LIFT * met(item)) unless item.way == :alone
        end

        def learn(kind, ways, chance, day)
          Asking.parts_of(kind, ways).each { |part| @places.learn(part, chance, day) }
          ways.each { |way| @skills.learn(kind, way, chance, chance * LEARN[:way]) }
        end

        def exercised(kinds) = kinds.flat_map { |kind| Curriculum::KnowledgeComponents.exercised(kind) }.uniq - kinds

        # Who knows a step knows what it rests on as well; who does not yet may know that all the same.
        def believe_judgement(kinds, ways, weighed, known)
          ways.each { |way| @skills.way(way).then { |share| @skills.set_way(way, weighed.after(share, share)) } } if known
          beneath = kinds.flat_map { |kind| Curriculum::KnowledgeComponents.beneath(kind) }
          all = known ? kinds | beneath : kinds - beneath
          all.product(ways).each { |kind, way| @skills.own(kind, way).then { |own| @skills.set_own(kind, way, weighed.after(own, own)) } }
        end

        def weigh_judgement(parts, weighed, known, day)
          parts.reverse_each { |part| @places.fade(part, day) }
          @places.weigh_all(parts, weighed.if_known / weighed.if_not)
          parts.each { |part| @places.went_right(part, day) } if known
        end
      end
    end
  end
end
