# frozen_string_literal: true

RSpec.describe Vantick::Server::Documents::Cells::Read do
  let(:address) { "/api/classes/#{make_class['id']}" }

  # The numbers on the clocks of a sheet that asks for about what time it is.
  def numbers(numerals)
    settings = { kind: "estimate", step: "fives", task: "estimate", numerals:, count: 4, seed: 1 }
    page = post("#{address}/sheet-previews", settings).body["pages"].first
    page.scan(/>(12|3|6|9)</).flatten
  end

  it "leaves four numbers on a bare clock, and none where the sheet has none" do
    expect(numbers("all").tally).to eq("12" => 4, "3" => 4, "6" => 4, "9" => 4)
    expect(numbers("none")).to eq([])
  end
end
