# frozen_string_literal: true

# Leaves of a picture what lies within four corners and makes the rest white, in a process of its own:
#   ruby cut.rb PICTURE CORNERS...
# CORNERS are JSON, `[[x, y], ...]` in points of the picture. For each it writes NUMBER.jpg in the folder that it runs in.
require "json"
require "vips"

# Share of a piece's breadth that stays round it, as the corners are the middles of its marks.
MARGIN = 0.04
WHITE = "\xFF".b

# The corners moved outwards from their middle.
def wider(corners)
  middle = corners.transpose.map { |values| values.sum / corners.length.to_f }
  corners.map { |corner| corner.zip(middle).map { |value, centre| centre + ((value - centre) * (1 + MARGIN)) } }
end

# From where to where a row of points lies within the corners.
# @return [Array(Integer, Integer), nil]
def within(corners, y)
  sides = corners.each_with_index.map { |corner, at| [corner, corners[(at + 1) % corners.length]] }
  crossed = sides.filter_map do |(x1, y1), (x2, y2)|
    next if y1 == y2 || !y.between?(*[y1, y2].minmax)

    x1 + ((y - y1) * (x2 - x1) / (y2 - y1).to_f)
  end
  crossed.minmax.map(&:round) if crossed.length > 1
end

def row(points, span)
  from, to = span&.map { |x| x.clamp(0, points.bytesize) }
  return WHITE * points.bytesize unless from && to > from

  (WHITE * from) + points.byteslice(from, to - from) + (WHITE * (points.bytesize - to))
end

picture = Vips::Image.new_from_file(ARGV.first)
picture = picture.colourspace("b-w")[0].cast("uchar")
bytes = picture.write_to_memory
ARGV.drop(1).each_with_index do |text, number|
  corners = wider(JSON.parse(text))
  rows = Array.new(picture.height) { |y| row(bytes.byteslice(y * picture.width, picture.width), within(corners, y)) }
  cut = Vips::Image.new_from_memory(rows.join, picture.width, picture.height, 1, :uchar)
  cut.jpegsave("#{number}.jpg", Q: 55)
end
