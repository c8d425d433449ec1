import type { AnswerFeedback, DeskState, DeskTurn } from "@/api/client";
import type { Sending } from "./ask";

/**
 * Where a child is: `opening` the page, `joining`, `asking` a task, `answered` it (told of it, or that it was kept),
 * `waiting` for the network with nothing left to do, `ended`.
 */
export type Phase = "opening" | "joining" | "asking" | "answered" | "waiting" | "ended";

/** What the server says of the round, the desk and the end. */
export type Going = Pick<DeskState, "open" | "round" | "turn" | "ahead" | "ahead_ids" | "end">;

/** A child at a device, and all that the device knows. */
export interface Here {
  phase: Phase;
  /** Who sits here; nobody while joining. */
  state: DeskState | null;
  turn: DeskTurn | null;
  /** What was made of the last answer; nothing where it is kept on the device. */
  feedback: AnswerFeedback | null;
  going: Going | null;
  /** Tasks held for the time without a network. */
  ahead: readonly DeskTurn[];
  /** Answers that are not sent yet, oldest first. */
  waiting: readonly Sending[];
  /** Whether the server was out of reach the last time. */
  away: boolean;
  busy: boolean;
  /** Something to know, said quietly; empty where there is nothing. */
  news: string;
}

/** What can happen to it. */
export type Happened =
  | { what: "found"; waiting: readonly Sending[] }
  | { what: "opened"; state: DeskState; waiting: readonly Sending[] }
  | { what: "taken up" }
  | { what: "sending" }
  | { what: "marked"; feedback: AnswerFeedback }
  | { what: "kept"; sending: Sending }
  | { what: "put by"; sending: Sending }
  | { what: "sent"; sending: Sending; going: Going }
  | { what: "let go"; sending: Sending }
  | { what: "rested" }
  | { what: "looked"; going: Going }
  | { what: "gone on" }
  | { what: "begun again"; state: DeskState }
  | { what: "cut off" }
  | { what: "put out"; why: string }
  | { what: "known"; news: string }
  | { what: "forgotten"; news: string };

export const START: Here = Object.freeze({
  phase: "opening",
  state: null,
  turn: null,
  feedback: null,
  going: null,
  ahead: [],
  waiting: [],
  away: false,
  busy: false,
  news: "",
});

/** Tasks done in this round, those kept here among them. */
export const doneOf = (here: Here): number => (here.going?.round.done ?? 0) + here.waiting.length;

export const answersOf = (count: number): string => (count === 1 ? "1 answer" : `${count} answers`);

/** What the server says comes next; a task that is done here and on its way is not asked again. */
function arrived(here: Here, going: Going): Here {
  const sent = new Set(here.waiting.map((answer) => answer.turn_id));
  const held = new Map([...here.ahead, ...going.ahead].map((turn) => [turn.id, turn]));
  const ahead = going.ahead_ids
    .filter((id) => id !== here.turn?.id && !sent.has(id))
    .flatMap((id) => held.get(id) ?? []);
  return { ...here, ahead, going };
}

const show = (here: Here, turn: DeskTurn): Here => ({
  ...here,
  turn,
  feedback: null,
  ahead: here.ahead.filter((other) => other.id !== turn.id),
  phase: "asking",
});

/** To the next task, to the end, or to waiting for the network. */
function onward(here: Here): Here {
  const { going, ahead } = here;
  const sent = here.waiting.map((answer) => answer.turn_id);
  if (!sent.length && going?.end) return { ...here, turn: null, phase: "ended" };
  if (going?.turn && !sent.includes(going.turn.id) && going.turn.id !== here.turn?.id)
    return show(here, going.turn);
  if (ahead[0] && doneOf(here) < (going?.round.of ?? 0)) return show(here, ahead[0]);
  return { ...here, turn: null, phase: "waiting" };
}

/** Once more: what is asked may be answered a second time. */
const triedOnce = (turn: DeskTurn | null): DeskTurn | null => turn && { ...turn, tried: turn.tried + 1 };

const without = (here: Here, sending: Sending): Here => ({
  ...here,
  waiting: here.waiting.filter((answer) => answer !== sending),
});

/** A closed desk is seen while a task is asked; what is told of an answer is read first. */
const mustGoOn = (here: Here, going: Going): boolean =>
  here.phase === "waiting" || (!going.open && here.phase === "asking");

const STEPS: {
  [What in Happened["what"]]: (here: Here, happened: Extract<Happened, { what: What }>) => Here;
} = {
  found: (here, { waiting }) => ({ ...here, waiting }),
  opened: (here, { state, waiting }) => arrived({ ...here, state, waiting, away: false }, state),
  "taken up": (here) => onward({ ...here, turn: null }),
  sending: (here) => ({ ...here, busy: true, news: "" }),
  marked: (here, { feedback }) => ({
    ...arrived({ ...here, turn: feedback.done ? here.turn : triedOnce(here.turn) }, feedback),
    away: false,
    feedback,
    phase: feedback.done ? "answered" : "asking",
  }),
  kept: (here, { sending }) => ({
    ...here,
    waiting: [...here.waiting, { ...sending, late: true }],
    feedback: null,
    phase: "answered",
  }),
  "put by": (here, { sending }) => ({ ...here, waiting: [...here.waiting, { ...sending, late: true }] }),
  sent: (here, { sending, going }) => arrived(without(here, sending), going),
  "let go": (here, { sending }) => ({
    ...without(here, sending),
    news: `${answersOf(sending.answers.length)} could not be saved.`,
  }),
  rested: (here) => ({ ...here, busy: false }),
  looked: (here, { going }) => {
    const now = arrived({ ...here, away: false }, going);
    return mustGoOn(here, going) ? onward(now) : now;
  },
  "gone on": onward,
  "begun again": (here, { state }) => onward(arrived({ ...here, state, ahead: [] }, state)),
  "cut off": (here) => ({ ...here, away: true }),
  // What is not sent yet stays here, for whoever sits down again as the same child.
  "put out": (here, { why }) => ({
    ...START,
    phase: "joining",
    waiting: here.waiting,
    busy: here.busy,
    news: here.state ? why : "",
  }),
  known: (here, { news }) => ({ ...here, news }),
  forgotten: (here, { news }) => (here.news === news ? { ...here, news: "" } : here),
};

/** Where a child is after something happened; nothing else is changed by it. */
export function step(here: Here, happened: Happened): Here {
  const does = STEPS[happened.what] as (here: Here, happened: Happened) => Here;
  return does(here, happened);
}
