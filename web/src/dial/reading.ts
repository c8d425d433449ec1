import type { DayFacts, DialFacts } from "@/api";

/** One line of the reading; lines without a name go on from the one before. */
export interface ReadingLine {
  name: string;
  text: string;
  big: boolean;
  note?: string;
}

const NAMES = {
  hour: "The short hand",
  minutes: "The long hand",
  coming: "The hour",
  say: "In words",
} as const;

/** The class's own talk-through line by line, then the digits; with the half of the day where it is shown. */
export function linesOf(facts: DialFacts, day: DayFacts | undefined): ReadingLine[] {
  const steps = facts.steps.map((step, at) => ({
    name: facts.steps[at - 1]?.part === step.part ? "" : NAMES[step.part],
    text: step.part === "say" ? (day?.words ?? facts.usual) : step.sentence,
    big: step.part === "say",
  }));
  if (!day) return [...steps, { name: "In digits", text: facts.digital, big: true }];
  const named = day.half === "noon" || day.half === "midnight";
  const clock = named ? `A digital clock shows ${day.clock_shows}, ` : "On a 24-hour clock: ";
  const note = named ? `${clock}or ${day.twenty_four_hour}.` : `${clock}${day.twenty_four_hour}`;
  return [...steps, { name: "In digits", text: day.twelve_hour, big: true, note }];
}
