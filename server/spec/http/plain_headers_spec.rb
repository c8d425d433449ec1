# frozen_string_literal: true

RSpec.describe Vantick::Server::Http::PlainHeaders do
  it "lets a header in other bytes go, and keeps one in letters that are no English ones" do
    odd = { "HTTP_X_NAME" => "caf\xE9".b, "HTTP_X_OTHER" => "café".b, "QUERY_STRING" => "text=caf\xE9".b, "HTTP_X_PLAIN" => "cafe" }
    found = described_class.new(->(env) { env }).call(odd.dup)
    expect(found.keys).to eq(%w[HTTP_X_OTHER QUERY_STRING HTTP_X_PLAIN])
    expect(found["HTTP_X_OTHER"]).to eq("café")
  end
end
