import type { ForecastPoint, Help, LadderStep, Term, TermLesson, useFacts } from "@/api";
import { counted, countedChildren, dayWords, mondayOf, shortDay, today } from "@/words";

type Facts = ReturnType<typeof useFacts>;
type Change = NonNullable<NonNullable<Term["plan"]>["change"]>;

const KINDS = {
  new: "new",
  again: "again",
  recap: "going over",
  look_back: "look back",
  open: "left open",
  skipped: "no lesson",
} as const;

export const kindWords = (lesson: TermLesson): string => KINDS[lesson.kind];

/** By day, which lesson on its step it is; of a step's first what kind it is. */
export function whichLesson(lessons: readonly TermLesson[]): Map<string, string> {
  const found = new Map<string, string>();
  const before = new Map<string, number>();
  for (const lesson of lessons) {
    const step = lesson.given ?? lesson.step ?? "";
    const nth = (before.get(step) ?? 0) + 1;
    before.set(step, nth);
    found.set(lesson.day, lesson.kind === "again" && nth > 1 ? `lesson ${nth} on it` : kindWords(lesson));
  }
  return found;
}

const low = (facts: Facts, step: string): string => facts.rung(step).name.toLowerCase();

/** "By Fri 12 Feb about 21 of 26 will know fives, likely 18 to 24." */
export function forecastWords(aim: ForecastPoint, children: number, step: string, facts: Facts): string {
  const about = `about ${aim.likely} of ${children} will know ${low(facts, step)}`;
  const band = aim.low === aim.high ? "" : `, likely ${aim.low} to ${aim.high}`;
  return `By ${dayWords(aim.day)} ${about}${band}.`;
}

/** Who is behind a change of the plan; nothing where it is nobody. */
function why(change: Change, facts: Facts): string {
  if (!change.children) return "";
  const one = change.children === 1;
  const who = countedChildren(change.children);
  if (change.code === "fewer" || change.code === "dropped")
    return `${who} ${one ? "knows" : "know"} it by now`;
  const some = change.misreading ? `, and some ${facts.misreading(change.misreading).does}` : "";
  return `${who} ${one ? "does" : "do"} not know it yet${some}`;
}

/** What a teacher changed; nothing where it was not a teacher. */
function didWords(change: Change, facts: Facts): string {
  const step = change.step ? facts.rung(change.step).name : "What was left open";
  const day = change.day ? shortDay(change.day) : "";
  const on = day === "today" ? day : `on ${day}`;
  const monday = change.day ? mondayOf(change.day) : "";
  const week = monday === mondayOf(today()) ? "this week" : `in the week of ${monday && shortDay(monday)}`;
  const to = change.to ? shortDay(change.to) : "";
  const did: Partial<Record<Change["code"], string>> = {
    term_set: "The term has new days or a new aim",
    move: `${step} moves to ${to}`,
    swap: `${day} and ${to} change places`,
    pin: `${step} stays ${on}`,
    unpin: `${step} ${on} may move again`,
    skip: `No lesson ${on}`,
    skip_week: `No lessons ${week}`,
    hold: `There is a lesson ${on} after all`,
    set: `The lesson ${on} is about ${step.toLowerCase()}`,
  };
  return did[change.code] ?? "";
}

/** What changed and why, in one line. */
export function changeWords(change: Change, facts: Facts): string {
  const did = didWords(change, facts);
  if (did) {
    const others = change.lessons === 1 ? "1 other lesson changes" : `${change.lessons} other lessons change`;
    return change.lessons ? `${did}; ${others}.` : `${did}; no other lesson changes.`;
  }
  const name = facts.rung(change.step ?? "").name;
  const lessons = counted(change.lessons, "lesson");
  const what = {
    more: `${name} takes ${lessons} more`,
    added: `${name} comes in for ${lessons}`,
    fewer: `${name} takes ${lessons} less`,
    dropped: `${name} is left out`,
    later: `${name} comes at another time`,
  }[change.code as "more" | "added" | "fewer" | "dropped" | "later"];
  const reason = why(change, facts);
  return reason ? `${what}: ${reason}.` : `${what}.`;
}

/** "Half past: asked last on Mon 12 Oct, 9 children may have lost it." */
export function recapWords(step: string, standing: LadderStep | undefined, facts: Facts): string {
  const name = facts.rung(step).name;
  if (!standing?.last_asked) return name;
  const when = standing.last_asked ? `asked last ${onDay(standing.last_asked)}` : "";
  const lost = standing.fading ? `, ${countedChildren(standing.fading)} may have lost it` : "";
  return `${name}: ${when}${lost}`;
}

const onDay = (day: string): string => (dayWords(day) === "today" ? "today" : `on ${dayWords(day)}`);

const WEEKDAYS: Record<string, string> = {
  monday: "Monday",
  tuesday: "Tuesday",
  wednesday: "Wednesday",
  thursday: "Thursday",
  friday: "Friday",
  saturday: "Saturday",
  sunday: "Sunday",
};
export const weekdayWords = (id: string): string => WEEKDAYS[id] ?? id;
export const WEEK = Object.keys(WEEKDAYS);

/** What would help, and what would come of it. */
export function helpWords(help: Help, facts: Facts): string {
  if (help.id === "more_lessons") return `One lesson more a week, on ${weekdayWords(help.weekday ?? "")}s`;
  if (help.id === "desks") return "Ten minutes at the desks twice a week";
  return `Leaving out ${low(facts, help.step ?? "")}`;
}
