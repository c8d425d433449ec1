# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # What was written in a field, from its small pictures: an answer as it would be typed, and whether it is sure enough to be marked
      # without a person. It is never asked what would be right: only whether a little more or less of a hand would change its mark.
      class FieldReader
        # How far hands are seen off, in degrees: where so much would change the mark, a person looks (measured, `bin/bench hands_wrong`).
        SEEN_OFF = 0.8
        # Ink in and round a box to tick, without the print, in parts of the box: from the first on it is ticked, up to the second it is
        # empty.
        TICKED = 0.06
        EMPTY = 0.025
        # Where words stand above their line, in parts of the height: not on the line, and not where it may be dotted halfway up.
        ABOVE_LINE = [(0.06..0.38), (0.53..0.78)].freeze
        # Ink on a line for words, above the line itself, from which on something is written (judgement).
        WRITTEN = 0.0025
        # A digit may reach so far out of its box, in points at five a millimetre (judgement: 1.5 mm).
        DIGIT_ROUND = 8
        # Ink beside the boxes for digits, without the print, in parts of a box: from there on somebody wrote outside (judgement).
        OUTSIDE = 0.02

        # Boxes of a time, what it can be, and how many of the likeliest are told.
        TIME = 4
        HOURS = (0..23)
        MINUTES = (0..59)
        GUESSES = 3

        # @!attribute text [String] as it would be typed; empty where nothing was written
        # @!attribute sure [Boolean] whether it can be marked without a person
        # @!attribute guesses [Array<String>] what else it may be, the likeliest first
        # @!attribute remarks [Array<Symbol>] such as `:mirrored`
        # @!attribute forms [Array<String, nil>] of each digit, as {OwnDigits} keeps it; nothing where its box is empty
        Seen = Struct.new(:text, :sure, :guesses, :remarks, :forms, keyword_init: true) do
          def initialize(text: "", sure: false, guesses: [], remarks: [], forms: []) = super
        end
        BLANK = Seen.new(sure: true).freeze

        # @param task [Tasks::Task]
        # @param time [DialTime, DayTime] that was asked
        # @param own [OwnDigits] of the child whose paper it is
        def initialize(task, time, own: OwnDigits::NONE)
          @task = task
          @time = time
          @own = own
          freeze
        end

        # @param picture [GrayImage] of what lies within the marks of a dial, without the print
        # @return [Seen]
        def hands(picture)
          seen = HandsSeen.new(picture)
          return BLANK if seen.blank?

          readings = seen.readings
          guesses = readings.map(&:to_s)
          Seen.new(text: guesses.first.to_s, sure: seen.sure? && settled?(readings.first), guesses:).freeze
        end

        # @param picture [GrayImage] of the boxes and what is round them, without the print
        # @param boxes [Array<Array(Numeric, Numeric, Numeric, Numeric)>] of each digit, from the left, in its points
        # @return [Seen] never sure where somebody wrote outside the boxes
        def digits(picture, boxes)
          blots = Blots.new(picture)
          seen = in_boxes(blots.alone(picture, boxes.each_with_index.to_h { |box, at| [at, box] }, DIGIT_ROUND).values)
          left, top = [0, 1].map { |way| boxes.map { |box| box[way] }.min }
          right, below = [0, 1].map { |way| boxes.map { |box| box[way] + box[way + 2] }.max }
          return seen if blots.outside([left, top, right - left, below - top]) < OUTSIDE * boxes.first[2] * boxes.first[3]

          Seen.new(**seen.to_h, sure: false).freeze
        end

        # @param picture [GrayImage] of all boxes and what is round them, without the print
        # @param boxes [Hash{String => Array<Numeric>}] by what each stands for, where somebody writes who means it, in its points
        # @param points [Float] of a box itself
        # @return [Seen]
        def ticks(picture, boxes, points)
          marked, one = marked(picture, boxes, points)
          return BLANK if marked.empty?

          names = marked.map { |half| Wording::PartReader.day_half_name(half.to_sym) }
          Seen.new(text: one ? names.first : "", sure: one, guesses: names).freeze
        end

        # @param picture [GrayImage] as for {#ticks}
        # @param boxes [Hash{String => Array<Numeric>}] by the misreading that each stands for
        # @param points [Float] of a box itself
        # @param line [GrayImage] where the right time is written
        # @return [Seen] the cause that was ticked, if one was; never sure but where nothing was ticked or written
        def cause(picture, boxes, points, line)
          marked, one = marked(picture, boxes, points)
          return words(line) if marked.empty?

          Seen.new(text: one ? marked.first : "", guesses: marked).freeze
        end

        # @param picture [GrayImage] of a line and the space above it
        # @return [Seen] never sure but where it is empty: words are typed by a person
        def words(picture)
          below = picture.ink_below
          rows = ABOVE_LINE.flat_map { |part| (part.min * picture.height).ceil.upto((part.max * picture.height).floor).to_a }
          dark = rows.sum { |row| picture.bytes.byteslice(row * picture.width, picture.width).each_byte.count { |grey| grey < below } }
          dark.fdiv(rows.length * picture.width) < WRITTEN ? BLANK : Seen.new.freeze
        end

        class << self
          # @param picture [GrayImage] of a box, without its line
          # @param own [OwnDigits] of the child who wrote it
          # @return [DigitReader::Read]
          def digit(picture, own = OwnDigits::NONE)
            ink = ink(picture)
            return DigitReader::BLANK if ink.flatten.count { |value| value > 0.4 } < 9

            DigitReader.standard.read(ink, own)
          end

          private

          # Rows of ink, 0 paper to 1 ink.
          def ink(picture)
            paper = picture.paper
            depth = [paper - picture.ink_below, 1].max * 1.6
            picture.bytes.bytes.each_slice(picture.width).map { |row| row.map { |grey| ((paper - grey) / depth).clamp(0.0, 1.0) } }
          end
        end

        private

        def in_boxes(pictures)
          read = pictures.map { |picture| FieldReader.digit(picture, @own) }
          return BLANK if read.all?(DigitReader::BLANK)

          seen = read.length == TIME ? time(read) : number(read)
          Seen.new(**seen, forms: read.map(&:form), remarks: read.select(&:mirrored).map { :mirrored }.uniq).freeze
        end

        def number(read)
          { text: written(read.map(&:digit)), sure: read.all?(&:sure?) && complete?(read), guesses: guesses(read) }
        end

        # What is ticked, the darkest first, and whether that is one and clear.
        def marked(picture, boxes, points)
          ink = Blots.new(picture).shares(boxes).transform_values { |many| many / points }
          marked = ink.reject { |_, share| share < EMPTY }.sort_by { |_, share| -share }
          [marked.map(&:first), marked.one? && marked.first.last > TICKED]
        end

        # Read as a whole: the likeliest that can be a time. Where the digits by themselves are none, a person looks. This leans on no
        # right answer.
        def time(read)
          times = possible(read)
          alone = read.map(&:digit)
          return { text: written(alone), guesses: guesses(read) } if times.empty?

          sure = times.first == alone && read.all?(&:sure?) && complete?(read)
          { text: written(times.first), sure:, guesses: times.first(GUESSES).map { |digits| written(digits) } }
        end

        # Hours of a day and minutes of an hour that the boxes may hold, the likeliest first.
        def possible(read)
          boxes = read.map { |digit| digit.guesses.empty? ? [nil] : digit.guesses }
          found = boxes.first.product(*boxes.drop(1)).select { |digits| time?(digits) }
          found.sort_by { |digits| -read.zip(digits).map { |box, digit| box.chances.fetch(digit, 1.0) }.reduce(:*) }
        end

        def time?(digits)
          hour, minutes = digits.each_slice(2).map(&:join)
          return false if hour.empty? || minutes.length < 2

          HOURS.cover?(hour.to_i) && MINUTES.cover?(minutes.to_i)
        end

        # Whether a little more or less of each hand is marked alike.
        def settled?(hands)
          ways = [-SEEN_OFF, 0, SEEN_OFF]
          marks = ways.product(ways).map do |hour, minute|
            text = Dial::Hands.new(hands.hour_degrees + hour, hands.minute_degrees + minute).to_s
            Marking::Marker.mark(task: @task, time: @time, text:).then { |marked| [marked.verdict, marked.misreadings] }
          end
          marks.uniq.one?
        end

        # Of the two boxes of an hour or a number one may be empty; minutes have two digits.
        def complete?(read) = read.first(2).any?(&:digit) && read.drop(2).all?(&:digit)

        def written(digits)
          return digits.join if digits.length < 4

          "#{digits.first(2).join}:#{digits.last(2).join}"
        end

        # The likeliest, and what it is where the most doubtful digit is another.
        def guesses(read)
          doubtful = read.each_index.reject { |at| read[at].guesses.empty? }.min_by { |at| read[at].chance } or return []
          read[doubtful].guesses.map do |digit|
            written(read.each_with_index.map { |box, at| at == doubtful ? digit : box.digit })
          end
        end
      end
    end
  end
end
