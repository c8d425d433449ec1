import type { LadderStep } from "@/api";

/** How each state of a step is told: by a shape and a word, and a colour that is not needed. */
export const STATES = [
  { id: "secure", word: "secure", icon: "bi-circle-fill" },
  { id: "right_so_far", word: "right so far", icon: "bi-record-circle" },
  { id: "nearly", word: "nearly", icon: "bi-circle-half" },
  { id: "learning", word: "learning", icon: "bi-circle" },
  { id: "not_met", word: "not met", icon: "bi-dash" },
] as const;

/** "11 secure, 13 nearly, 2 learning"; what nobody is in is left out. */
export function countsInWords(step: LadderStep | undefined): string {
  if (!step) return "no times of its own";
  return STATES.filter((state) => step[state.id] > 0)
    .map((state) => `${step[state.id]} ${state.word}`)
    .join(", ");
}
