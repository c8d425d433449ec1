# frozen_string_literal: true

# A child's device and the server, request by request: what is sent, what is kept, and what comes of every kind of answer.
RSpec.describe "A child's device" do
  def desk = <<~JS
    const turn = (id) => ({ id, ask: "ask", entry: "digits", items: [{ id: id * 10 }], tried: 0 });
    const going = (done, id, ahead = []) => ({ open: true, round: { done, of: 5 }, turn: id ? turn(id) : null,
      ahead: ahead.map(turn), ahead_ids: ahead, end: null });
    const state = (...all) => ({ child: { id: 7, name: "Bo" }, kind: "practice", ...going(...all) });
    const marked = (done, ...all) => ({ done, results: [{ right: done }], sentence: "said", ...going(...all) });
    const problem = (status, detail = "no") => ({ type: "about:blank", title: "", status, detail, field: null });
    const desk = used(lab.useDesk);
    const at = () => ({ phase: desk.here.value.phase, turn: desk.here.value.turn?.id ?? null, busy: desk.here.value.busy,
      away: desk.here.value.away, news: desk.here.value.news, waiting: desk.here.value.waiting.map((one) => one.turn_id),
      stored: JSON.parse(localStorage.getItem("vantick.desk.outbox.7") ?? "[]").map((one) => one.turn_id) });
    const settle = () => new Promise((resolve) => setTimeout(resolve, 20));
    const seat = async (seated = true, why = null) => (await next()).answer({ seated, why });
    const open = async (now = state(0, 1, [2, 3])) => {
      const opening = desk.open(); await seat(); (await next()).answer(now); await settle(); return opening;
    };
    const answer = async (how) => { const sending = desk.answer(["five"]); const request = await next(); how(request); await sending; return request; };
  JS

  def at_desk(script) = lab("localStorage.clear(); #{desk} #{script}")

  it "asks nothing more where nobody sits" do
    nobody = at_desk("desk.open(); await seat(false, null); await settle(); return { at: at(), nothing: await quiet() };")
    expect(nobody).to include(at: include(phase: "joining", news: ""), nothing: true)
  end

  it "opens, sends an answer with an id of its own, and goes on" do
    done = at_desk(<<~JS)
      await open();
      const request = await answer((one) => one.answer(marked(true, 1, 2, [3])));
      const told = at();
      desk.goOn();
      return { path: request.path, body: request.body, told, then: at() };
    JS
    expect(done[:path]).to eq("/api/desk/answers")
    expect(done[:body]).to include(turn_id: 1, held: [2, 3])
    expect(done[:body][:answers]).to match([{ id: /\A\h{8}-\h{4}-4\h{3}-[89ab]\h{3}-\h{12}\z/, item_id: 10, answer: "five" }])
    expect(done[:told]).to include(phase: "answered", busy: false)
    expect(done[:then]).to include(phase: "asking", turn: 2, waiting: [])
  end

  it "keeps an answer that could not be sent, and sends that very answer before the next one" do
    done = at_desk(<<~JS)
      await open();
      const first = await answer((one) => one.fail());
      const kept = at();
      desk.goOn();
      const sending = desk.answer(["ten"]);
      const again = await next();
      again.answer(marked(true, 1, 2, [3]));
      const second = await next();
      second.answer(marked(true, 2, 3));
      await sending;
      return { kept, same: again.body.answers[0].id === first.body.answers[0].id, late: [first.body.late ?? null, again.body.late],
        order: [again.body.turn_id, second.body.turn_id], then: at() };
    JS
    expect(done[:kept]).to include(phase: "answered", away: true, waiting: [1], stored: [1])
    expect(done).to include(same: true, late: [nil, true], order: [1, 2])
    expect(done[:then]).to include(waiting: [], stored: [], away: false, phase: "answered")
  end

  it "takes up what it kept after the page was opened anew, each answer once" do
    kept = at_desk("await open(); await answer((one) => one.fail()); return at()")
    expect(kept[:stored]).to eq([1])
    again = lab(<<~JS)
      #{desk}
      const opening = desk.open();
      await seat();
      (await next()).answer(state(0, 1, [2, 3]));
      const sent = await next();
      sent.answer(marked(true, 1, 2, [3]));
      await opening;
      return { sent: sent.body.turn_id, at: at(), nothing: await quiet() };
    JS
    expect(again).to include(sent: 1, nothing: true)
    expect(again[:at]).to include(phase: "asking", turn: 2, stored: [], news: "Connected again: 1 answer is in.")
  end

  it "lets go of what can never be taken, and tells the teacher how many" do
    done = at_desk(<<~JS)
      await open();
      await answer((one) => one.fail());
      desk.goOn();
      const sending = desk.answer(["ten"]);
      (await next()).answer(problem(422), 422);
      const loss = await next();
      loss.answer({});
      (await next()).answer(marked(true, 1, 3));
      await sending;
      return { loss: [loss.path, loss.body], at: at() };
    JS
    expect(done[:loss]).to eq(["/api/desk/lost-answers", { answers: 1 }])
    expect(done[:at]).to include(waiting: [], stored: [])
  end

  it "keeps what a filter or a broken server refuses: that may pass" do
    [["busy", 503], ["a filter's page", 403], ["slow down", 429]].each do |what, status|
      done = at_desk("await open(); await answer((one) => one.answer(problem(#{status}), #{status})); return at()")
      expect(done).to include(phase: "answered", waiting: [1]), what
    end
  end

  it "is put out where the child sits elsewhere, with what it has not sent kept for the child" do
    done = at_desk(<<~JS)
      await open();
      await answer((one) => one.answer(problem(401, "Somebody sits here on another device now."), 401));
      return at();
    JS
    expect(done).to include(phase: "joining", news: "Somebody sits here on another device now.", stored: [1])
  end

  it "takes up what the server asks where the task was answered elsewhere" do
    done = at_desk(<<~JS)
      await open();
      const sending = desk.answer(["five"]);
      (await next()).answer(problem(409, "It has been answered."), 409);
      (await next()).answer(state(1, 2, [3]));
      await sending;
      return at();
    JS
    expect(done).to include(phase: "asking", turn: 2, waiting: [], news: "It has been answered.")
  end

  it "sends once where a finger comes down twice" do
    done = at_desk(<<~JS)
      await open();
      const one = desk.answer(["five"]);
      const two = desk.answer(["five"]);
      (await next()).answer(marked(true, 1, 2));
      await Promise.all([one, two]);
      return { nothing: await quiet(), at: at() };
    JS
    expect(done).to include(nothing: true)
  end

  it "begins another round, leaves, and says so where the network is away" do
    done = at_desk(<<~JS)
      await open();
      const leaving = desk.leave();
      (await next()).fail();
      await leaving;
      const stays = at();
      const beginning = desk.again();
      (await next()).answer(state(0, 9, [8]));
      await beginning;
      const begun = at();
      const out = desk.leave();
      (await next()).answer({});
      await out;
      return { stays, begun, out: at() };
    JS
    expect(done[:stays]).to include(phase: "asking", news: "No connection. Wait a moment.")
    expect(done[:begun]).to include(phase: "asking", turn: 9)
    expect(done[:out]).to include(phase: "joining", news: "")
  end
end
