# frozen_string_literal: true

# What a teacher chooses for one child stands at once and is saved, however quickly the presses come.
RSpec.describe "Adjustments of one child" do
  it "are all saved, also what is chosen while one is saved and while the page asks again" do
    done = lab(<<~JS)
      const plain = { voice: false, larger: false, fewer: false, left_handed: false, notation: "both", home: null };
      const answered = (set) => ({ children: [{ child_id: 1, set, names: [] }] });
      const child = used(() => lab.useAdjustments(() => 7, () => 1));
      (await next()).answer(answered(plain));
      await vue.nextTick();
      const keeping = child.keep({ larger: true });
      const first = await next();
      void child.keep({ fewer: true });
      first.answer({});
      const second = await next();
      second.answer({});
      const asking = await next();
      void child.keep({ left_handed: true });
      const shown = { ...child.set.value };
      asking.answer(answered(second.body));
      const third = await next();
      third.answer({});
      (await next()).answer(answered(third.body));
      await keeping;
      const sent = [first, second, third].map((one) => [one.method, one.body.larger, one.body.fewer, one.body.left_handed]);
      return { sent, shown, then: child.set.value };
    JS
    expect(done[:sent]).to eq([["PUT", true, false, false], ["PUT", true, true, false], ["PUT", true, true, true]])
    expect(done[:shown]).to include(larger: true, fewer: true, left_handed: true)
    expect(done[:then]).to include(larger: true, fewer: true, left_handed: true)
  end
end
