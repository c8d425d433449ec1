import type { LadderStep } from "@/api";

type StateId = "secure" | "right_so_far" | "nearly" | "learning" | "not_met";

/** How each state of a step is told: by a shape and a word, and a colour that is not needed. */
export const STATES = [
  { id: "secure", word: "secure", icon: "bi-circle-fill", of: ["secure"] },
  // All right in few answers is not secure yet: a teacher needs one word for both.
  { id: "nearly", word: "nearly", icon: "bi-circle-half", of: ["right_so_far", "nearly"] },
  { id: "learning", word: "learning", icon: "bi-circle", of: ["learning"] },
  { id: "not_met", word: "not yet", icon: "bi-dash", of: ["not_met"] },
] as const satisfies readonly { id: StateId; word: string; icon: string; of: readonly StateId[] }[];

export type State = (typeof STATES)[number];

/** The state that a child's record names; *not yet* where it names none. */
export const stateOf = (id: string | undefined): State =>
  STATES.find((state) => (state.of as readonly string[]).includes(id ?? "")) ?? STATES[3];

/** How many of a class are in a state. */
export const howMany = (step: LadderStep, state: State): number =>
  state.of.reduce((sum, id) => sum + step[id], 0);

/** "11 secure, 13 nearly, 2 learning"; what nobody is in is left out. */
export function countsInWords(step: LadderStep | undefined): string {
  if (!step) return "no clocks of its own";
  return STATES.filter((state) => howMany(step, state) > 0)
    .map((state) => `${howMany(step, state)} ${state.word}`)
    .join(", ");
}
