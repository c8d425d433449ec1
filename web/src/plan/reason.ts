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

/** What most of the class still do there, or how many are not sure; nothing where there is nobody. */
function who(next: Next, facts: ReturnType<typeof useFacts>): string {
  if (next.misreading && next.misread.length > 1) {
    return `${countedChildren(next.misread.length)} still ${facts.misreading(next.misreading).does}`;
  }
  if (next.stumbling.length > 1) return `${countedChildren(next.stumbling.length)} still get this wrong`;
  return next.child_ids.length ? `${countedChildren(next.child_ids.length)} may not know this yet` : "";
}

/** A number of nobody is no reason. */
const because = (reason: string, otherwise: string): string => (reason ? `: ${reason}.` : `${otherwise}.`);

/** Why a step is proposed, in one sentence from the rule that decided. */
export function whyNext(next: Next, children: number, facts: ReturnType<typeof useFacts>): string {
  const some = who(next, facts);
  const unmet = next.not_yet ? `${next.not_yet} of ${children} haven't been taught this yet` : some;
  switch (next.reason) {
    case "begin":
      return "No answers yet, so we start at the first step. You can start anywhere.";
    case "new":
      return unmet ? `${unmet}.` : "This is the next step.";
    case "passed":
      return `Most of the class is ready for this${because(unmet, "")}`;
    case "again":
      return `The ${lesson(next.lesson)} on this${because(some, ", to make it stick")}`;
    case "back":
      return `Back${after(next.days)}${because(some, ", so it isn't forgotten")}`;
    default:
      return "Most of the class has finished the ladder. Review what is slipping.";
  }
}

/** Those of whom the reason speaks. */
export function whoNext(next: Next): number[] {
  if (next.reason === "begin" || next.reason === "new" || next.reason === "passed") return [];
  if (next.misreading && next.misread.length > 1) return next.misread;
  return next.stumbling.length > 1 ? next.stumbling : next.child_ids;
}
