# frozen_string_literal: true

module Vantick
  module Server
    module Pages
      # What is written in the fields of one page. Where somebody may write beside a field, what is printed there is taken off first.
      class FieldsSeen
        # A field as it was read.
        # @!attribute at [Integer] which of the sheet's exercises, from 0
        # @!attribute kind [Symbol]
        # @!attribute seen [Core::Paper::FieldReader::Seen]
        # @!attribute picture [Core::Paper::GrayImage] for a person to look at
        Field = Struct.new(:at, :kind, :seen, :picture, keyword_init: true)
        SCALE = PrintedPage::SCALE
        # Space round a field in the picture that a person sees, and in which children write beside it, in points (judgement: 3 mm).
        ROUND = 6
        BESIDE = 9
        # What is so near before the next box of a row belongs to that one (judgement: half of the gap).
        BEFORE = 5
        # As far to the right of a box as the words beside it may be ringed, in points, where no other box comes.
        LABEL = 90

        # @param page [Documents::Page] as it was printed
        def initialize(page)
          @page = page
        end

        # @return [Boolean] whether it has marks by which it is found
        def located? = !@page.area.nil?

        # @param picture [Core::Paper::GrayImage] of the paper
        # @param corners [Array<Array(Float, Float)>] its marks there
        # @param items [Array<Hash>] what was asked on the sheet, each with `task` and `time`
        # @param own [Core::Paper::OwnDigits] of the child whose paper it is
        # @return [Array<Field>]
        def read(picture, corners, items, own: Core::Paper::OwnDigits::NONE)
          warp = Core::Paper::Homography.new(Documents::Finder.middles(@page.area), corners)
          @page.fields.group_by(&:item).map do |at, fields|
            task = Core::Tasks::Task.find(items[at].task)
            reader = Core::Paper::FieldReader.new(task, task.parse_time(items[at].time), own:)
            field(picture, warp, at, fields, reader)
          end
        end

        private

        def field(picture, warp, at, fields, reader)
          kind = kind_of(fields)
          fields = fields.select { |field| field.kind == kind } unless kind == :cause
          pieces = Pieces.new(picture, warp, printed)
          seen = seen(reader, kind, fields, pieces)
          # Print that lies elsewhere may be taken for writing.
          seen = seen.class.new(**seen.to_h, sure: false) if pieces.astray
          Field.new(at:, kind:, seen:, picture: picture.piece(warp, around(fields), SCALE))
        end

        # A dial that is read in digits and in words is read in words; boxes with a line are a cause, and the right time.
        def kind_of(fields)
          kinds = fields.map(&:kind).uniq
          return :cause if kinds.sort == %i[tick words]

          kinds.include?(:words) ? :words : kinds.first
        end

        # Cut out of the scanned page without the print.
        # @!attribute astray [Boolean, nil] whether the print did not fit somewhere
        Pieces = Struct.new(:picture, :warp, :printed, :astray) do
          def written(box) = printed.written(picture, warp, box) { self.astray = true }
        end
        private_constant :Pieces

        # Drawn once, and only where there is something to read.
        def printed = @printed ||= PrintedPage.new(@page)

        def seen(reader, kind, fields, pieces)
          boxes = fields.map(&:box)
          case kind
          when :hands then reader.hands(pieces.written(boxes.first))
          when :digit then digits(reader, boxes, pieces)
          when :tick then reader.ticks(*ticked(fields, pieces))
          when :cause then cause(reader, *fields.partition { |field| field.kind == :tick }, pieces)
          else words(reader, boxes, pieces)
          end
        end

        # Empty only where all lines are.
        def words(reader, boxes, pieces) = boxes.map { |box| reader.words(pieces.written(box)) }.min_by { |reading| reading.sure ? 1 : 0 }

        def digits(reader, boxes, pieces)
          whole = bounds(boxes, BESIDE)
          reader.digits(pieces.written(whole), boxes.map { |box| placed(box, whole) })
        end

        def cause(reader, ticks, lines, pieces)
          reader.cause(*ticked(ticks, pieces), pieces.written(lines.first.box))
        end

        # All of the boxes in one picture, where each of them is meant in it, and how many points one has.
        def ticked(fields, pieces)
          boxes = fields.map(&:box)
          meant = boxes.map { |box| meant(box, boxes) }
          whole = bounds(meant, 0)
          places = fields.map(&:part).zip(meant.map { |box| placed(box, whole) }).to_h
          [pieces.written(whole), places, boxes.first[2] * boxes.first[3] * (SCALE**2)]
        end

        # Where a child may write who means this box: in it, beside it, round it or its words, but nowhere nearer to another.
        def meant(box, boxes)
          x, y, width, height = box
          above, below = [-1, 1].map { |way| room(box, boxes, way) }
          right = [after(box, boxes) || (x + width + LABEL), @page.width].min
          left = x - (boxes.any? { |other| same_row?(other, box) && other[0] < x } ? BEFORE : BESIDE)
          [left, y - above, right - left, height + above + below]
        end

        # Where the next box of the row begins.
        def after(box, boxes)
          boxes.select { |other| same_row?(other, box) && other[0] > box[0] }.map { |other| other[0] - BEFORE }.min
        end

        def same_row?(other, box) = (other[1] - box[1]).abs < box[3]

        # Halfway to the next row, upwards or downwards.
        def room(box, boxes, way)
          gaps = boxes.map { |other| ((other[1] - box[1]) * way) - box[3] }.select(&:positive?)
          [BESIDE, *gaps.map { |gap| gap / 2.0 }].min
        end

        # A box in points of the picture of another.
        def placed(box, whole) = [box[0] - whole[0], box[1] - whole[1], *box.last(2)].map { |side| side * SCALE }

        def around(fields) = bounds(fields.map(&:box), ROUND)

        def bounds(boxes, round)
          left, top = [0, 1].map { |way| boxes.map { |box| box[way] }.min - round }
          right, below = [0, 1].map { |way| boxes.map { |box| box[way] + box[way + 2] }.max + round }
          [left, top, right - left, below - top]
        end
      end
    end
  end
end
