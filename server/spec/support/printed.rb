# frozen_string_literal: true

require "open3"
require "pdf-reader"
require "stringio"
require "tempfile"

# A finished file as another program reads it: what is on each page is taken from the PDF itself and not from what drew it.
class Printed
  # A part of a drawing: where it begins, the places it goes through, and how often it bends; lines have their breadth.
  Outline = Struct.new(:places, :bends, :breadth, keyword_init: true) do
    def start = places.first

    def line? = bends.zero? && places.length == 2

    # Middle and radius of a circle, which is four bends.
    def circle
      return unless bends == 4

      x, y = places.transpose.map(&:minmax)
      [[x.sum / 2, y.sum / 2], (x[1] - x[0]) / 2]
    end
  end

  # Takes down what is drawn.
  class Pen
    attr_reader :outlines

    def initialize
      @outlines = []
      @breadth = 1.0
    end

    def set_line_width(breadth) = @breadth = breadth # rubocop:disable Naming/AccessorMethodName -- the reader's name for it

    def begin_new_subpath(x, y) = @outlines << Outline.new(places: [[x, y]], bends: 0, breadth: @breadth)

    def append_line(x, y) = @outlines.last.places << [x, y]

    def append_curved_segment(*places)
      @outlines.last.bends += 1
      @outlines.last.places << places.last(2)
    end
  end

  # A dial with its hands, found by its pin: hour and minute hand end where their outlines begin.
  Dial = Struct.new(:center, :hour, :minute, keyword_init: true) do
    # @return [String] the time, from the hands alone; nothing where they do not belong together
    def time
      minutes = (minute / 6.0).round % 60
      hours = ((hour - (minutes / 2.0)) / 30.0).round % 12
      format("%<hour>d:%<minute>02d", hour: hours.zero? ? 12 : hours, minute: minutes)
    end
  end

  # Of the pin, in points.
  PIN = (0.5..5)

  attr_reader :bytes

  # @param bytes [String]
  def initialize(bytes)
    @bytes = bytes
    @pdf = PDF::Reader.new(StringIO.new(bytes))
  end

  def pages = @pdf.pages

  def page_count = @pdf.page_count

  # What is written on each page, with one space between words.
  def texts = layouts.map { |text| text.gsub(/\s+/, " ") }

  # The same with its lines, where they lie.
  def layouts = @layouts ||= poppler("-layout").split("\f", -1).first(page_count)

  def outlines(page)
    @outlines ||= {}
    @outlines[page.number] ||= Pen.new.tap { |pen| page.walk(pen) }.outlines
  end

  def lines(page) = outlines(page).select(&:line?)

  # @return [Array<Dial>] in the order of drawing
  def dials(page)
    outlines(page).slice_after { |outline| pin?(outline) }.filter_map do |drawn|
      center, = drawn.last.circle if pin?(drawn.last)
      hands = drawn[0...-1].last(2).select { |hand| hand.bends.positive? && !hand.circle }
      hour, minute = hands.map { |hand| degrees(hand.start, center) }
      Dial.new(center:, hour:, minute:) if hour
    end
  end

  # @return [Array<String>] what the codes on a page say, by a reader of codes
  def codes(number)
    picture("-r", "300", "-gray", "-png", "-f", number.to_s, "-l", number.to_s) do |file|
      Open3.capture2("zbarimg", "--quiet", "--raw", "--nodbus", file, err: File::NULL).first.split("\n")
    end
  end

  # Words with their places, as poppler has them: [words, left, top, right, bottom] in points.
  WORD = %r{<word xMin="([\d.-]+)" yMin="([\d.-]+)" xMax="([\d.-]+)" yMax="([\d.-]+)">(.*?)</word>}

  # @return [Array<Array<Array>>] for each page
  def words
    poppler("-bbox").split("<page ").drop(1).map { |page| page.scan(WORD).map { |*box, word| [word, *box.map(&:to_f)] } }
  end

  private

  def poppler(option)
    Open3.capture2("pdftotext", option, "-", "-", stdin_data: @bytes, binmode: true, err: File::NULL).first.force_encoding(Encoding::UTF_8)
  end

  def pin?(outline) = outline.circle && PIN.cover?(outline.circle.last)

  def degrees(tip, center) = (Math.atan2(tip[0] - center[0], tip[1] - center[1]) * 180 / Math::PI) % 360

  def picture(*options)
    Dir.mktmpdir do |folder|
      file = File.join(folder, "page")
      Open3.capture2e("pdftoppm", *options, "-singlefile", "-", file, stdin_data: @bytes, binmode: true)
      yield "#{file}.png"
    end
  end
end
