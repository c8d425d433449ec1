# frozen_string_literal: true

# Answers while they are typed in: nothing typed is lost, whatever the server or the browser does.
RSpec.describe "Answers as they are typed" do
  def grid = <<~JS
    const check = vue.shallowRef({ id: 5, answers: [{ id: "a", child_id: 1, item_id: 10, answer: "qt8", verdict: "right", first_verdict: "right", right: true }] });
    const answers = used(() => lab.useTypedAnswers(check));
    const stored = (given, verdict = "right") => ({ ...given, verdict, first_verdict: verdict, right: verdict === "right", read_as: given.answer });
    const problem = (status, detail) => ({ type: "about:blank", title: "", status, detail, field: "answer" });
    const type = (place, text) => { answers.type(place, text); answers.commit(place); };
    const settle = (ms = 20) => new Promise((resolve) => setTimeout(resolve, ms));
    const at = (place) => ({ text: answers.textAt(place), wrong: answers.wrong.get(place) ?? null, unsent: answers.unsent.value.has(place) });
  JS

  def typed(script, clear: true) = lab("#{'localStorage.clear();' if clear} #{grid} #{script}")

  it "sends what is new when its cell is left, and nothing for what stands there already" do
    done = typed(<<~JS)
      type("1:10", "qt8");
      const nothing = await quiet();
      type("1:11", "hp3");
      const sent = await next();
      const before = at("1:11");
      sent.answer(stored(sent.body));
      await settle();
      return { nothing, path: sent.path, body: sent.body, before, after: at("1:11"), verdict: answers.stored.get("1:11").verdict };
    JS
    expect(done).to include(nothing: true, path: "/api/checks/5/answers", verdict: "right")
    expect(done[:body]).to include(child_id: 1, item_id: 11, answer: "hp3")
    expect([done[:before], done[:after]]).to match([include(text: "hp3", unsent: true), include(text: "hp3", unsent: false)])
  end

  it "keeps the order in which it was typed, and tries again where the server does not answer" do
    done = typed(<<~JS)
      type("1:11", "one"); type("1:12", "two"); type("2:11", "three");
      const first = await next();
      first.fail();
      await settle();
      const offline = answers.offline.value;
      const again = [];
      for (let at = 0; at < 3; at++) { const one = await next(); again.push(one.body.answer); one.answer(stored(one.body)); }
      await settle();
      return { offline, again, left: answers.waiting.value.length, back: answers.offline.value };
    JS
    expect(done).to eq({ offline: true, again: %w[one two three], left: 0, back: false })
  end

  it "has what was not sent after the page was opened anew, also what was being typed" do
    typed("type('1:11', 'one'); (await next()).fail(); answers.type('1:12', 'half'); await settle(); return null")
    again = typed(<<~JS, clear: false)
      const sent = [await next()];
      sent[0].answer(stored(sent[0].body));
      sent.push(await next());
      sent[1].answer(stored(sent[1].body));
      await settle();
      return sent.map((one) => one.body.answer);
    JS
    expect(again).to eq(%w[one half])
  end

  it "says at its place what is refused for good, and goes on with the others" do
    done = typed(<<~JS)
      type("1:11", "bad"); type("1:12", "good");
      const bad = await next();
      bad.answer(problem(422, "Too long."), 422);
      const good = await next();
      good.answer(stored(good.body));
      await settle();
      const wrong = at("1:11");
      answers.commit("1:11");
      const quietly = await quiet();
      answers.type("1:11", "b");
      return { wrong, quietly, good: at("1:12"), mended: at("1:11") };
    JS
    expect(done[:wrong]).to eq({ text: "bad", wrong: "Too long.", unsent: false })
    expect(done[:quietly]).to be(true), "it is not sent again as it stands"
    expect(done[:good]).to include(text: "good", unsent: false)
    expect(done[:mended]).to include(wrong: nil)
  end

  it "undoes change after change, back to what stood there" do
    done = typed(<<~JS)
      const reply = async () => { const one = await next(); one.answer(stored(one.body)); await settle(); };
      type("1:10", "qt7"); await reply();
      type("1:10", "qt9"); await reply();
      answers.undo(); await reply();
      const once = at("1:10").text;
      answers.undo(); await reply();
      answers.undo();
      return [once, at("1:10").text, answers.past.value.length, await quiet()];
    JS
    expect(done).to eq(["qt7", "qt8", 0, true])
  end

  it "takes a teacher's own verdict, and back" do
    done = typed(<<~JS)
      const rule = async (verdict) => {
        const ruling = answers.rule("1:10");
        const one = await next();
        one.answer({ ...answers.stored.get("1:10"), verdict, right: verdict === "right" });
        await ruling;
        return one.body.verdict;
      };
      return [await rule("unexplained"), answers.stored.get("1:10").verdict, await rule("right")];
    JS
    expect(done).to eq(["unexplained", "unexplained", nil])
  end
end
