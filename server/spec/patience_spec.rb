# frozen_string_literal: true

RSpec.describe Vantick::Server::Http::Patience do
  let(:clock) { Struct.new(:now).new(0.0) }
  let(:patience) { described_class.new(free: 3, rest: 10, most: 35, clock: -> { clock.now }) }

  # So many tries, and the seconds to wait that each was answered with.
  def tries(count, key = :a) = Array.new(count) { patience.try(key) }

  it "lets a few tries pass, then makes each round wait twice as long, up to a longest wait" do
    waits = Array.new(5) do
      passed = tries(3)
      left = patience.try(:a)
      clock.now += left
      [passed.uniq, left]
    end
    expect(waits).to eq([[[0], 10], [[0], 20], [[0], 35], [[0], 35], [[0], 35]])
  end

  it "knows one from another, and forgets whoever was right or came back after long" do
    tries(3)
    expect([patience.resting(:a), patience.resting(:b), patience.try(:b)]).to eq([10, 0, 0])
    patience.forget(:a)
    expect(tries(3)).to eq([0, 0, 0])
    clock.now += described_class::FORGOTTEN + 1
    expect([patience.resting(:a), *tries(3)]).to eq([0, 0, 0, 0])
    patience.forget_if { |key| key == :a }
    expect(patience.resting(:a)).to eq(0)
  end

  it "counts many at once, each" do
    passed = Array.new(20) { Thread.new { patience.try(:c) } }.map(&:value)
    expect(passed.count(0)).to eq(3)
  end

  it "lets a guesser at one device find under one in five of a class's pictures in two hours, and one at each of 26 hardly more" do
    keys = Vantick::Server::Store::Keys
    all = keys::PICTURES.length.then { |many| many * (many - 1) * (many - 2) }
    room = Vantick::Server::Access::Room
    card = described_class.new(**room::CARD, clock: -> { clock.now })
    in_two_hours = 0
    while clock.now < 7200
      left = card.try(:card)
      left.zero? ? in_two_hours += 1 : clock.now += left
    end
    expect(all).to be >= 12_000
    expect(in_two_hours * 26.0 / all).to be < 0.2
  end
end
