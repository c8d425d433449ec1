# frozen_string_literal: true

require_relative "../../../demo/copier/copier"

# Pages as the copier's stand-in prints them, as pictures.
module DrawnPages
  def documents = Vantick::Server::Documents

  def page(name)
    page = documents::Page.new
    edge = documents::Layout::EDGE
    area = [edge, edge, page.width - (2 * edge), page.height - (2 * edge)]
    documents::Finder.draw(page, documents::Finder::Name.new(**name), area, documents::Finder.on_page(area))
    page
  end

  # @return [Array<Vips::Image>]
  def printed(*pages)
    Vantick::Copier.send(:printed, pages).map do |canvas|
      Vips::Image.new_from_memory_copy(canvas.bytes, canvas.width, canvas.height, 1, :uchar)
    end
  end

  def sheet = @sheet ||= printed(page({ code: "K7RDX", child: "26", page: 2 })).first

  def picture(image)
    grey = image.colourspace("b-w").cast("uchar")[0]
    Vantick::Core::Paper::GrayImage.new(grey.width, grey.height, grey.write_to_memory)
  end
end
