import { computed, onScopeDispose, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from "vue";
import { Refused, type DeskState, type DeskTurn, type Told } from "@/api/client";
import { newId } from "@/api/ids";
import { beginAgain, leaveDesk, readState, sendAnswers, tellLosses, type Sending } from "./ask";
import { useOutbox } from "./outbox";

/**
 * Where a child is: `opening` the page, `joining`, `asking` a task, `told` of an answer (or that it was kept),
 * `waiting` for the network with nothing left to do, `ended`.
 */
export type Phase = "opening" | "joining" | "asking" | "told" | "waiting" | "ended";

type Going = Pick<DeskState, "open" | "round" | "turn" | "ahead" | "ahead_ids" | "end">;

export interface DeskHere {
  phase: Ref<Phase>;
  state: ShallowRef<DeskState | null>;
  turn: ShallowRef<DeskTurn | null>;
  /** What was made of the last answer; nothing where it is kept on the device. */
  told: ShallowRef<Told | null>;
  /** Whether the server was out of reach the last time. */
  away: Ref<boolean>;
  busy: Ref<boolean>;
  /** Something to know, said quietly; empty where there is nothing. */
  news: Ref<string>;
  /** What the server said last of the round, the desk and the end. */
  going: ShallowRef<Going | null>;
  /** Tasks done in this round, those kept here among them. */
  done: ComputedRef<number>;
  waiting: ShallowRef<readonly Sending[]>;
  open: () => Promise<void>;
  answer: (texts: string[]) => Promise<void>;
  goOn: () => void;
  again: () => Promise<void>;
  leave: () => Promise<void>;
}

/** Milliseconds between two looks at the server: it learns that the device is there, the device that the desk is closed. */
const BEAT = 10_000;
const BEAT_AWAY = 3_000;
const BRIEF = 6_000;

const answersOf = (count: number): string => (count === 1 ? "1 answer is" : `${count} answers are`);

/**
 * A child's tasks, one after the other. Answers have ids of their own, made here, so that sending them twice changes
 * nothing; where the network fails they are kept on the device and the child goes on with the tasks held ahead.
 */
export function useDesk(): DeskHere {
  const phase = ref<Phase>("opening");
  const state = shallowRef<DeskState | null>(null);
  const turn = shallowRef<DeskTurn | null>(null);
  const told = shallowRef<Told | null>(null);
  const away = ref(false);
  const busy = ref(false);
  const news = ref("");
  const outbox = useOutbox();
  const ahead = shallowRef<DeskTurn[]>([]);
  const going = shallowRef<Going | null>(null);
  const done = computed(() => (going.value?.round.done ?? 0) + outbox.waiting.value.length);
  let beating: ReturnType<typeof setTimeout> | undefined;

  /** What the server says comes next; a task that is done here and on its way is not asked again. */
  function arrive(next: Going): void {
    const sent = new Set(outbox.waiting.value.map((one) => one.turn_id));
    const held = new Map([...ahead.value, ...next.ahead].map((one) => [one.id, one]));
    ahead.value = next.ahead_ids
      .filter((id) => id !== turn.value?.id && !sent.has(id))
      .flatMap((id) => held.get(id) ?? []);
    going.value = next;
  }

  function show(next: DeskTurn): void {
    turn.value = next;
    told.value = null;
    ahead.value = ahead.value.filter((one) => one.id !== next.id);
    phase.value = "asking";
  }

  function proceed(): void {
    const next = going.value;
    const sent = outbox.waiting.value.map((one) => one.turn_id);
    if (sent.length === 0 && next?.end) {
      turn.value = null;
      phase.value = "ended";
    } else if (next?.turn && !sent.includes(next.turn.id) && next.turn.id !== turn.value?.id) {
      show(next.turn);
    } else if (ahead.value[0] && done.value < (next?.round.of ?? 0)) {
      show(ahead.value[0]);
    } else {
      turn.value = null;
      phase.value = "waiting";
    }
  }

  /** Back to the door; what is not sent yet stays here. */
  function out(): void {
    clearTimeout(beating);
    state.value = null;
    turn.value = null;
    told.value = null;
    going.value = null;
    ahead.value = [];
    away.value = false;
    phase.value = "joining";
  }

  /** Says what is good to know and soon old. */
  function tellBriefly(text: string): void {
    news.value = text;
    setTimeout(() => news.value === text && (news.value = ""), BRIEF);
  }

  const passing = (error: unknown): boolean => !(error instanceof Refused) || error.passing;
  const unseated = (error: unknown): boolean =>
    error instanceof Refused && error.ours && error.status === 401;

  function trouble(error: unknown): void {
    if (unseated(error)) {
      // A device that had a seat is told why it has none now.
      if (state.value && error instanceof Refused) news.value = error.message;
      out();
    } else if (passing(error)) away.value = true;
    else news.value = error instanceof Refused ? error.message : String(error);
  }

  /** What can never be taken is let go; the child hears of it, and so does the teacher. */
  async function letGo(sending: Sending): Promise<void> {
    outbox.remove(sending);
    news.value = `${sending.answers.length === 1 ? "1 answer" : `${sending.answers.length} answers`} could not be taken.`;
    await tellLosses(sending.answers.length).catch(() => undefined);
  }

  /** Sends what is kept, oldest first; what the server refuses for good is let go. */
  async function flush(): Promise<void> {
    let arrived = 0;
    for (const sending of outbox.waiting.value) {
      try {
        const taken = await sendAnswers(sending, ahead.value);
        outbox.remove(sending);
        arrived += 1;
        arrive(taken);
      } catch (error) {
        if (passing(error)) throw error;
        await letGo(sending);
      }
    }
    if (arrived) tellBriefly(`The network is back: ${answersOf(arrived)} in.`);
  }

  async function look(): Promise<void> {
    if (!state.value || busy.value) return;
    try {
      await flush();
      const now = await readState();
      away.value = false;
      arrive(now);
      if (phase.value === "waiting" || (!now.open && phase.value === "asking")) proceed();
    } catch (error) {
      trouble(error);
    }
  }

  function beat(): void {
    clearTimeout(beating);
    beating = setTimeout(
      () => void look().finally(() => state.value && beat()),
      away.value || outbox.waiting.value.length ? BEAT_AWAY : BEAT,
    );
  }

  /** A code in the address leads to its desk, after what is kept for the last one has been sent. */
  async function sendFirst(): Promise<void> {
    outbox.belongsTo((await readState()).child.id);
    await flush();
  }

  async function open(): Promise<void> {
    const code = new URLSearchParams(location.search).get("code");
    if (phase.value === "opening" && code) {
      await sendFirst().catch(() => undefined);
      return out();
    }
    history.replaceState(null, "", location.pathname);
    try {
      const now = await readState();
      state.value = now;
      away.value = false;
      outbox.belongsTo(now.child.id);
      arrive(now);
      await flush().catch(trouble);
      turn.value = null;
      proceed();
      beat();
    } catch (error) {
      trouble(error);
      if (away.value) setTimeout(() => phase.value === "opening" && void open(), BEAT_AWAY);
    }
  }

  function heard(taken: Told): void {
    away.value = false;
    told.value = taken;
    if (!taken.done && turn.value) turn.value = { ...turn.value, tried: turn.value.tried + 1 };
    arrive(taken);
    phase.value = taken.done ? "told" : "asking";
  }

  function keepHere(sending: Sending): void {
    outbox.add({ ...sending, late: true });
    told.value = null;
    phase.value = "told";
    beat();
  }

  /** Takes up what the server asks now, where a task was answered elsewhere. */
  async function begin(): Promise<void> {
    arrive(await readState());
    turn.value = null;
    proceed();
  }

  async function answer(texts: string[]): Promise<void> {
    const asked = turn.value;
    if (!asked || busy.value) return;
    const answers = asked.items.map((item, at) => ({
      id: newId(),
      item_id: item.id,
      answer: texts[at] ?? "",
    }));
    const sending = { turn_id: asked.id, answers };
    busy.value = true;
    news.value = "";
    try {
      await flush();
      heard(await sendAnswers(sending, ahead.value));
    } catch (error) {
      // Whoever sits down here again as the same child still has it.
      if (unseated(error)) outbox.add({ ...sending, late: true });
      trouble(error);
      if (!state.value) return;
      if (away.value) keepHere(sending);
      else await begin().catch(trouble);
    } finally {
      busy.value = false;
    }
  }

  async function again(): Promise<void> {
    try {
      const now = await beginAgain();
      state.value = now;
      ahead.value = [];
      arrive(now);
      proceed();
    } catch (error) {
      trouble(error);
      if (away.value) news.value = "The network is away just now. Try again in a moment.";
    }
  }

  async function leave(): Promise<void> {
    try {
      await flush();
      await leaveDesk();
      out();
    } catch (error) {
      trouble(error);
      const kept = outbox.waiting.value.length;
      if (away.value)
        news.value = `The network is away${kept ? `, and ${answersOf(kept)} not sent yet` : ""}. Wait a moment.`;
    }
  }

  const back = (): void => void look().finally(() => state.value && beat());
  window.addEventListener("online", back);
  onScopeDispose(() => {
    clearTimeout(beating);
    window.removeEventListener("online", back);
  });
  return {
    phase,
    state,
    turn,
    told,
    going,
    away,
    busy,
    news,
    done,
    waiting: outbox.waiting,
    open,
    answer,
    goOn: proceed,
    again,
    leave,
  };
}
