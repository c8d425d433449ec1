# frozen_string_literal: true

# What pages share: asking, doing, a sequence of times, and where the keys are.
RSpec.describe "What the pages are made of" do
  it "asks once for what was asked lately, anew after a change, and again where the server was away" do
    done = lab(<<~JS)
      const ask = (id) => used(() => lab.api.useApiQuery(lab.api.readLadder, () => [id]));
      const settle = (ms = 30) => new Promise((resolve) => setTimeout(resolve, ms));
      const first = ask(1);
      const waits = first.data.value;
      (await next()).answer({ steps: [1] });
      await settle();
      const second = ask(1);
      const atOnce = second.data.value?.steps[0] ?? null;
      (await next()).answer({ steps: [2] });
      await settle();
      const renewed = [first.data.value.steps[0], second.data.value.steps[0]];
      lab.leave();
      const changing = lab.api.removeLesson(3);
      (await next()).answer({});
      await changing;
      const third = ask(1);
      const afterChange = third.data.value;
      (await next()).fail();
      (await next()).answer({ steps: [3] });
      await settle();
      return { waits, atOnce, renewed, afterChange, then: third.data.value.steps[0], errorMessage: third.errorMessage.value };
    JS
    expect(done).to eq({ waits: nil, atOnce: 1, renewed: [2, 2], afterChange: nil, then: 3, errorMessage: "" })
  end

  it "takes what was asked ahead of a page for its own, once, and asks as always where a page wants no such thing" do
    done = lab(<<~JS)
      const settle = () => new Promise((resolve) => setTimeout(resolve, 30));
      const ask = (how) => used(() => lab.api.useApiQuery(lab.api.readLadder, () => [1], how));
      lab.api.askAhead(lab.api.readLadder, [1]);
      (await next()).answer({ steps: [1] });
      await settle();
      const ahead = ask({ ahead: true });
      const once = [ahead.data.value.steps[0], await quiet()];
      const other = ask();
      (await next()).answer({ steps: [2] });
      await settle();
      return { once, then: [other.data.value.steps[0], ahead.data.value.steps[0]] };
    JS
    expect(done).to eq({ once: [1, true], then: [2, 2] })
  end

  it "asks anew for what was asked ahead and refused, and for what was asked ahead of a change" do
    done = lab(<<~JS)
      const settle = () => new Promise((resolve) => setTimeout(resolve, 30));
      const ask = () => used(() => lab.api.useApiQuery(lab.api.readLadder, () => [1], { ahead: true }));
      lab.api.askAhead(lab.api.readLadder, [1]);
      (await next()).answer({}, 500);
      await settle();
      const nobodyTries = await quiet(700);
      const page = ask();
      (await next()).answer({ steps: [1] });
      await settle();
      lab.leave();
      lab.api.askAhead(lab.api.readLadder, [2]);
      (await next()).answer({ steps: [2] });
      await settle();
      const changing = lab.api.removeLesson(3);
      (await next()).answer({});
      await changing;
      const after = used(() => lab.api.useApiQuery(lab.api.readLadder, () => [2], { ahead: true }));
      const older = after.data.value;
      (await next()).answer({ steps: [3] });
      await settle();
      return { nobodyTries, page: page.data.value?.steps[0] ?? null, older, now: after.data.value.steps[0] };
    JS
    expect(done).to eq({ nobodyTries: true, page: 1, older: nil, now: 3 })
  end

  it "takes a preview for no change: what was asked lately is there at once, and after a change that was refused too" do
    done = lab(<<~JS)
      const ask = () => used(() => lab.api.useApiQuery(lab.api.readLadder, () => [1]));
      const settle = () => new Promise((resolve) => setTimeout(resolve, 30));
      const there = [];
      ask();
      (await next()).answer({ steps: [1] });
      await settle();
      for (const [path, status] of [["/api/name-readings", 200], ["/api/classes", 422]]) {
        lab.leave();
        const doing = lab.api.api.POST(path, { body: {} });
        (await next()).answer({}, status);
        await doing;
        there.push(ask().data.value?.steps[0] ?? null);
        (await next()).answer({ steps: [1] });
        await settle();
      }
      return there;
    JS
    expect(done).to eq([1, 1])
  end

  it "asks all that is on the page again once the page has done something, and nothing where that was refused" do
    done = lab(<<~JS)
      const settle = () => new Promise((resolve) => setTimeout(resolve, 30));
      const { run } = used(lab.api.useApiMutation);
      const ladder = used(() => lab.api.useApiQuery(lab.api.readLadder, () => [1]));
      const tokens = used(() => lab.api.useApiQuery(lab.api.listTokens, () => [1], { select: (found) => found.tokens }));
      (await next()).answer({ steps: [1] });
      (await next()).answer({ tokens: [] });
      await settle();
      const doing = run(() => lab.api.makeToken(1, { name: "Tom", scope: "reading" }));
      const sent = await next();
      sent.answer({ id: 1, token: "t" }, 201);
      await doing;
      const again = [await next(), await next()];
      again.forEach((one) => one.answer(one.path.endsWith("tokens") ? { tokens: [7] } : { steps: [2] }));
      await settle();
      const refused = run(() => lab.api.withdrawToken(1, 7));
      (await next()).answer({}, 404);
      return { sent: sent.path, again: again.map((one) => one.path).sort(), done: await doing, refused: await refused,
        now: [ladder.data.value.steps[0], tokens.data.value[0]], quiet: await quiet() };
    JS
    expect(done).to eq({ sent: "/api/classes/1/tokens", again: %w[/api/classes/1/ladder /api/classes/1/tokens], done: true,
                         refused: false, now: [2, 7], quiet: true })
  end

  it "asks once what is worked through, whatever the page does meanwhile" do
    done = lab(<<~JS)
      const { run } = used(lab.api.useApiMutation);
      const pieces = used(() => lab.api.useApiQuery(lab.api.listPieces, () => [1], { fresh: true }));
      (await next()).answer({ pieces: [1, 2] });
      const doing = run(() => lab.api.settlePiece(1, { answer: "7:45" }));
      (await next()).answer({});
      await doing;
      return [await quiet(), pieces.data.value.pieces];
    JS
    expect(done).to eq([true, [1, 2]])
  end

  it "asks again where the server made a mistake of its own, and knows what no other try can mend" do
    done = lab(<<~JS)
      const ladder = used(() => lab.api.useApiQuery(lab.api.readLadder, () => [1]));
      (await next()).answer({ type: "about:blank", title: "", status: 500, detail: "Ours.", field: null }, 500);
      (await next()).answer({ steps: [1] });
      await new Promise((resolve) => setTimeout(resolve, 30));
      const passing = (status, ours) => new lab.api.Refused(null, "No.", status, ours).passing;
      return { now: ladder.data.value.steps, passing: [[404, true], [404, false], [503, true], [0, false]].map((one) => passing(...one)) };
    JS
    expect(done).to eq({ now: [1], passing: [false, true, true, true] })
  end

  it "says what cannot be had, at once where asking again is no use" do
    done = lab(<<~JS)
      const asked = used(() => lab.api.useApiQuery(lab.api.readLadder, () => [9]));
      (await next()).answer({ type: "about:blank", title: "", status: 404, detail: "There is no class 9.", field: "class_id" }, 404);
      await new Promise((resolve) => setTimeout(resolve, 30));
      return [asked.errorMessage.value, asked.refused.value.field, await quiet(700)];
    JS
    expect(done).to eq(["There is no class 9.", "class_id", true])
  end

  it "asks nothing while what it depends on is missing" do
    done = lab(<<~JS)
      const id = vue.ref(null);
      const asked = used(() => lab.api.useApiQuery(lab.api.readLadder, () => id.value && [id.value]));
      const nothing = await quiet();
      id.value = 4;
      const request = await next();
      return [nothing, request.path, asked.data.value];
    JS
    expect(done).to eq([true, "/api/classes/4/ladder", nil])
  end

  it "puts what was refused at its field, and elsewhere what belongs to none" do
    done = lab(<<~JS)
      const { run, wrong, elsewhere, busy } = used(lab.api.useApiMutation);
      const refuse = (field) => run(async () => { throw new lab.api.Refused(field, "No.", 422, true); });
      const first = [await refuse("name"), wrong("name"), wrong("school"), elsewhere("name"), elsewhere("school")];
      const second = [await refuse(null), wrong("name"), elsewhere("name")];
      const well = [await run(async () => undefined), wrong("name"), elsewhere()];
      return { first, second, well, busy: busy.value };
    JS
    expect(done).to eq({ first: [false, "No.", "", "", "No."], second: [false, "", "No."], well: [true, "", ""], busy: false })
  end

  it "tells the ways of a step in which it is asked, and no others; and how many of a class are in each state" do
    done = lab(<<~JS)
      const { waysInWords, countsInWords } = lab.states;
      return [waysInWords({ say: "secure", write: "not_asked" }), waysInWords({}),
        countsInWords({ secure: 11, nearly: 0, learning: 2, not_yet: 0 }), countsInWords(undefined)];
    JS
    expect(done).to eq(["say: secure, write: not asked yet", "", "11 secure, 2 learning", "no clocks of its own"])
  end

  it "calls a check by its step and by how it is asked, and names nothing twice" do
    task = ->(id, name) { { id:, name:, steps: [] } }
    ladder = [["fives_facts", "Counting by fives", 2], ["day_halves", "a.m. and p.m.", 1], ["quarters", "Quarters", 2]]
    sheet = { tasks: [task["numeral_to_minutes", "Counting by fives"], task["minute_only", "Minute hand only"],
                      task["day_half", "a.m. or p.m."]] }
    catalogue = { misreadings: [], english: { locale: "en-GB", words: {} }, sheets: [sheet],
                  tasks: [{ id: "dial_to_words", name: "", notation: "words" }],
                  ladder: ladder.map { |id, name, tasks| { id:, name:, tasks: [{}] * tasks } } }
    done = lab(<<~JS, catalogue:)
      const facts = used(lab.api.useFacts);
      const speaking = facts.speak({ to_word: "till" });
      for (let at = 0; at < 2; at++) { const one = await next(); one.answer(one.path.startsWith("/api/dial") ? { times: [] } : given.catalogue); }
      await speaking;
      return [["fives_facts", "numeral_to_minutes"], ["fives_facts", "minute_only"], ["day_halves", "day_half"], ["quarters", "dial_to_words"]]
        .map(([step, task]) => facts.titleOf({ step, task }));
    JS
    expect(done).to eq(["Counting by fives", "Counting by fives: minute hand only", "a.m. and p.m.", "Quarters, in words"])
  end

  describe "a sequence of times" do
    def sequence = <<~JS
      sessionStorage.clear();
      const facts = used(lab.api.useFacts);
      const speaking = facts.speak({});
      const times = Array.from({ length: 720 }, (_, at) => ({ time: `${Math.floor(at / 60) || 12}:${String(at % 60).padStart(2, "0")}` }));
      for (let at = 0; at < 2; at++) { const one = await next(); one.answer(one.path.startsWith("/api/dial") ? { times } : { ladder: [], misreadings: [], english: { locale: "en-GB", words: {} } }); }
      await speaking;
      const shown = vue.ref("12:00");
      const sequence = used(() => lab.useSequence([], () => shown.value));
    JS

    it "takes times as they are typed, and says which is none" do
      done = lab(<<~JS)
        #{sequence}
        return [sequence.add("07:45, 3.20;12:05 7:45"), sequence.times.value, sequence.add("19:45 1:00"), sequence.errorMessage.value, sequence.times.value.length,
          sequence.add("  "), sequence.errorMessage.value];
      JS
      expect(done.first(2)).to eq([true, %w[7:45 3:20 12:05]])
      expect(done[2..4]).to match([false, /\A19:45 is not a time on the clock/, 3])
      expect(done.last(2)).to eq([false, ""])
    end

    it "goes round, on from where it was left, and is put into another order" do
      done = lab(<<~JS)
        #{sequence}
        sequence.add("1:00 2:00 3:00");
        const go = (by) => (shown.value = sequence.step(by));
        const round = [go(1), go(1), go(1), go(1), go(-1)];
        shown.value = "9:09";
        const aside = [go(1), (shown.value = "9:09", go(-1))];
        sequence.shift(0, 1); sequence.shift(0, -1); sequence.shift(2, 1);
        const order = sequence.times.value;
        sequence.remove(1);
        return { round, aside, order, left: sequence.times.value };
      JS
      expect(done[:round]).to eq(%w[1:00 2:00 3:00 1:00 3:00])
      expect(done[:order]).to eq(%w[2:00 1:00 3:00])
      expect(done[:left]).to eq(%w[2:00 3:00])
      expect(done[:aside].length).to eq(2)
    end

    it "turns on by fives to the next o'clock, and into the other half of the day where it passes twelve" do
      done = lab(<<~JS)
        #{sequence}
        const turning = used(() => lab.useTurning("11:58"));
        const before = [turning.place.value, turning.dayPlace.value];
        turning.place.value = 2;
        const after = [turning.place.value, turning.dayPlace.value];
        turning.go("7:45");
        turning.play();
        const playing = turning.playing.value;
        turning.play();
        return { before, after, at: turning.place.value, playing, stopped: turning.playing.value };
      JS
      expect(done).to eq({ before: [718, 718], after: [2, 722], at: 465, playing: true, stopped: false })
    end
  end

  describe "where the keys are" do
    # Rows with two buttons each, as pages have them.
    def rows = <<~JS
      document.querySelector("#app").innerHTML = `<h1>Page</h1><ul>${[1, 2, 3].map((at) =>
        `<li id="row${at}"><button aria-label="Look at ${at}">Look</button><button class="swap">Swap</button></li>`).join("")}</ul>`;
      used(lab.useKeptFocus);
      const frames = () => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
      const find = (css) => document.querySelector(css);
      const here = () => { const one = document.activeElement; return one.id || `${one.closest("li")?.id ?? one.tagName} ${one.textContent}`; };
    JS

    it "stay, where a button is disabled for a moment" do
      done = lab(<<~JS)
        #{rows}
        const button = find("#row2 .swap");
        button.focus(); button.disabled = true; await frames(); button.disabled = false; await frames();
        return here();
      JS
      expect(done).to eq("row2 Swap")
    end

    it "go to what has come in its place: the same name elsewhere, the next row, or the page" do
      done = lab(<<~JS)
        #{rows}
        find("#row2 button").focus();
        const moved = find("#row2 button").cloneNode(true);
        find("#row2 button").remove();
        find("#row3").append(moved);
        await frames();
        const elsewhere = here();
        find("#row1 .swap").focus(); find("#row1").remove(); await frames();
        const nextRow = here();
        find("#app").innerHTML = "<p>Another page</p>"; await frames();
        return [elsewhere, nextRow, here()];
      JS
      expect(done).to eq(["row3 Look", "row2 Swap", "main"])
    end

    it "are nobody's where one pressed beside everything" do
      done = lab(<<~JS)
        #{rows}
        find("#row1 .swap").focus();
        find("h1").dispatchEvent(new PointerEvent("pointerdown", { bubbles: true }));
        document.activeElement.blur();
        find("#row3").remove();
        await frames();
        return document.activeElement === document.body;
      JS
      expect(done).to be(true)
    end
  end
end
