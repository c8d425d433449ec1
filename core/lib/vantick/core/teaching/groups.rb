# frozen_string_literal: true

module Vantick
  module Core
    # Who works together tomorrow: by what most likely lies behind their mistakes, then by the lowest step
    # that is not secure. A teacher can move any child by hand.
    class Groups
      # How many a teacher can lead, and how many work in one (judgement).
      MOST_GROUPS = 4
      MOST_CHILDREN = 8

      # What is known of a child.
      # @!attribute key [Object] any name for the child
      # @!attribute misreading [Misreading, nil] likely, if any
      # @!attribute step [Step, nil] the lowest not secure, if any
      Known = Struct.new(:key, :misreading, :step, keyword_init: true)
      # @!attribute children [Array] keys
      # @!attribute misreadings [Array<Misreading>] that the group's children have, the commonest first
      # @!attribute step [Step, nil] the lowest that is not secure in the group
      Group = Struct.new(:children, :misreadings, :step, keyword_init: true) do
        # @return [Array<DialTime>] three times that show what the group works on
        def times
          return misreadings.first.best_times if misreadings.any?

          seen = step ? step.pool.reject(&:hidden_hand?) : []
          seen.values_at(0, seen.length / 2, -1).compact.uniq
        end
      end

      # @param children [Array<Known>]
      # @param most [Integer] how many groups the teacher can lead, 1 or more
      # @return [Array<Group>] the largest need first: misreadings before steps
      # @raise [InvalidCount] where there is to be no group
      def self.of(children, most: MOST_GROUPS)
        raise InvalidCount.new("Name 1 group or more.", field: :most) unless most.is_a?(Integer) && most.positive?

        new(children, most).groups
      end

      def initialize(children, most)
        @children = children
        @most = most
        # Where so many cannot be led in so few groups, the groups are larger: somebody has to work with them.
        @size = [MOST_CHILDREN, (children.length / most.to_f).ceil].max
      end

      def groups
        parts = split(@children.group_by { |child| need(child) }.sort_by { |need, _| need }.map(&:last))
        parts = join_nearest(parts) while joinable?(parts)
        parts.map { |part| described(part) }
      end

      private

      # Misreadings mended with the same lens lie next to each other, then steps in the order of the ladder.
      def need(child)
        return [0, lens_place(child.misreading), Misreading.all.index(child.misreading)] if child.misreading

        [1, child.step ? Step.all.index(child.step) : Step.all.length, 0]
      end

      def lens_place(misreading) = Misreading.all.map { |one| one.texts[:lens] }.uniq.index(misreading.texts[:lens])

      def split(parts) = parts.flat_map { |part| even_slices(part) }

      def even_slices(part)
        slices = (part.length / @size.to_f).ceil
        part.each_slice((part.length / slices.to_f).ceil).to_a
      end

      def joinable?(parts) = parts.length > 1 && (parts.length > @most || parts.any?(&:one?))

      # The smallest joins its nearest neighbour; where that grows too large, both are shared out anew.
      def join_nearest(parts)
        at = parts.each_index.min_by { |place| [parts[place].length, place] }
        with = [at - 1, at + 1].select { |place| place.between?(0, parts.length - 1) }.min_by { |place| distance(parts, at, place) }
        first, last = [at, with].minmax
        return pack(parts) if parts[first].length + parts[last].length > @size

        [*parts[0...first], parts[first] + parts[last], *parts[(last + 1)..]]
      end

      def distance(parts, one, other)
        mine, theirs = [one, other].map { |place| need(parts[place].first) }
        [mine.zip(theirs).index { |left, right| left != right } ? -mine.zip(theirs).index { |left, right| left != right } : -mine.length,
         parts[other].length]
      end

      # Neighbours in need side by side, in as few groups as hold them.
      def pack(parts)
        everyone = parts.flatten
        count = [@most, parts.length - 1].min
        count = [count, (everyone.length / @size.to_f).ceil].max
        smaller, larger = everyone.length.divmod(count)
        sizes = Array.new(count) { |place| smaller + (place < larger ? 1 : 0) }
        sizes.map { |size| everyone.shift(size) }
      end

      def described(part)
        misreadings = part.filter_map(&:misreading).tally.sort_by { |_, count| -count }.map(&:first)
        Group.new(children: part.map(&:key), misreadings:, step: part.filter_map(&:step).min_by { |step| Step.all.index(step) })
      end
    end
  end
end
