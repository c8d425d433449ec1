import { useEventListener, useTimeoutFn } from "@vueuse/core";
import { computed, shallowRef, type ComputedRef, type ShallowRef } from "vue";
import { Refused } from "@/api/client";
import { newId } from "@/api/ids";
import {
  askToBeShown,
  beginAgain,
  leaveDesk,
  readSeat,
  readState,
  sendAnswers,
  reportLostAnswers,
  type Sending,
} from "./ask";
import { answersOf, doneOf, START, step, type Happened, type Here } from "./machine";
import { keepHere, leftHere } from "./outbox";

export interface DeskHere {
  here: ShallowRef<Here>;
  /** Tasks done in this round, those kept here among them. */
  done: ComputedRef<number>;
  open: () => Promise<void>;
  answer: (texts: string[]) => Promise<void>;
  /** Shows how it is done, instead of asking for an answer. */
  showMe: () => Promise<void>;
  goOn: () => void;
  again: () => Promise<void>;
  leave: () => Promise<void>;
}

/** Milliseconds between two looks at the server: it learns that the device is there, the device that the desk is closed. */
const BEAT = 10_000;
const BEAT_AWAY = 3_000;
const BRIEF = 6_000;

const passing = (error: unknown): boolean => !(error instanceof Refused) || error.passing;
const unseated = (error: unknown): error is Refused =>
  error instanceof Refused && error.ours && error.status === 401;
const wordsOf = (error: unknown): string => (error instanceof Refused ? error.message : String(error));

/**
 * A child's tasks, one after the other. Answers have ids of their own, made here, so that sending them twice changes
 * nothing; where the network fails they are kept on the device and the child goes on with the tasks held ahead. What
 * follows from what is the machine's; here the server is asked, and the machine is told what happened.
 */
export function useDesk(): DeskHere {
  const here = shallowRef<Here>(START);
  /** Whose answers are kept: known also while nobody sits here. */
  let childId: number | undefined;

  function happen(happened: Happened): void {
    const before = here.value.waiting;
    here.value = step(here.value, happened);
    if (here.value.waiting !== before) keepHere(childId, here.value.waiting);
  }

  const sitting = (): boolean => here.value.state !== null;
  const { start: beat, stop: rest } = useTimeoutFn(
    () => void look().finally(() => sitting() && beat()),
    () => (here.value.away || here.value.waiting.length ? BEAT_AWAY : BEAT),
    { immediate: false },
  );
  const { start: tryAgain } = useTimeoutFn(() => here.value.phase === "opening" && void open(), BEAT_AWAY, {
    immediate: false,
  });
  const { start: forget } = useTimeoutFn((news: string) => happen({ what: "forgotten", news }), BRIEF, {
    immediate: false,
  });

  /** Says what is good to know and soon old. */
  function tellBriefly(news: string): void {
    happen({ what: "known", news });
    forget(news);
  }

  /** Back to the door. */
  function out(why = ""): void {
    rest();
    happen({ what: "put out", why });
  }

  function showError(error: unknown): void {
    if (unseated(error)) out(error.message);
    else if (passing(error)) happen({ what: "cut off" });
    else happen({ what: "known", news: wordsOf(error) });
  }

  /** What can never be taken is let go; the child hears of it, and so does the teacher. */
  async function letGo(sending: Sending): Promise<void> {
    happen({ what: "let go", sending });
    await reportLostAnswers(sending.answers.length).catch(() => undefined);
  }

  /** Sends what is kept, oldest first; what the server refuses for good is let go. */
  async function flush(): Promise<void> {
    let arrived = 0;
    for (const sending of here.value.waiting) {
      try {
        const going = await sendAnswers(sending, here.value.ahead);
        happen({ what: "sent", sending, going });
        arrived += 1;
      } catch (error) {
        if (passing(error)) throw error;
        await letGo(sending);
      }
    }
    if (arrived) tellBriefly(`Connected again: ${answersOf(arrived)} ${arrived === 1 ? "is" : "are"} in.`);
  }

  async function look(): Promise<void> {
    if (!sitting() || here.value.busy) return;
    try {
      await flush();
      happen({ what: "looked", going: await readState() });
    } catch (error) {
      showError(error);
    }
  }

  /** A code in the address leads to its desk, after what is kept for the last one has been sent. */
  async function sendFirst(): Promise<void> {
    if (!(await readSeat()).seated) return;
    childId = (await readState()).child.id;
    happen({ what: "found", waiting: leftHere(childId) });
    await flush();
  }

  async function open(): Promise<void> {
    const code = new URLSearchParams(location.search).get("code");
    if (here.value.phase === "opening" && code) {
      await sendFirst().catch(() => undefined);
      return out();
    }
    history.replaceState(null, "", location.pathname);
    try {
      const { seated, why } = await readSeat();
      if (!seated) return out(why ?? "");
      const state = await readState();
      childId = state.child.id;
      happen({ what: "opened", state, waiting: leftHere(childId) });
      await flush().catch(showError);
      if (!sitting()) return;
      happen({ what: "taken up" });
      beat();
    } catch (error) {
      showError(error);
      if (here.value.away) tryAgain();
    }
  }

  /** Takes up what the server asks now, where a task was answered elsewhere. */
  async function begin(): Promise<void> {
    happen({ what: "looked", going: await readState() });
    happen({ what: "taken up" });
  }

  async function answer(texts: string[]): Promise<void> {
    const asked = here.value.turn;
    if (!asked || here.value.busy) return;
    const answers = asked.items.map((item, at) => ({
      id: newId(),
      item_id: item.id,
      answer: texts[at] ?? "",
    }));
    const sending = { turn_id: asked.id, answers };
    happen({ what: "sending" });
    try {
      await flush();
      happen({ what: "marked", feedback: await sendAnswers(sending, here.value.ahead) });
    } catch (error) {
      await notSent(sending, error);
    } finally {
      happen({ what: "rested" });
    }
  }

  async function showMe(): Promise<void> {
    const turn = here.value.turn;
    if (!turn || here.value.busy) return;
    happen({ what: "sending" });
    try {
      await flush();
      happen({ what: "marked", feedback: await askToBeShown(turn.id, here.value.ahead) });
    } catch (error) {
      showError(error);
      if (here.value.away) happen({ what: "known", news: "No connection right now. Try it by yourself." });
    } finally {
      happen({ what: "rested" });
    }
  }

  async function notSent(sending: Sending, error: unknown): Promise<void> {
    // Whoever sits down here again as the same child still has it.
    if (unseated(error)) happen({ what: "put by", sending });
    showError(error);
    if (!sitting()) return;
    if (here.value.away) {
      happen({ what: "kept", sending });
      beat();
    } else await begin().catch(showError);
  }

  async function again(): Promise<void> {
    try {
      happen({ what: "begun again", state: await beginAgain() });
    } catch (error) {
      showError(error);
      if (here.value.away) happen({ what: "known", news: "No connection right now. Try again in a moment." });
    }
  }

  async function leave(): Promise<void> {
    try {
      await flush();
      await leaveDesk();
      out();
    } catch (error) {
      showError(error);
      const kept = here.value.waiting.length;
      const left = kept ? `, and ${answersOf(kept)} ${kept === 1 ? "is" : "are"} not sent yet` : "";
      if (here.value.away) happen({ what: "known", news: `No connection${left}. Wait a moment.` });
    }
  }

  useEventListener(window, "online", () => void look().finally(() => sitting() && beat()));
  return {
    here,
    done: computed(() => doneOf(here.value)),
    open,
    answer,
    showMe,
    goOn: () => happen({ what: "gone on" }),
    again,
    leave,
  };
}
