# frozen_string_literal: true

# A dial in front of the class whose hands go by themselves: what is asked of the server, and when.
RSpec.describe "A dial without its gears" do
  # What the server says of a picture.
  let(:told) { { verdict: "readable", words: [], time: "7:45", misreadings: [], hour_off_degrees: 12 } }

  def ungeared(script)
    lab(<<~JS, verdict: told)
      const loose = used(() => lab.useLoose());
      const at = { hour_hand_degrees: 245, minute_hand_degrees: 270 };
      const settle = (ms = 30) => new Promise((resolve) => setTimeout(resolve, ms));
      const answer = async (verdict = given.verdict.verdict) => {
        const request = await next();
        request.answer({ ...given.verdict, verdict });
        await settle();
        return request.path;
      };
      #{script}
    JS
  end

  it "is judged as it is let go from its gears, and stands at the time it means when it is geared again" do
    asked, held, right, meant, geared = ungeared(<<~JS)
      loose.toggle(at);
      const asked = await answer();
      const held = { ...loose.hands.value };
      const right = loose.right.value;
      const meant = loose.toggle(at);
      return [asked, held, right, meant, loose.hands.value];
    JS
    expect(asked).to start_with("/api/").and include("245").and include("270")
    expect([held, right, meant, geared]).to eq([{ hour_hand_degrees: 245, minute_hand_degrees: 270 }, false, "7:45", nil])
  end

  it "says nothing while a hand moves, and drops an answer to where the hands are not any more" do
    moving, late, then_ = ungeared(<<~JS)
      loose.toggle(at);
      const first = await next();
      loose.turn({ ...at, hour_hand_degrees: 232 });
      const moving = loose.drawing.value;
      first.answer(given.verdict);
      await settle();
      const late = loose.drawing.value;
      void loose.ask();
      await answer("well_placed");
      return [moving, late, [loose.right.value, loose.drawing.value.verdict]];
    JS
    expect([moving, late, then_]).to eq([nil, nil, [true, "well_placed"]])
  end

  it "says in words that the server is away, and nothing any more once it is back" do
    away, back = ungeared(<<~JS)
      loose.toggle(at);
      (await next()).fail();
      await settle();
      const away = loose.errorMessage.value;
      void loose.ask();
      await answer();
      return [away, loose.errorMessage.value];
    JS
    expect(away).to match(/Can't reach Vantick/)
    expect(back).to eq("")
  end
end
