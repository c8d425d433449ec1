# frozen_string_literal: true

RSpec.describe Vantick::Server::Http::Backoff do
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
    presence = Vantick::Server::Access::DevicePresence
    expect(all).to be >= 12_000
    # One device at 26 cards: each card rests, and so does the device.
    expect(guesses(presence, cards: 26) / all).to be_between(0.01, 0.2)
    # A device for each card.
    expect(guesses(presence, cards: 1) * 26 / all).to be < 0.2
  end

  # Each is a judgement with its reason beside it: a change is to be meant.
  it "holds the numbers of wrong passwords and pictures" do
    access = Vantick::Server::Access
    expect([access::SignIn::FOR_ONE_NAME, access::SignIn::FROM_ONE_DEVICE]).to eq([{ free: 5, rest: 5, most: 900 },
                                                                                   { free: 20, rest: 30, most: 900 }])
    expect([access::DevicePresence::CARD,
            access::DevicePresence::DEVICE]).to eq([{ free: 5, rest: 120, most: 1800 }, { free: 40, rest: 120, most: 1800 }])
  end

  # Tries of a device at so many cards in two hours, as the server counts them.
  def guesses(presence, cards:)
    clock.now = 0.0
    card, device = [presence::CARD, presence::DEVICE].map { |limits| described_class.new(**limits, clock: -> { clock.now }) }
    tried = 0.0
    while clock.now < 7200
      left = (0...cards).map { |one| device.resting(:device).then { |rests| rests.positive? ? rests : card.try(one) } }
      left.count(&:zero?).times { device.try(:device) }
      tried += left.count(&:zero?)
      clock.now += left.min.zero? ? 1 : left.min
    end
    tried
  end
end
