# frozen_string_literal: true

require "vantick/server"
require_relative "../digits/open_set"
require_relative "../../demo/copier/copier"

module Bench
  # Dials that made-up children drew hands on.
  class DrawnDials
    SIDE = 138
    PER_MM = 5.0
    STEPS = %i[quarters fives minutes].freeze
    # How far hands are from where a child means them to be, in degrees at most (judgement).
    OFF = [6, 3].freeze

    Core = Vantick::Core

    # @!attribute reached [Boolean] read without a person
    Seen = Struct.new(:sure, :alike, :off, keyword_init: true)

    def initialize(seed)
      @random = Random.new(seed)
      @task = Core::Tasks::Task.find(:digital_to_dial)
    end

    # @return [Array<Seen>]
    def take(many) = Array.new(many) { dial }

    private

    def dial
      time = Core::Curriculum::Step.find(STEPS.sample(random: @random)).pool.sample(random: @random)
      hands = drawn(time.hands)
      seen = Core::Paper::FieldReader.new(@task, time).hands(picture(hands))
      read = seen.text.scan(/[\d.]+/).map(&:to_f)
      return Seen.new(sure: false, off: [], alike: true) unless seen.sure

      off = hands.zip(read).map { |one, other| Core::Dial::Hands.apart(one, other).abs }
      Seen.new(sure: true, off:, alike: mark(time, hands) == mark(time, read))
    end

    def drawn(hands)
      [hands.hour_degrees, hands.minute_degrees].zip(OFF).map { |degrees, off| degrees.to_f + ((@random.rand + @random.rand - 1) * off) }
    end

    def mark(time, hands)
      marked = Core::Marking::Marker.mark(task: @task, time:, text: Core::Dial::Hands.new(*hands.map { |degrees| degrees.round(1) }).to_s)
      [marked.verdict, marked.misreadings]
    end

    def picture(hands)
      canvas = Vantick::Copier::Canvas.new(SIDE, SIDE)
      middle = [SIDE / 2.0] * 2
      canvas.stroke([middle] * 2, 6, 34)
      Vantick::Copier::ChildHand.new(Random.new(@random.rand(2**31))).draw_hands(canvas, middle, SIDE / 2.0, hands, PER_MM)
      grey = canvas.bytes.bytes.map { |value| ((value * 0.9) + 10 + ((@random.rand - 0.5) * 16)).round.clamp(0, 255) }
      Core::Paper::GrayImage.new(SIDE, SIDE, grey.pack("C*"))
    end
  end

  # Sheets printed, scanned and found again.
  module ScannedPages
    Documents = Vantick::Server::Documents

    module_function

    def make(seed, many)
      random = Random.new(seed)
      pages = Array.new(many) { page(random) }
      scanner = Vantick::Copier::Scanner.new(random)
      canvases = Vantick::Copier.send(:printed, pages.map(&:first))
      pages.map(&:last).zip(canvases.map { |canvas| scanner.scan(canvas, upside_down: random.rand < 0.1) })
    end

    def page(random)
      page = Documents::Page.new
      edge = Documents::Layout::EDGE
      area = [edge, edge, page.width - (2 * edge), page.height - (2 * edge)]
      name = Documents::Finder::Name.new(code: Vantick::Server::Store::Codes.of_sheet { false }, child: random.rand(1..4000).to_s, page: 1)
      Documents::Finder.draw(page, name, area, Documents::Finder.on_page(area))
      8.times { |at| Documents::Dial.new(page, [160 + ((at % 2) * 270), 190 + ((at / 2) * 165)], 60).draw(nil) }
      [page, name.to_s]
    end

    def names(jpeg) = Vantick::Server::Pages::Found.of(decoded(jpeg)).map { |piece| piece.name.to_s }

    def decoded(jpeg)
      image = Vips::Image.new_from_buffer(jpeg, "").colourspace("b-w").cast("uchar")[0]
      Vantick::Core::Paper::GrayImage.new(image.width, image.height, image.write_to_memory)
    end
  end

  # Paper that is read: how much without a person, how rightly, and what it costs.
  class PaperRead < Family
    def drawn_dials(seed) = (@drawn_dials ||= {})[seed] ||= DrawnDials.new(seed).take(Sizes[:drawn_dials])

    def hands(seed)
      read, total = drawn_dials(seed).then { |all| [all.select(&:sure), all.length] }
      yield read, { "dials" => total.to_f, "read alone" => read.length.to_f }
    end

    measure(:hands_read, "of 2,000 drawn dials the share read alone", ">= 0.93") do |seed|
      hands(seed) { |read, parts| Taken.new(read.length.fdiv(parts["dials"]), parts) }
    end

    measure(:hands_wrong, "of those read alone, the share whose mark is not the one of the angles drawn", "<= 0.005") do |seed|
      hands(seed) { |read, parts| Taken.new(read.count { |one| !one.alike }.fdiv(read.length), parts) }
    end

    measure(:hands_error, "middle error of a hand, in degrees", "<= 1.5") do |seed|
      hands(seed) { |read, parts| Taken.new(read.flat_map(&:off).sort.then { |all| all[all.length / 2] }, parts) }
    end

    def digits
      raise "npm ci --prefix bench/digits brings the open set of digits, which is not here" unless Digits.there?

      reader = Vantick::Core::Paper::DigitReader.standard
      @digits ||= Digits.part(:test).first(Sizes[:digits]).map do |ink, digit|
        chances = reader.chances(Vantick::Core::Paper::DigitFeatures.of(ink)).first(10)
        [chances.max >= Vantick::Core::Paper::DigitReader::SURE, chances.index(chances.max) == digit]
      end
    end

    measure(:digits_error, "errors on the open set's test split, over all digits", "<= 0.02") do |_seed|
      sure = digits.select(&:first)
      Taken.new(digits.count { |_, right| !right }.fdiv(digits.length),
                { "sure" => sure.length.fdiv(digits.length), "wrong of the sure" => sure.count { |_, right| !right }.fdiv(sure.length) })
    end

    measure(:pages_found, "of scanned pages the share whose sheet and child are found, none wrongly", ">= 0.99") do |seed|
      found = (1..Sizes[:scanned_stacks]).flat_map do |at|
        ScannedPages.make((seed * 100) + at, Sizes[:scanned_pages]).map do |name, jpeg|
          [name, ScannedPages.names(jpeg)]
        end
      end
      wrong = found.count { |name, names| (names - [name, ""]).any? }
      right = found.count { |name, names| names == [name] }
      Taken.new(wrong.positive? ? 0.0 : right.fdiv(found.length), { "pages" => found.length.to_f, "wrong" => wrong.to_f })
    end

    measure(:page_cost, "seconds to read a page of eight dials, over those that libvips takes to load, turn and write it", "<= 4") do |seed|
      jpegs = ScannedPages.make(seed, Sizes[:cost_pages]).map(&:last)
      printed = Vantick::Server::Pages::PrintedPage.new(ScannedPages.page(Random.new(seed)).first)
      ours = quickest(3) { jpegs.each { |jpeg| read_dials(ScannedPages.decoded(jpeg), printed) } }
      theirs = quickest(3) { jpegs.each { |jpeg| Vips::Image.new_from_buffer(jpeg, "").similarity(angle: 1.5).pngsave_buffer } }
      Taken.new(ours / theirs, { "seconds a page" => ours / jpegs.length })
    end

    # All that is done with a page of dials; what is printed on it is drawn once for a stack.
    def read_dials(picture, printed)
      Vantick::Server::Pages::Found.of(picture).each do |piece|
        warp = Vantick::Core::Paper::Homography.new([[31, 31], [564, 31], [564, 811], [31, 811]], piece.corners)
        8.times do |at|
          box = [160 + ((at % 2) * 270) - 39, 190 + ((at / 2) * 165) - 39, 78, 78]
          Vantick::Core::Paper::HandsSeen.new(printed.written(picture, warp, box))
        end
      end
    end

    # By hand a number and Enter for each dial; of those to look at a number alone.
    measure(:teacher_keys, "keys for a class of 26 by 6 drawn dials, over typing all of it by hand", "<= 0.1") do |seed|
      dials = drawn_dials(seed).first(156)
      looked_at = dials.count { |dial| !dial.sure }
      Taken.new(looked_at.fdiv(dials.length * 2), { "to look at" => looked_at.to_f })
    end
  end
end
