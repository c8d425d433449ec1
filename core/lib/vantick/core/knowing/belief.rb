# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # What is believed of one child after its answers, lessons and days: which parts of the {Graph} it knows, in which ways, which
      # mistakes it has, and how carefully it answers. Places are exact. Ways, mistakes and carefulness are each followed as if by
      # themselves (assumed density filtering, an approximation; the spec compares it with all sets at once).
      class Belief
        IN_THE_WAY = TABLE[:in_the_way].freeze
        include Following

        def initialize
          @places = Places.new
          @skills = Skills.new
          @mistakes = Mistakes.new
        end

        def initialize_copy(other)
          super
          @places = @places.dup
          @skills = @skills.dup
          @mistakes = @mistakes.dup
        end

        # @param task [Task]
        # @param time [DialTime, DayTime]
        # @param day [Integer]
        # @return [Float] 0..1, that the next answer is right
        def chance_of_right(task, time, day)
          item = Item.of(task, time)
          later = dup
          known, acting = later.before(item, nil, day)
          acting.none * ((known * (1 - @skills.slip)) + ((1 - known) * item.guess))
        end

        # @param asking [Asking, Item]
        # @return [Float] 0..1, that it was known when it was last met: time alone does not change it
        def met(asking) = @places.reach(asking.part) * @skills.way(asking.way) * @skills.own(asking.kind, asking.way)

        # @param asking [Asking]
        # @return [Float] 0..1, how much of it comes right: known, with no mistake in the way, and answered with care
        def shown(asking) = met(asking) * (1 - hindered(asking)) * [(1 - @skills.slip) / TABLE[:careful][:share], 1.0].min

        # @param asking [Asking]
        # @return [Float] 0..1, that a mistake lies in the way
        def hindered(asking)
          over = @mistakes.over(IN_THE_WAY[:chance])
          return 0.0 if over.empty?

          free = over.reduce(1.0) do |left, (place, chance)|
            Hindrance.in_the_way?(place, asking) ? left * (1 - (chance * Hindrance.share(place, asking))) : left
          end
          1 - free
        end

        # @param part [Symbol] of the {Graph}
        # @return [Float] 0..1
        def reach(part) = @places.reach(part)

        # @param part [Symbol] of the {Graph}
        # @return [Float] 0..1, that it is not known though all that it rests on is
        def next_up(part) = @places.next_up(part)

        # @param asking [Asking]
        # @param day [Integer]
        # @return [Float] 0..1, that what was known is still there on that day
        def retention(asking, day) = @places.retention(asking.part, day)

        # @param asking [Asking]
        # @param day [Integer]
        # @return [Float] 0..1, that it comes on that day without being gone over
        def fresh(asking, day) = @places.fresh(asking.part, day)

        # @return [Hash{Symbol => Array(Integer, Float)}] see {Places#fading}
        def fading = @places.fading

        # @param asking [Asking]
        # @return [Float] days in which half of it is lost
        def half(asking) = @places.half(asking.part)

        # @param misreading [Misreading]
        # @param day [Integer, nil]
        # @return [Float] 0..1, that the child has it
        def mistake(misreading, day = nil)
          place = Mistakes.place(misreading)
          day ? @mistakes.chance_on(place, day) : @mistakes.chance(place)
        end

        # @return [Float] 0..1, how often one who knows is wrong
        def slip = @skills.slip

        # @return [Float] 0..1, that the child is no more careless than most
        def careful = @skills.careful

        protected

        # How likely it is that the child knows all that an item rests on, and what mistakes do there.
        # @param item [Item]
        # @param marked [MarkedAnswer]
        # @param day [Integer]
        def before(item, marked, day)
          @places.fade(item.part, day)
          [met(item), @mistakes.acting(item, marked, day)]
        end
      end
    end
  end
end
