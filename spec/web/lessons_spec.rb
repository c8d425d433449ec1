# frozen_string_literal: true

# A lesson on the screen: while it is changed, and while it is given.
RSpec.describe "A lesson" do
  describe "that is changed" do
    def lesson = <<~JS
      const item = (time) => ({ time });
      const made = (version, times, more = {}) => ({ id: 3, day: "2026-11-26", step: "quarters", task: "dial_to_words", minutes: 40, seed: 1,
        method: {}, stage_minutes: {}, pinned: {}, swapped: [], opening: 0, version, stages: [{ id: "show", items: times.map(item) }], ...more });
      const lesson = used(lab.lesson.useLesson);
      const loading = lesson.load(3);
      (await next()).answer(made(1, ["7:45", "3:30"]));
      await loading;
      const times = () => lesson.lesson.value.stages[0].items.map((one) => one.time);
    JS

    it "is kept at once, and undone change by change, each from the version there is" do
      done = lab(<<~JS)
        #{lesson}
        const swapping = lesson.swap({ stage: "show", at: 1 });
        const swap = await next();
        swap.answer(made(2, ["7:45", "9:15"]));
        await swapping;
        const swapped = times();
        const undoing = lesson.undo();
        const undo = await next();
        undo.answer(made(3, ["7:45", "3:30"]));
        await undoing;
        return { swap: swap.body, swapped, undo: [undo.body.kept.show, undo.body.version], after: times(), more: lesson.canUndo.value };
      JS
      expect(done[:swap]).to include(kept: { show: ["7:45", nil] }, swapped: ["3:30"], version: 1)
      expect(done).to include(swapped: %w[7:45 9:15], undo: [%w[7:45 3:30], 2], after: %w[7:45 3:30], more: false)
    end

    it "takes changes one after the other, and keeps nothing to undo of one that was refused" do
      done = lab(<<~JS)
        #{lesson}
        const one = lesson.settle({ minutes: 30 }), two = lesson.settle({ opening: 1 });
        const first = await next();
        const waits = await quiet();
        first.answer({ type: "about:blank", title: "", status: 422, detail: "20 to 75 minutes.", field: "minutes" }, 422);
        const second = await next();
        const between = lesson.canUndo.value;
        second.answer(made(2, ["7:45", "3:30"], { opening: 1 }));
        const told = [await one, await two];
        return { waits, told, sent: [second.body.minutes, second.body.opening], between, undo: lesson.canUndo.value };
      JS
      expect(done).to eq({ waits: true, told: [false, true], sent: [40, 1], between: false, undo: true })
    end

    it "pins a typed time, and lets a pinned one go" do
      done = lab(<<~JS)
        #{lesson}
        const putting = lesson.put({ stage: "show", at: 0 }, "4:49");
        const put = await next();
        put.answer(made(2, ["4:49", "3:30"], { pinned: { show: ["4:49"] } }));
        await putting;
        const pinning = lesson.pin({ stage: "show", at: 0 });
        const pin = await next();
        pin.answer(made(3, ["4:49", "3:30"]));
        await pinning;
        return [put.body.kept.show, put.body.pinned, pin.body.pinned];
      JS
      expect(done).to eq([%w[4:49 3:30], { show: ["4:49"] }, { show: [] }])
    end
  end

  # Stages as Vantick sends them: whether their clocks are the lesson's own, and whether they lie on paper.
  def kinds = <<~JS
    const OWN = ["show", "together", "alone"], PAPER = ["alone", "exit"];
    const kind = (id) => ({ id, name: "", minutes: 5, fresh: OWN.includes(id), on_paper: PAPER.includes(id) });
  JS

  it "is gone through stage by stage, knows what was not reached, and finds its place again" do
    done = lab(<<~JS)
      sessionStorage.clear();
      #{kinds}
      const stage = (id, ...times) => ({ ...kind(id), items: times.map((time) => ({ time })) });
      const lesson = { hinges: [], stages: [stage("warm_up", "1:00"), stage("show", "2:00", "3:00"), stage("together", "4:00"), stage("exit", "5:00", "6:00")] };
      const run = () => used(() => lab.useRun("3", () => lesson));
      const first = run();
      const went = [];
      const where = (one) => `${one.stageAt.value}.${one.itemAt.value}`;
      for (let at = 0; at < 3; at++) { first.next(); went.push(where(first)); }
      await vue.nextTick();
      const again = run();
      const found = where(again), missed = again.notReached.value;
      again.back();
      went.push(where(again));
      again.goStage(3);
      return { went, found, missed, end: again.next(), last: where(again), together: again.together.value, out: (again.goStage(9), where(again)) };
    JS
    expect(done).to eq({ went: %w[0.1 1.0 1.1 1.0], found: "1.1", missed: %w[4:00], end: false, last: "3.0", together: true, out: "3.0" })
  end

  it "asks all the clock of its question first, on boards" do
    asked = lab(<<~JS)
      sessionStorage.clear();
      const item = (kind, time) => ({ kind, time, seconds: 4 });
      const stages = [{ id: "together", name: "", minutes: 5, items: [item("question"), item("partner", "4:00"), item("partner", "4:35")] }];
      const run = used(() => lab.useRun("5", () => ({ hinges: [{ before: "together", time: "4:35" }], stages })));
      return run.items.value.map((one) => [one.kind, one.time]);
    JS
    expect(asked).to eq([["opening", nil], ["show_boards", "4:35"], ["question", nil], ["partner", "4:00"]])
  end

  it "tells how long things took that were gone through one by one, and nothing of work on paper" do
    done = lab(<<~JS)
      sessionStorage.clear();
      const item = (kind, time) => ({ kind, time, seconds: 4 });
      #{kinds}
      const stages = [
        { ...kind("warm_up"), items: [item("quick_fire", "1:00"), item("quick_fire", "2:00")] },
        { ...kind("show"), items: [item("worked_first", "3:00"), item("worked_first", "3:30")] },
        { ...kind("alone"), items: [item("written_alone", "4:00")] },
      ];
      const run = used(() => lab.useRun("4", () => ({ hinges: [], stages })));
      const wait = (seconds) => new Promise((resolve) => setTimeout(resolve, seconds * 1000 + 100));
      run.next();
      await wait(2);
      run.next();
      run.next();
      run.next();
      const found = JSON.stringify(run.took.value);
      run.goStage(2);
      await wait(2);
      run.next();
      const after = JSON.stringify(run.took.value);
      run.forget();
      return { found: JSON.parse(found), same: found === after, none: run.took.value.length };
    JS
    expect(done[:found]).to match([{ kind: "quick_fire", seconds: be_between(1, 3) }])
    expect(done.values_at(:same, :none)).to eq([true, 0])
  end

  it "goes back to the last item of the part before, and tells of what is new alone that it was not reached" do
    done = lab(<<~JS)
      sessionStorage.clear();
      const item = (time) => ({ kind: "question", time, seconds: 4 });
      #{kinds}
      const part = (id, ...times) => ({ ...kind(id), items: times.map(item) });
      const stages = [part("warm_up", "1:00"), part("recap", "2:00", "2:15"), part("show", "3:00", "3:15"), part("together", "4:00")];
      const run = used(() => lab.useRun("back", () => ({ hinges: [], stages })));
      run.goStage(2);
      run.back();
      return { at: [run.stageAt.value, run.itemAt.value, run.item.value.time], missed: run.notReached.value };
    JS
    expect(done).to eq({ at: [1, 1, "2:15"], missed: %w[3:15 4:00] })
  end

  it "keeps the pinned times of a lesson that is chosen anew, each in its place, and no others" do
    places = lab(<<~JS)
      const items = (...times) => times.map((time) => ({ kind: "question", time, seconds: 4 }));
      const stages = [{ id: "show", items: items("3:00", "3:15") }, { id: "exit", items: [...items("4:00"), { kind: "opening" }] }];
      return lab.lesson.pinnedOnly({ stages, pinned: { show: ["3:15"] } });
    JS
    expect(places).to eq({ show: [nil, "3:15"], exit: [nil] })
  end

  it "counts no time for the way to begin, which says nothing of the pace" do
    took = lab(<<~JS)
      const place = { stageAt: 0, itemAt: 0, seconds: [], took: [], now: 40, reached: [] };
      sessionStorage.setItem("vantick.run.opening", JSON.stringify(place));
      const stages = [{ id: "warm_up", name: "", minutes: 5, items: [{ kind: "quick_fire", time: "1:00", seconds: 4 }] }];
      const run = used(() => lab.useRun("opening", () => ({ hinges: [], stages })));
      return [run.item.value.kind, run.next(), run.took.value.length];
    JS
    expect(took).to eq(["opening", true, 0])
  end

  it "has no item longer than an hour, where it was left open over lunch" do
    done = lab(<<~JS)
      const items = [{ kind: "quick_fire", time: "1:00", seconds: 4 }];
      const stages = [{ id: "show", name: "", minutes: 5, items: [] }, { id: "together", name: "", minutes: 5, items: [...items, ...items] }];
      return [3599, 3600, 3601, 9000].map((now, at) => {
        const place = { stageAt: 1, itemAt: 0, seconds: [], took: [], now, reached: [] };
        sessionStorage.setItem(`vantick.run.lunch${at}`, JSON.stringify(place));
        const run = used(() => lab.useRun(`lunch${at}`, () => ({ hinges: [], stages })));
        run.next();
        return run.took.value[0].seconds;
      });
    JS
    expect(done).to eq([3599, 3600, 3600, 3600])
  end
end
