import type { Forecast, ForecastPoint, Suggestion, LadderStep, Term, TermLesson, useFacts } from "@/api";
import { counted, countedChildren, dayWords, mondayOf, shortDay, today } from "@/words";

type Facts = ReturnType<typeof useFacts>;
type Change = NonNullable<NonNullable<Term["plan"]>["change"]>;

const KINDS = {
  baseline: "find out first",
  new: "new",
  again: "again",
  recap: "review",
  look_back: "look back",
  short: "short",
  open: "spare",
  skipped: "no lesson",
} as const;

/** Words and digits take turns from lesson to lesson. */
const NOTATIONS: Readonly<Record<string, string>> = {
  dial_to_words: "in words",
  dial_to_digital: "in digits",
};

export const kindWords = (lesson: TermLesson): string => KINDS[lesson.kind];

/** The next lessons on a step that many children make one mistake at. */
const afterMistakes = (lesson: TermLesson, standing: LadderStep | undefined): string =>
  standing?.mistake && lesson.kind === "again" && !lesson.over ? "after mistakes" : "";

/** By day, which lesson on its step it is; of a step's first what kind it is. */
export function whichLesson(
  lessons: readonly TermLesson[],
  standing?: (step: string) => LadderStep | undefined,
): Map<string, string> {
  const found = new Map<string, string>();
  const before = new Map<string, number>();
  for (const lesson of lessons) {
    const step = lesson.given ?? lesson.step ?? "";
    const nth = (before.get(step) ?? 0) + 1;
    before.set(step, nth);
    const which = lesson.kind === "again" && nth > 1 ? `lesson ${nth}` : kindWords(lesson);
    const notation = lesson.over ? "" : NOTATIONS[lesson.task ?? ""];
    found.set(
      lesson.day,
      [which, notation, afterMistakes(lesson, standing?.(step))].filter(Boolean).join(", "),
    );
  }
  return found;
}

/** The lesson on the same step before this one. */
function lastOn(lesson: TermLesson, lessons: readonly TermLesson[]): TermLesson | undefined {
  return lessons.findLast(
    (earlier) => earlier.day < lesson.day && (earlier.given ?? earlier.step) === lesson.step,
  );
}

/** "8 of 26 likely mix up the hour hand and the minute hand." */
function mistakeWords(lesson: TermLesson, standing: LadderStep, children: number, facts: Facts): string {
  if (!standing.mistake || !afterMistakes(lesson, standing)) return "";
  return `${standing.mistaken} of ${children} likely ${facts.misreading(standing.mistake).does}.`;
}

/**
 * What a lesson to come is for, and what is different from the last one on its step: "10 of 26 know it by now. Last time it was in words,
 * now it is in digits."
 */
export function focusWords(
  lesson: TermLesson,
  lessons: readonly TermLesson[],
  standing: LadderStep | undefined,
  facts: Facts,
): string {
  if (lesson.over || !lesson.step || !standing) return "";
  if (lesson.kind === "recap") return "Most know all of it. This lesson keeps it.";
  if (lesson.kind === "look_back") return "The first lesson after a break: it brings back what was lost.";
  const children = standing.secure + standing.nearly + standing.learning + standing.not_yet;
  const known = [
    `${standing.secure} of ${children} know it by now.`,
    mistakeWords(lesson, standing, children, facts),
  ]
    .filter(Boolean)
    .join(" ");
  const [before, now] = [lastOn(lesson, lessons)?.task, lesson.task].map((task) => NOTATIONS[task ?? ""]);
  if (lesson.kind === "new" || !now) return known;
  if (before && before !== now) return `${known} Last time it was ${before}, now it is ${now}.`;
  return `${known} It is ${now}.`;
}

const low = (facts: Facts, step: string): string => facts.rung(step).name.toLowerCase();

/** "By Fri 12 Feb about 21 of 26 will know fives, likely 18 to 24." */
export function forecastWords(aim: ForecastPoint, children: number, step: string, facts: Facts): string {
  const about = `about ${aim.likely} of ${children} will know ${low(facts, step)}`;
  const band = aim.low === aim.high ? "" : `, likely ${aim.low} to ${aim.high}`;
  return `By ${dayWords(aim.day)} ${about}${band}.`;
}

