# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Who works together tomorrow: by what most likely lies behind their mistakes, then by the lowest step not shown yet. The
      # largest needs keep a group of their own; beside them one group, of any size, of those who only go on and need no leading.
      # A teacher can move any child by hand.
      class Groups
        # How many a teacher can lead, and how many work in one.
        MOST_GROUPS = TeachingNumbers.of(:group_count)
        MOST_CHILDREN = TeachingNumbers.of(:group_children)
        # A group is named for a misreading that so large a part of it has.
        NAMED_FROM = TeachingNumbers.of(:group_named_from)
        # Times that show what a group works on.
        TIMES = TeachingNumbers.of(:group_times)

        # What is known of a child.
        # @!attribute key [Object] any name for the child
        # @!attribute misreading [Misreading, nil] likely, if any
        # @!attribute step [Curriculum::Step, nil] the lowest not shown yet, if any
        # @!attribute going_on [Boolean, nil] whether the step is simply the next, and nothing stands in the way
        Known = Struct.new(:key, :misreading, :step, :going_on, keyword_init: true)
        # @!attribute children [Array] keys
        # @!attribute misreadings [Array<Misreading>] that at least half of the group's children have, the commonest first
        # @!attribute step [Curriculum::Step, nil] what its lesson is on: where the misreading can show, or the commonest lowest step
        # @!attribute beside [Boolean] whether it goes on by itself
        # @!attribute times [Array<DialTime, DayTime>] that show what the group works on
        Group = Struct.new(:children, :misreadings, :step, :beside, :times, keyword_init: true)

        # @param children [Array<Known>]
        # @param most [Integer] how many groups the teacher can lead, 1 or more
        # @param seed [Integer] of the day, so that a step's times are not the same every day
        # @return [Array<Group>] misreadings before steps, and last the one beside
        # @raise [InvalidCount] where there is to be no group
        def self.of(children, most: MOST_GROUPS, seed: 0)
          raise InvalidCount.new("Choose at least 1 group.", field: :most) unless most.is_a?(Integer) && most.positive?

          new(children, most, seed).groups
        end

        # @param child [Known]
        # @return [Curriculum::Step, nil] what a lesson for the child is on
        def self.step_of(child) = child.misreading ? lowest_showing(child.misreading) : child.step

        # @param misreading [Misreading]
        # @return [Curriculum::Step] the lowest where it can show
        def self.lowest_showing(misreading) = Curriculum::Step.with_times.find { |step| step.shows?(misreading) }

        # @param children [Array<Known>]
        # @param most [Integer] groups
        # @param seed [Integer] other clocks for another seed
        def initialize(children, most, seed)
          @beside, @led = children.partition(&:going_on)
          @most = most
          @seed = seed
          # Where so many cannot be led in so few groups, the groups are larger: somebody has to work with them.
          @size = [MOST_CHILDREN, (@led.length / most.to_f).ceil].max
        end

        def groups
          found = joined.sort_by { |part| place(part.first) }.map { |part| described(part) }
          @beside.empty? ? found : [*found, described(@beside, beside: true)]
        end

        private

        # What a child works on: needs are the same or not, and lie nearer or further apart.
        def need(child) = child.misreading || child.step

        def parts
          by_need = @led.group_by { |child| need(child) }.values
          by_need.flat_map { |some| some.each_slice(@size).to_a }.sort_by { |part| [-part.length, *place(part.first)] }
        end

        # The largest keep a group, whose first child says what it works on; of the others each joins the nearest that has room.
        def joined
          kept, rest = parts.partition.with_index { |part, at| at < @most && (part.length > 1 || at.zero?) }
          rest.flatten.reduce(kept) { |groups, child| join(groups, child) }
        end

        def join(groups, child)
          open = groups.select { |part| part.length < room(part) }
          open = groups.select { |part| part.length < @size } if open.empty?
          nearest = open.min_by { |part| [*apart(child, part.first), groups.index(part)] } or return [*groups, [child]]
          groups.map { |part| part.equal?(nearest) ? [*part, child] : part }
        end

        # No more than leave half of a group with the misreading that it is named for.
        def room(part)
          return @size unless part.first.misreading

          [@size, (part.count { |child| child.misreading == part.first.misreading } / NAMED_FROM).floor].min
        end

        # Misreadings mended with the same lens lie next to each other, then steps in the order of the ladder.
        def place(child)
          return [0, lens(child.misreading), Reading::Misreading.all.index(child.misreading)] if child.misreading

          [1, rung(child.step), 0]
        end

        def apart(one, other)
          same_lens = one.misreading && other.misreading && lens(one.misreading) == lens(other.misreading)
          [same_lens ? 0 : 1, (rung(Groups.step_of(one)) - rung(Groups.step_of(other))).abs]
        end

        def lens(misreading) = Reading::Misreading.all.map { |other| other.texts[:lens] }.uniq.index(misreading.texts[:lens])

        def rung(step) = step ? Curriculum::Step.all.index(step) : Curriculum::Step.all.length

        def described(part, beside: false)
          misreadings = named(part)
          step = beside || (part.first.misreading && misreadings.empty?) ? lowest(part) : Groups.step_of(part.first)
          Group.new(children: part.map(&:key), misreadings:, step:, beside:, times: times(misreadings, step))
        end

        # Misreadings that half of the group has, where its own is one of them.
        def named(part)
          found = part.filter_map(&:misreading).tally.select { |_, count| count >= NAMED_FROM * part.length }.keys
          found.include?(part.first.misreading) ? found : []
        end

        # The commonest, the lower of two alike.
        def lowest(part) = part.filter_map { |child| Groups.step_of(child) }.tally.max_by { |step, count| [count, -rung(step)] }&.first

        def times(misreadings, step)
          return [] unless step
          return HelpingClocks.of(misreadings.first, step) if misreadings.any?

          Choosing::Chooser.choose(step:, task: step.tasks.first, count: TIMES, seed: @seed).times
        end
      end
    end
  end
end
