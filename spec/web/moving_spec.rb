# frozen_string_literal: true

# Hands on a dial: on their way, held by a finger, turned by keys, and as they are written.
RSpec.describe "Hands on a dial" do
  # Where the hands are seen after one change, looked at every few milliseconds until they have been at rest for a while.
  def seen(from, to, after: "", duration: 200)
    lab(<<~JS, from:, to:, duration:)
      const of = ([hour, minute]) => ({ hour_hand_degrees: hour, minute_hand_degrees: minute });
      const to = vue.ref(of(given.from));
      const held = vue.ref(false);
      const hands = used(() => lab.useMoving(() => to.value, () => held.value, given.duration));
      const places = [];
      const look = async (milliseconds) => {
        const end = performance.now() + milliseconds;
        while (performance.now() < end) {
          places.push([hands.value.hour_hand_degrees, hands.value.minute_hand_degrees]);
          await new Promise((resolve) => setTimeout(resolve, 8));
        }
      };
      to.value = of(given.to);
      await look(given.duration * 2);
      #{after}
      return places;
    JS
  end

  def past_the_top(degrees) = degrees > 180 ? degrees - 360 : degrees

  it "travel the nearer way round, over the top as well, and end where they belong" do
    places = seen([5, 350], [355, 20])
    hours, minutes = places.transpose.map { |hand| hand.map { |degrees| past_the_top(degrees) } }
    expect(hours).to eq(hours.sort.reverse)
    expect(minutes).to eq(minutes.sort)
    expect(places.uniq.length).to be > 4
    expect([places.last, hours.minmax, minutes.minmax]).to match([[355, 20], [be >= -5, be <= 5], [be >= -10, be <= 20]])
  end

  it "stay together on their way: the short hand has gone as much of its way as the long one" do
    places = seen([90, 0], [97.5, 90])
    shares = places.map { |hour, minute| [(hour - 90) / 7.5, minute / 90.0] }
    expect(shares).to all(satisfy { |hour, minute| (hour - minute).abs < 0.001 })
  end

  it "are at once where a finger has them, and stay there when it lets go" do
    after = "held.value = true; to.value = of([200, 100]); await vue.nextTick(); await look(30); held.value = false; await look(100);"
    places = seen([0, 0], [30, 30], after:)
    # However few pictures a busy machine takes.
    there = places.index([200, 100])
    expect(places[there - 1]).to eq([30, 30])
    expect(places.drop(there).uniq).to eq([[200, 100]])
  end

  it "are at once where they belong where less motion is asked for" do
    browser.execute_cdp("Emulation.setEmulatedMedia", features: [{ name: "prefers-reduced-motion", value: "reduce" }])
    places = seen([0, 0], [120, 240], duration: 300)
    expect(places.uniq - [[0, 0], [120, 240]]).to eq([])
    expect(places.count([0, 0])).to be <= 3
  ensure
    browser.execute_cdp("Emulation.setEmulatedMedia", features: [])
  end

  it "are turned by keys, each by its own, the short one by a degree, and by five with Shift" do
    turned = lab(<<~JS)
      const from = { hour_hand_degrees: 359, minute_hand_degrees: 0 };
      const press = (key, more = {}) => lab.hands.pressed(from, { key, ...more });
      return [press("ArrowRight"), press("ArrowLeft"), press("ArrowUp"), press("ArrowDown", { shiftKey: true }),
        press("ArrowRight", { shiftKey: true }), press("ArrowUp", { ctrlKey: true }) ?? null, press("a") ?? null];
    JS
    found = turned.map { |hands| hands&.values_at(:hour_hand_degrees, :minute_hand_degrees) }
    expect(found).to eq([[359, 6], [359, 354], [0, 0], [354, 0], [359, 30], nil, nil])
  end

  it "stop at the marks where they are long, and are read from an answer as it is written" do
    loose, read, none = lab(<<~JS)
      const from = { hour_hand_degrees: 10, minute_hand_degrees: 10 };
      return [[lab.hands.loosened(from, "minute", 357.4), lab.hands.loosened(from, "hour", -10.4)],
        lab.hands.handsIn("hour=245 minute=60.5"), lab.hands.handsIn("quarter to eight") ?? null];
    JS
    expect(loose).to eq([{ hour_hand_degrees: 10, minute_hand_degrees: 0 }, { hour_hand_degrees: 350, minute_hand_degrees: 10 }])
    expect([read, none]).to eq([{ hour_hand_degrees: 245, minute_hand_degrees: 60.5 }, nil])
  end
end
