# frozen_string_literal: true

require "vips"

RSpec.describe Vantick::Server::Pages::GreyPng do
  it "is read by another program point for point" do
    taken = Vantick::Core::Paper::GrayImage.new(31, 17, Random.new(5).bytes(31 * 17))
    read = Vips::Image.new_from_buffer(described_class.write(taken), "")
    expect([read.width, read.height, read.bands, read.write_to_memory]).to eq([31, 17, 1, taken.bytes])
  end
end
