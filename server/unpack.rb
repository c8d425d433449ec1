# frozen_string_literal: true

# Turns one file into grey pictures of its pages, in a process of its own, so that whatever a file holds stops nobody else:
#   ruby unpack.rb FILE FOLDER FIRST [kept]
# It writes NUMBER.grey (a byte for each point) and NUMBER.jpg for each page from FIRST on, and says of each how large it is, and how light
# its paper was, in a line of JSON. A page that was kept is what was read of it: it is handed out as it is.
require "json"
require "open3"

# Points of the longer side of a page: 150 a 25.4 mm on A4. Points and pages of a file at most.
LONG_SIDE = 1754
# Of a photograph, where the page is a part of it.
PHOTO_SIDE = 2300
# The light on a photograph: paper is what this share of the points round a place is darker than, in squares of so many points, so many
# round each. Where the darkest fifth of it is so dark beside the lightest, it is evened out to this grey, at most so much lighter.
SQUARE = 12
ROUND = 9
PAPER = 0.85
LIGHT = 85
UNEVEN = 0.88
EVENED = 235.0
MOST_LIGHTER = 3.0
# So much out of focus, in points, that the squares of a code run together, it is made sharper.
SHARPENED = 1.5
MOST_POINTS = 120_000_000
MOST_PAGES = 200
PDF = "%PDF-"
# How pictures begin: JPEG, PNG, TIFF in either order of bytes, WebP. A phone's HEIC needs a decoder that not every machine has.
PICTURES = [/\A\xFF\xD8\xFF/n, /\A\x89PNG/n, /\AII\*\x00/n, /\AMM\x00\*/n, /\ARIFF....WEBP/mn].freeze
LOADERS = %w[VipsForeignLoadJpeg VipsForeignLoadPng VipsForeignLoadPpm VipsForeignLoadTiff VipsForeignLoadWebp].freeze
HEIC = /\A....ftyp(?:heic|heix|hevc|heim|mif1|msf1)/mn

def stop(words)
  puts JSON.generate({ trouble: words })
  exit 0
end

# Grey on white, whatever it was, read once.
def plain(image)
  image = image.flatten(background: 255) if image.has_alpha?
  image.colourspace("b-w").cast("uchar")[0]
end

# As if the light were the same all over: a lamp at one side and a hand's shadow are gone.
def evened(grey)
  paper = grey.shrink(SQUARE, SQUARE).rank(ROUND, ROUND, (ROUND * ROUND * PAPER).floor).gaussblur(ROUND / 3.0)
  dark, light = [20, 95].map { |share| paper.cast("uchar").percent(share) }
  return grey if dark >= light * UNEVEN

  floor = EVENED / MOST_LIGHTER
  (grey * EVENED / stretched((paper > floor).ifthenelse(paper, floor), grey)).cast("uchar")
end

# As large as the picture that it is of, to the point.
def stretched(squares, grey)
  onto = squares.resize(grey.width.fdiv(squares.width), vscale: grey.height.fdiv(squares.height), kernel: :linear)
  onto = onto.crop(0, 0, [onto.width, grey.width].min, [onto.height, grey.height].min)
  onto.embed(0, 0, grey.width, grey.height, extend: :copy)
end

def tell(number, grey, folder, light = nil)
  grey = grey.copy_memory
  File.binwrite(File.join(folder, "#{number}.grey"), grey.write_to_memory)
  grey.jpegsave(File.join(folder, "#{number}.jpg"), Q: 55)
  puts JSON.generate({ number:, width: grey.width, height: grey.height, light: })
  $stdout.flush
end

def tell_drawn(number, drawn, folder)
  tell(number, plain(Vips::Image.new_from_file(drawn)), folder)
  File.delete(drawn)
end

def pdf(file, folder, first)
  info, status = Open3.capture2e("pdfinfo", file)
  stop("encrypted") if info.match?(/Incorrect password|^Encrypted:\s+yes/)
  pages = info[/^Pages:\s+(\d+)/, 1].to_i
  stop("unreadable") unless status.success? && pages.positive?
  stop("too_many_pages") if pages > MOST_PAGES
  puts JSON.generate({ pages: })
  (first..pages).each do |number|
    # A name for each: libvips remembers pictures by their names, and would hand back the one before.
    drawn = File.join(folder, "drawn-#{number}")
    one = ["-f", number.to_s, "-l", number.to_s, "-singlefile"]
    _, told = Open3.capture2e("pdftoppm", "-gray", "-scale-to", LONG_SIDE.to_s, *one, file, drawn)
    next puts(JSON.generate({ number:, trouble: "unreadable" })) unless told.success? && File.exist?("#{drawn}.pgm")

    tell_drawn(number, "#{drawn}.pgm", folder)
  end
end

def picture(file, folder, kept)
  head = Vips::Image.new_from_file(file, access: :sequential)
  stop("too_large") if head.width * head.height > MOST_POINTS
  puts JSON.generate({ pages: 1 })
  return tell(1, plain(Vips::Image.new_from_file(file)), folder) if kept

  photo = plain(Vips::Image.thumbnail(file, PHOTO_SIDE, height: PHOTO_SIDE, size: :both)).copy_memory
  tell(1, evened(photo.sharpen(sigma: SHARPENED).copy_memory), folder, photo.percent(LIGHT))
end

file, folder, first, kept = ARGV
beginning = File.binread(file, 16).to_s.b
begin
  require "vips"
  Vips.cache_set_max(0)
  Vips.block("VipsForeignLoad", true)
  LOADERS.each { |loader| Vips.block(loader, false) } if Vips.respond_to?(:block)
  stop("heic") if beginning.match?(HEIC)
  known = PICTURES.any? { |start| beginning.match?(start) }
  pdf(file, folder, first.to_i) if beginning.start_with?(PDF)
  picture(file, folder, kept) if known
  stop("no_picture") unless known || beginning.start_with?(PDF)
rescue StandardError => e
  stop(e.class.name.start_with?("Vips") ? "unreadable" : "failed")
end
