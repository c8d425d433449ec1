# frozen_string_literal: true

# Who guesses, by the device that does it: many names or many children are no way round.
RSpec.describe Vantick::Server::Access do
  it "makes a device wait after twenty wrong passwords, whichever names they were for, and no other device" do
    throttle = described_class::LoginThrottle.new
    waits = ->(address, name) { throttle.wait({ "REMOTE_ADDR" => address }, name) }
    expect(Array.new(20) { |at| waits["10.0.0.5", "name #{at}"] }).to all(eq(0))
    expect(waits["10.0.0.5", "one more"]).to be_between(25, 30)
    expect(waits["10.0.0.6", "one more"]).to eq(0)
  end

  it "makes a device wait after forty wrong pictures, whichever children they were for, and no other device" do
    presence = described_class::DevicePresence.new
    40.times do |at|
      expect(presence.try_key(at, "tablet 1")).to eq(0)
      presence.wrong_key(at, "tablet 1")
    end
    expect(presence.try_key(99, "tablet 1")).to be_between(110, 120)
    expect(presence.try_key(99, "tablet 2")).to eq(0)
  end

  it "keeps a wrong password that could not be looked at from counting" do
    throttle = described_class::LoginThrottle.new
    env = { "REMOTE_ADDR" => "10.0.0.5" }
    30.times { |at| throttle.wait(env, "name #{at}").tap { throttle.give_back(env, "name #{at}") } }
    expect(throttle.wait(env, "one more")).to eq(0)
  end
end
