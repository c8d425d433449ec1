# frozen_string_literal: true

require_relative "drawn_pages"

# Files taken apart by poppler and libvips, in a process of their own.
RSpec.describe Vantick::Server::Pages::Unpacked do
  include DrawnPages

  def pages(file, **how)
    path = File.join(folder, "file")
    File.binwrite(path, file)
    described_class.new(path, **how).to_enum(:each).map do |count, page|
      [count, page&.number, page&.picture&.width, page&.picture&.height]
    end
  end

  it "takes a file apart page by page, at the same size whatever it was, from the one that is wanted" do
    jpegs = [sheet, sheet.resize(0.6), sheet.resize(1.3)].map { |one| one.jpegsave_buffer(Q: 80) }
    pdf = Vantick::Copier.pdf(jpegs)
    expect(pages(pdf).map { |page| page.first(2) }).to eq([[3, nil], [3, 1], [3, 2], [3, 3]])
    expect(pages(pdf, from: 3).map { |page| page[1] }).to eq([nil, 3])
    expect(pages(pdf).drop(1).map { |page| page[3] }.uniq).to eq([1754])
  end

  it "takes pictures of four kinds, and says of a phone's HEIC what to choose" do
    small = sheet.resize(0.5).cast("uchar")
    kinds = %i[jpegsave_buffer pngsave_buffer tiffsave_buffer webpsave_buffer].map { |kind| small.public_send(kind) }
    kinds.each { |file| expect(pages(file).map { |page| page.first(2) }).to eq([[1, nil], [1, 1]]) }
    %w[heic mif1].each do |brand|
      file = "\0\0\0\x18ftyp#{brand}\0\0\0\0".b + ("\0" * 50)
      expect { pages(file) }.to raise_error(Vantick::Server::Pages::Unpacked::Unreadable, /HEIC.*choose JPEG/)
    end
  end

  # What is drawn on each page is told by where its black bar ends.
  def bar(width, height, share)
    page = (Vips::Image.black(width, height) + 255).cast("uchar")
    page.draw_rect([0], 0, 0, (width * share).round, height / 10, fill: true)
  end

  it "takes pages of different size and turn in one file each as it is, and none for another" do
    shapes = [[1240, 1754, 0.2], [1754, 1240, 0.4], [1754, 2480, 0.6], [874, 1240, 0.8]]
    pdf = Prawn::Document.new(skip_page_creation: true, margin: 0)
    shapes.each do |width, height, share|
      pdf.start_new_page(size: [width / 2.0, height / 2.0], margin: 0)
      pdf.image(StringIO.new(bar(width, height, share).jpegsave_buffer(Q: 90)), at: [0, height / 2.0], width: width / 2.0)
    end
    File.binwrite(File.join(folder, "file"), pdf.render)
    found = described_class.new(File.join(folder, "file")).to_enum(:each).filter_map { |_, page| page }
    expect(found.map(&:number)).to eq([1, 2, 3, 4])
    shares = found.map do |page|
      width = page.picture.width
      (0...width).count { |x| page.picture.at(x, 20) < 100 } / width.to_f
    end
    shares.zip(shapes).each { |share, (_, _, drawn)| expect(share).to be_within(0.03).of(drawn) }
    expect(found.map { |page| page.picture.width > page.picture.height }).to eq([false, true, false, false])
  end

  # A program that falls at the second page of four, as one did at a page that was too much for it.
  it "counts a page at which reading fell as one that cannot be read, and goes on with the next" do
    program = File.join(folder, "falls.rb")
    File.write(program, <<~RUBY)
      require "json"
      folder, first = ARGV.values_at(1, 2)
      $stdout.puts JSON.generate({ pages: 4 })
      (first.to_i..4).each do |number|
        $stdout.flush
        Process.kill(:KILL, Process.pid) if number == 2
        %w[grey jpg].each { |kind| File.binwrite(File.join(folder, "\#{number}.\#{kind}"), "x") }
        $stdout.puts JSON.generate({ number:, width: 1, height: 1 })
      end
    RUBY
    stub_const("Vantick::Server::Pages::Unpacked::PROGRAM", program)
    found = described_class.new(File.join(folder, "file")).to_enum(:each).filter_map { |_, page| page }
    expect(found.map { |page| [page.number, page.picture.nil?] }).to eq([[1, false], [2, true], [3, false], [4, false]])
  end

  it "takes photographs the right way up, by what the phone says of them, and pictures with colours and without paper behind" do
    lying = sheet.rot90.copy
    lying = lying.mutate { |drawn| drawn.set_type!(GObject::GINT_TYPE, "orientation", 8) }
    expect(pages(lying.jpegsave_buffer).last).to match([1, 1, be_within(4).of(1627), 2300])
    clear = sheet.bandjoin([sheet, sheet, sheet]).copy(interpretation: :srgb)
    expect(pages(clear.pngsave_buffer).last).to match([1, 1, be_within(4).of(1627), 2300])
  end

  # Greys of the page itself, away from what is printed, in tenths from its darkest to its lightest.
  def light(taken)
    file = File.join(folder, "light.jpg")
    File.binwrite(file, taken.jpegsave_buffer(Q: 95))
    page = described_class.new(file).enum_for(:each).filter_map { |_, found| found }.first.picture
    page.bytes.bytes.each_slice(997).map(&:first).sort.then { |greys| [1, 9].map { |tenth| greys[greys.length * tenth / 10] } }
  end

  it "evens out the light of a photograph that a hand's shadow lies on, and leaves an even one" do
    paper = Vips::Image.black(1200, 1700) + 230
    shadow = (Vips::Image.xyz(1200, 1700)[0] > 700).ifthenelse(paper * 0.5, paper).gaussblur(20)
    dark, bright = light(shadow.cast("uchar"))
    expect(bright - dark).to be < 25
    expect(light(paper.cast("uchar"))).to all(be_within(2).of(230))
  end
end
