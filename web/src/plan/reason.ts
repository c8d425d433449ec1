import type { Ladder, useFacts } from "@/api";
import { countedChildren } from "@/words";

type Next = Ladder["next"];

const ORDINALS = ["", "first", "second", "third", "fourth", "fifth", "sixth"];
const lesson = (count: number): string => `${ORDINALS[count] ?? `${count}th`} lesson`;
const WEEKS = ["", "a week", "two weeks", "three weeks", "four weeks", "five weeks", "six weeks"];

function after(days: number | null): string {
  if (days === null) return "";
  const weeks = Math.round(days / 7);
  if (weeks >= 1) return ` after ${WEEKS[weeks] ?? `${weeks} weeks`}`;
  return days <= 1 ? "" : ` after ${days} days`;
}

/** What most of the class still do there, or how many are not sure. */
function who(next: Next, facts: ReturnType<typeof useFacts>): string {
  if (next.misreading && next.misread.length > 1) {
    return `${countedChildren(next.misread.length)} still ${facts.misreading(next.misreading).does}`;
  }
  if (next.stumbling.length > 1) return `${countedChildren(next.stumbling.length)} still stumble`;
  return next.child_ids.length === 1
    ? "1 child may not know it yet"
    : `${next.child_ids.length} may not know it yet`;
}

/** Why a step is proposed, in one sentence from the rule that decided. */
export function whyNext(next: Next, children: number, facts: ReturnType<typeof useFacts>): string {
  const unmet = next.not_met ? `${next.not_met} of ${children} have not met it yet` : who(next, facts);
  switch (next.reason) {
    case "begin":
      return "Nobody has answered anything yet, so it begins at the bottom. You can begin anywhere else.";
    case "new":
      return `${unmet}.`;
    case "passed":
      return `Most are expected to know what comes before it; ${unmet}.`;
    case "again":
      return `Again: ${who(next, facts)}; ${lesson(next.lesson)}.`;
    case "back":
      return `Back${after(next.days)}: ${who(next, facts)}.`;
    default:
      return "Most are expected to know all of the ladder. Go over what is fading.";
  }
}

/** Those of whom the reason speaks. */
export function whoNext(next: Next): number[] {
  if (next.reason === "begin" || next.reason === "new" || next.reason === "passed") return [];
  if (next.misreading && next.misread.length > 1) return next.misread;
  return next.stumbling.length > 1 ? next.stumbling : next.child_ids;
}
