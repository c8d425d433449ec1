# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # Hands that a child drew on a dial, seen in a picture of what lies within its marks. Rings are looked at from the middle outwards:
      # where ink goes on from ring to ring there is a hand, whichever way it bends.
      class HandsSeen
        # Rings, in radii of the picture: where hands stand apart, to just inside the marks.
        RINGS = 0.26.step(0.97, 0.03).map { |ring| ring.round(2) }.freeze
        # Directions looked at on a ring.
        DIRECTIONS = 720
        # In radii of the picture: how far ink may be from where the ring before had it, and what lies nearer is one stroke.
        FOLLOWS = 0.12
        ONE_STROKE = 0.025
        # Rings without ink that a stroke may leap.
        GAP = 4
        # A hand reaches so far, in radii; shorter ones are tails and slips of the pencil (judgement).
        LEAST = 0.4
        LEAST_BROKEN = 0.5
        # Directions nearer than this are one hand, in degrees; and where all lie as near as that, one hand may lie along the other.
        ONE_HAND = 6
        TOGETHER = 20
        # A hand is the longer one for certain from this on, in lengths of the other.
        LONGER = 1.13
        # Share of a hand's rings that have ink on them.
        WHOLE = 0.72
        # The part of a hand that its direction is taken from, from the tip.
        OUTER = 0.6
        # How far towards the tip the line is followed: the tip itself may have an arrow head.
        FOLLOWED = 0.8
        # Strokes that begin together are one hand where they end together, in radii.
        END_TOGETHER = 0.22
        # Of three strokes the shortest is the beginning of another, drawn twice or crookedly, where it is no longer than this and lies so
        # near beside it, in degrees (judgement: a short hand is longer, and the third stroke is the other hand).
        BEGINNING = 0.5
        BESIDE = 10
        # Broader strokes are no hands but hatching, or something rubbed out, in radii.
        BROAD = 0.3

        # @!attribute degrees [Float] clockwise from the top
        # @!attribute reach [Float] in radii
        # @!attribute whole [Boolean] without long gaps
        Stroke = Struct.new(:degrees, :reach, :whole, keyword_init: true)

        # Where the points of each ring lie in a picture of a size; worked out once.
        # @param size [Integer] of the picture, in pixels
        def self.places(size)
          @places ||= {}
          @places[size] ||= RINGS.to_h do |ring|
            points = Array.new(DIRECTIONS) do |at|
              turn = at * 2 * Math::PI / DIRECTIONS
              across, down = [Math.sin(turn), -Math.cos(turn)].map { |way| ((size / 2.0) + (ring * size / 2.0 * way)).to_i }
              (down * size) + across
            end
            [ring, points.freeze]
          end.freeze
        end

        # @return [Array<Stroke>] the longest first
        attr_reader :strokes

        # @param picture [GrayImage] square, its middle the dial's
        def initialize(picture)
          @picture = picture
          @radius = picture.width / 2.0
          @below = picture.ink_below
          @places = HandsSeen.places(picture.width)
          @strokes = told_apart(build).freeze
          freeze
        end

        # @return [Boolean] whether nothing was drawn
        def blank? = strokes.empty? && ink_share < 0.004

        # @return [Array<Dial::Hands>] what it may be, the likeliest first; none where there are not two hands
        def readings
          long, short = strokes
          return [] unless strokes.length == 2

          [[short, long], [long, short]].map { |hour, minute| Dial::Hands.new(hour.degrees.round(1), minute.degrees.round(1)) }
        end

        # @return [Boolean] whether both hands are there, and one is the longer
        def sure?
          long, short = strokes
          strokes.length == 2 && strokes.all?(&:whole) && long.reach > short.reach * LONGER
        end

        private

        # Where one hand lies along the other there is nothing between them: the end of the short one tells of it.
        def told_apart(strokes)
          long = strokes.first
          return strokes unless long && strokes.all? { |stroke| apart(stroke.degrees, long.degrees) <= TOGETHER }

          short = HandsTogether.new(@picture, long).short
          short ? [long, short] : strokes.map { |stroke| Stroke.new(**stroke.to_h, whole: false).freeze }
        end

        def build
          branches = RINGS.each_with_index.reduce([]) { |so_far, (ring, at)| followed(so_far, arcs(ring), ring, at) }
          strokes = branches.sort_by { |branch| -branch.length }.map { |branch| [stroke(branch), branch] }.select(&:first)
          two_of(hands_of(strokes).map(&:first).sort_by { |hand| -hand.reach })
        end

        def two_of(strokes)
          *others, short = strokes
          return strokes unless strokes.length == 3 && short.reach < BEGINNING && apart(*others.map(&:degrees)) > TOGETHER

          others.any? { |other| apart(other.degrees, short.degrees) < BESIDE } ? others : strokes
        end

        def hands_of(strokes)
          strokes.each_with_object([]) { |stroke, kept| kept << stroke if kept.none? { |other| one_hand?(stroke, other) } }
        end

        def one_hand?((one, branch), (other, before)) = same?(one, other) || grown_from?(branch, before)

        def same?(one, other) = apart(one.degrees, other.degrees) < ONE_HAND

        # A barb of an arrow head, and a line drawn twice, have part of their way in common, and end where the other does.
        def grown_from?(branch, before) = branch.first == before.first && (branch.last[0] - before.last[0]).abs <= END_TOGETHER

        # The middles of the ink on a ring, in degrees, and how broad it is.
        def arcs(ring)
          bytes = @picture.bytes
          dark = @places.fetch(ring).map { |place| bytes.getbyte(place) < @below }
          start = dark.index(false) or return []
          runs = (0...DIRECTIONS).map { |at| (at + start) % DIRECTIONS }.chunk_while { |one, other| dark[one] && dark[other] }
          strokes = runs.select { |run| dark[run.first] }.map { |run| [run.first, run.length] }
          joined(strokes, (ONE_STROKE / ring / 2 / Math::PI * DIRECTIONS).ceil)
        end

        def joined(strokes, near)
          whole = strokes.each_with_object([]) do |(from, length), arcs|
            last = arcs.last
            gap = last && ((from - last[0] - last[1]) % DIRECTIONS)
            gap && gap <= near ? last[1] += gap + length : arcs << [from, length]
          end
          whole.map { |from, length| [(from + ((length - 1) / 2.0)) % DIRECTIONS, length].map { |part| part * 360.0 / DIRECTIONS } }
        end

        # Each arc goes on from the nearest branch; one that has gone on already splits.
        def followed(branches, arcs, ring, at)
          grown = Hash.new { |hash, branch| hash[branch] = [] }
          narrow = arcs.reject { |_, length| length / 180.0 * Math::PI * ring > BROAD }
          narrow.map(&:first).each { |degrees| grown[home(branches, degrees, ring, at)] << [ring, degrees, at] }
          fresh = at <= GAP ? grown[nil].zip : []
          branches.flat_map { |branch| grown.key?(branch) ? grown[branch].map { |point| [*branch, point] } : [branch] } + fresh
        end

        # The branch that an arc goes on from.
        def home(branches, degrees, ring, at)
          going = branches.select { |branch| at - branch.last[2] <= GAP + 1 }
          nearest = going.min_by { |branch| apart(branch.last[1], degrees) } or return
          nearest if apart(nearest.last[1], degrees) <= FOLLOWS / ring * 180 / Math::PI
        end

        def stroke(branch)
          reach = branch.last[0]
          return if reach < LEAST || branch.length < 3

          outer = branch.select { |ring, _, _| ring >= reach * (1 - OUTER) }
          whole = branch.length.fdiv(branch.last[2] + 1) >= WHOLE
          return if !whole && reach < LEAST_BROKEN

          Stroke.new(degrees: towards_tip(outer) % 360, reach:, whole:).freeze
        end

        # Where its outer part leads to, as seen from the middle: a line of least squares through its directions, followed to the tip.
        def towards_tip(outer)
          from = outer.first[1]
          turns = outer.map { |ring, degrees, _| [ring, Dial::Hands.apart(degrees, from)] }
          middle = turns.sum(&:first) / turns.length
          from + Line.through(turns).at(middle + ((outer.last[0] - middle) * FOLLOWED))
        end

        def apart(one, other) = Dial::Hands.apart(one, other).abs

        def ink_share
          dark = (0...@picture.bytes.bytesize).step(3).count { |place| @picture.bytes.getbyte(place) < @below }
          dark.fdiv(@picture.bytes.bytesize / 3)
        end
      end
    end
  end
end
