# frozen_string_literal: true

require_relative "other_copier"
require_relative "other_hand"

module Bench
  # What the other hand writes on sheets, and how each field is read: boxes to tick, times in digits, dials.
  module OtherFields
    Core = Vantick::Core
    Server = Vantick::Server
    # What is asked there, as it is stored.
    Item = Struct.new(:task, :time)
    School = Struct.new(:name, :children, :day, :wording, keyword_init: true)
    BRAM = Server::Store::Rows::ChildName.new(id: 1, name: "Bram")
    WREN = School.new(name: "Wren", children: [BRAM].freeze, day: [], wording: Core::Wording::Conventions.default).freeze
    # A hand that is read so far off is read wrongly, in degrees.
    FAR = 5
    # A field as it was read.
    # @!attribute way [Symbol] in which it was filled in; `:empty`, or `:lost` where its page was not found
    # @!attribute right [Boolean] whether it was read as it was meant
    Read = Struct.new(:way, :sure, :right, keyword_init: true)

    # @return [Array(Server::Documents::Page, Array<Item>)] a sheet's first page, and its items
    def sheet(seed, **settings)
      maker = Server::Sheets::SheetMaker.new(WREN, { seed:, own_pages: true, **settings })
      sheet = maker.sheet(made_at: "2026-03-02T08:00:00Z")
      [sheet.class.new(**sheet.to_h, code: "9MTVC").pages.first, maker.items.map { |item| Item.new(settings[:task], item[:time]).freeze }]
    end

    # @yieldparam field [Server::Pages::FieldsSeen::Field]
    # @yieldreturn [Array(Symbol, Boolean)] how it was filled in, and whether it is read rightly
    # @return [Array<Read>]
    def read(page, items, picture, own = Core::Paper::OwnDigits::NONE)
      corners = Server::Pages::Found.of(picture).first&.corners
      return Array.new(items.length) { Read.new(way: :lost, sure: false, right: false) } unless corners

      Server::Pages::FieldsSeen.new(page).read(picture, corners, items, own:).map do |field|
        way, right = yield(field)
        Read.new(way:, sure: field.seen.sure, right:)
      end
    end

    # Every other one is ticked; of these one in five was ticked elsewhere first, and crossed out there.
    def ticks(seed, kind)
      random = Random.new(seed)
      page, items = sheet(seed, kind: "facts", step: "day_halves", task: "day_half")
      meant = meant(page, random)
      hand = OtherHand.new(random, kind)
      strokes = meant.values.flat_map { |field, other, way| ticked(hand, way, field, other) }
      read(page, items, OtherCopier.new(random, kind).copy(page, strokes)) do |field|
        wanted, _, way = meant[field.at]
        [way || :empty, field.seen.text == (wanted ? half(wanted) : "")]
      end
    end

    # @return [Hash{Integer => Array}] by exercise, the box that is meant, another, and the way
    def meant(page, random)
      page.fields.group_by(&:item).select { |at, _| at.even? }.transform_values do |fields|
        [*fields.sample(2, random:), random.rand < 0.2 ? :changed : OtherHand::TICKS.sample(random:)]
      end
    end

    def ticked(hand, way, field, other)
      return hand.tick(field.box, way, width(field)) unless way == :changed

      hand.tick(other.box, :fill, width(other)) + hand.tick(other.box, :cross, width(other)) + hand.tick(field.box, :check, width(field))
    end

    def half(field) = Core::Wording::PartReader.day_half_name(field.part.to_sym)

    def width(field) = Server::Documents::Letters.of(false).width(half(field), 11)

    # Times in digits: three of four boxes are filled in, with the right time or any other.
    def digits(seed, kind)
      random = Random.new(seed)
      times_written(seed, random, OtherHand.new(random, kind), kind).last
    end

    # The same child's next sheet, after a person has settled all of the first.
    def next_digits(seed, kind)
      random = Random.new(seed)
      hand = OtherHand.new(random, kind)
      fields, = times_written(seed, random, hand, kind)
      times_written(seed + 500, random, hand, kind, Core::Paper::OwnDigits.from(fields.map { |field, time| [field.seen.forms, time] })).last
    end

    # @return [Array(Array<Array>, Array<Read>)] fields with what stands in each, and how they were read
    def times_written(seed, random, hand, kind, own = Core::Paper::OwnDigits::NONE)
      page, items = sheet(seed, kind: "rewrite", step: "minutes", task: "words_to_digital")
      meant = times(items.length, random)
      strokes = in_boxes(hand, page.fields.group_by(&:item).slice(*meant.keys).values.zip(meant.values))
      fields = []
      reads = read(page, items, OtherCopier.new(random, kind).copy(page, strokes), own) do |field|
        fields << [field, meant.fetch(field.at, "")]
        [meant[field.at] ? :digits : :empty, field.seen.text == fields.last.last]
      end
      [fields, reads]
    end

    # @return [Hash{Integer => String}] by exercise
    def times(many, random)
      (0...many).reject { |at| (at % 4).zero? }.to_h { |at| [at, Core::Dial::DialTime.all.sample(random:).digital] }
    end

    def in_boxes(hand, written)
      written.flat_map do |boxes, time|
        signs = time.delete(":").rjust(boxes.length).chars
        boxes.zip(signs).reject { |_, sign| sign == " " }.flat_map { |field, sign| hand.digit(field.box, sign.to_i) }
      end
    end

    # Dials: two of three are drawn on.
    def dials(seed, kind)
      random = Random.new(seed)
      page, items = sheet(seed, kind: "draw", step: "minutes", task: "digital_to_dial")
      drawn = drawn(OtherHand.new(random, kind), page, items)
      read(page, items, OtherCopier.new(random, kind).copy(page, drawn.values.flatten(1).map(&:last))) do |field|
        hands = drawn[field.at]
        hands ? [:hands, near?(field.seen.text, hands.map(&:first))] : [:empty, field.seen.text.empty?]
      end
    end

    def drawn(hand, page, items)
      task = Core::Tasks::Task.find(:digital_to_dial)
      page.fields.reject { |field| (field.item % 3).zero? }.to_h do |field|
        x, y, width, = field.box
        [field.item, hand.hands([x + (width / 2), y + (width / 2)], width / 2, task.parse_time(items[field.item][:time]).hands)]
      end
    end

    def near?(text, hands)
      read = text.scan(/[\d.]+/).map(&:to_f)
      read.length == 2 && read.zip(hands).all? { |one, other| Core::Dial::Hands.apart(one, other).abs < FAR }
    end
  end
end
