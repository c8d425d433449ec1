# frozen_string_literal: true

# Turns one file into grey pictures of its pages, in a process of its own, so that whatever a file holds stops nobody else:
#   ruby unpack.rb FILE FOLDER FIRST
# It writes NUMBER.grey (a byte for each point) and NUMBER.jpg for each page from FIRST on, and says of each how large it is, in a
# line of JSON.
require "json"
require "open3"

# Points of the longer side of a page: 150 a 25.4 mm on A4. Points and pages of a file at most.
LONG_SIDE = 1754
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

def tell(number, image, folder)
  grey = plain(image).copy_memory
  File.binwrite(File.join(folder, "#{number}.grey"), grey.write_to_memory)
  grey.jpegsave(File.join(folder, "#{number}.jpg"), Q: 55)
  puts JSON.generate({ number:, width: grey.width, height: grey.height })
  $stdout.flush
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

    tell(number, Vips::Image.new_from_file("#{drawn}.pgm"), folder)
    File.delete("#{drawn}.pgm")
  end
end

def picture(file, folder)
  head = Vips::Image.new_from_file(file, access: :sequential)
  stop("too_large") if head.width * head.height > MOST_POINTS
  puts JSON.generate({ pages: 1 })
  tell(1, Vips::Image.thumbnail(file, LONG_SIDE, height: LONG_SIDE, size: :both), folder)
end

file, folder, first = ARGV
beginning = File.binread(file, 16).to_s.b
begin
  require "vips"
  Vips.cache_set_max(0)
  Vips.block("VipsForeignLoad", true)
  LOADERS.each { |loader| Vips.block(loader, false) } if Vips.respond_to?(:block)
  stop("heic") if beginning.match?(HEIC)
  known = PICTURES.any? { |start| beginning.match?(start) }
  pdf(file, folder, first.to_i) if beginning.start_with?(PDF)
  picture(file, folder) if known
  stop("no_picture") unless known || beginning.start_with?(PDF)
rescue StandardError => e
  stop(e.class.name.start_with?("Vips") ? "unreadable" : "failed")
end
