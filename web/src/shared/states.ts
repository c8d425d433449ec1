import type { LadderStep } from "@/api";

type StateId = "secure" | "nearly" | "learning" | "not_yet";

/** How each state of a step is told: by a shape and a word, and a colour that is not needed. */
export const STATES = [
  { id: "secure", word: "secure", icon: "bi-circle-fill" },
  { id: "nearly", word: "nearly", icon: "bi-circle-half" },
  { id: "learning", word: "learning", icon: "bi-circle" },
  { id: "not_yet", word: "not yet", icon: "bi-dash" },
] as const satisfies readonly { id: StateId; word: string; icon: string }[];

export type State = (typeof STATES)[number];

/** The state that a child's record names; *not yet* where it names none. */
export const stateOf = (id: string | undefined): State =>
  STATES.find((state) => state.id === id) ?? STATES[3];

/** How many of a class are in a state. */
export const howMany = (step: LadderStep, state: State): number => step[state.id];

/** In which ways a step can be asked, and what is said of one that nobody asked. */
export const WAYS = { say: "say", write: "write", set: "set" } as const;
export const NOT_ASKED = "not asked yet";

/** "say: secure, write: not asked yet, set: learning"; nothing for a step that is asked in one way alone. */
export function waysInWords(ways: Record<string, string>): string {
  return Object.entries(WAYS)
    .filter(([id]) => ways[id])
    .map(([id, word]) => `${word}: ${ways[id] === "not_asked" ? NOT_ASKED : stateOf(ways[id]).word}`)
    .join(", ");
}

/** "11 secure, 13 nearly, 2 learning"; what nobody is in is left out. */
export function countsInWords(step: LadderStep | undefined): string {
  if (!step) return "no clocks of its own";
  return STATES.filter((state) => howMany(step, state) > 0)
    .map((state) => `${howMany(step, state)} ${state.word}`)
    .join(", ");
}