/** What most will know, where few will know the goal. */
export function reachWords(forecast: Forecast, facts: Facts): string {
  const reach = forecast.within_reach;
  if (!reach) return "";
  const name = facts.rung(reach.step).name;
  return `${name} is within reach: about ${reach.likely} of ${forecast.children}, likely ${reach.low} to ${reach.high}.`;
}

/** "On Mon 2 Nov the forecast for today was 8 to 13. It is 10." */
export function scoreWords(score: Forecast["score"]): string {
  if (!score) return "";
  const before = `On ${dayWords(score.told_on)} the forecast for today was ${score.low} to ${score.high}.`;
  return score.held
    ? `${before} It is ${score.came}.`
    : `${before} It is ${score.came}, so the range is wider now.`;
}

/** Who is behind a change of the plan; nothing where it is nobody. */
function why(change: Change, facts: Facts): string {
  if (!change.children) return "";
  const alone = change.children === 1;
  const who = countedChildren(change.children);
  if (change.code === "fewer" || change.code === "dropped")
    return `${who} ${alone ? "knows" : "know"} this by now`;
  const some = change.misreading ? `, and some ${facts.misreading(change.misreading).does}` : "";
  return `${who} ${alone ? "doesn't" : "don't"} know this yet${some}`;
}

/** What a teacher changed; nothing where it was not a teacher. */
function didWords(change: Change, facts: Facts): string {
  const step = change.step ? facts.rung(change.step).name : "The spare lesson";
  const day = change.day ? shortDay(change.day) : "";
  const on = day === "today" ? day : `on ${day}`;
  const monday = change.day ? mondayOf(change.day) : "";
  const week = monday === mondayOf(today()) ? "this week" : `in the week of ${monday && shortDay(monday)}`;
  const to = change.to ? shortDay(change.to) : "";
  const did: Partial<Record<Change["code"], string>> = {
    term_set: "The term has new days or a new goal",
    move: `${step} moves to ${to}`,
    swap: `${day} and ${to} are swapped`,
    pin: `${step} stays ${on}`,
    unpin: `${step} ${on} can move again`,
    skip: `No lesson ${on}`,
    skip_week: `No lessons ${week}`,
    hold: `There is a lesson ${on} after all`,
    set: `The lesson ${on} is now ${step.toLowerCase()}`,
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
  const what = {
    more: `${name} gets ${counted(change.lessons, "more lesson")}`,
    added: `${name} is added for ${counted(change.lessons, "lesson")}`,
    fewer: `${name} gets ${counted(change.lessons, "fewer lesson")}`,
    dropped: `${name} is left out`,
    later: `${name} moves to another time`,
  }[change.code as "more" | "added" | "fewer" | "dropped" | "later"];
  const reason = why(change, facts);
  return reason ? `${what}: ${reason}.` : `${what}.`;
}

/** The same within a sentence: "half past (last checked Mon 12 Oct)". */
export const recapInText = (step: string, standing: LadderStep | undefined, facts: Facts): string => {
  const words = recapWords(step, standing, facts);
  return words.charAt(0).toLowerCase() + words.slice(1);
};

/** "Half past (last checked Mon 12 Oct, review due for 9 children)". */
export function recapWords(step: string, standing: LadderStep | undefined, facts: Facts): string {
  const name = facts.rung(step).name;
  if (!standing?.last_asked) return name;
  const when = standing.last_asked ? `last checked ${dayWords(standing.last_asked)}` : "";
  const lost = standing.review_due ? `, review due for ${countedChildren(standing.review_due)}` : "";
  return `${name} (${when}${lost})`;
}

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
const WEEK = Object.keys(WEEKDAYS);
/** The days of a week, from the one on which it begins in the school's country. */
export const weekFrom = (first: string): string[] =>
  first === "sunday" ? ["sunday", ...WEEK.filter((day) => day !== "sunday")] : WEEK;

/** What would help, and what would come of it. */
export function suggestionWords(suggestion: Suggestion, facts: Facts): string {
  if (suggestion.id === "more_lessons")
    return `One more lesson a week, on ${weekdayWords(suggestion.weekday ?? "")}s`;
  if (suggestion.id === "desks") return "Ten minutes on devices twice a week";
  if (suggestion.id === "order") return `Beginning with ${low(facts, suggestion.step ?? "")}`;
  return `Leaving out ${low(facts, suggestion.step ?? "")}`;
}
