import type { Group, useFacts } from "@/api";

/** What a group works on, in a few words: its step, and the misreading behind it where there is one. */
export function aboutGroup(group: Group, facts: ReturnType<typeof useFacts>): string {
  const step = group.step ? facts.rung(group.step).name : "All steps secure";
  return group.misreadings[0] ? `${step}: ${facts.misreading(group.misreadings[0]).name}` : step;
}
