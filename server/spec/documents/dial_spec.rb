# frozen_string_literal: true

RSpec.describe Vantick::Server::Documents::Dial do
  # Lines as SVG has them; a hand is no line.
  def lines(marks) = plain("/api/dial.svg?time=7:45&numerals=none&marks=#{marks}").body.scan("<line").length

  it "has a mark for each minute, for each five minutes, or none" do
    expect([lines("all") - lines("none"), lines("fives") - lines("none")]).to eq([60, 12])
  end
end
