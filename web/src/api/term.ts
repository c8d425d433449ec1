import { Refused, type Schemas } from "./client";
import { changeTerm, readDaysOff, readForecast, readSuggestions, readTerm } from "./operations";

export type TermSet = Schemas["TermSet"];
export type TermLesson = Schemas["TermLesson"];
export type ForecastPoint = Schemas["ForecastPoint"];
/** How far something is that is being worked out. */
export interface Working {
  working: boolean;
  done: number;
  of: number;
  ahead: number;
}
type SuggestionsRead = Exclude<Awaited<ReturnType<typeof readSuggestions>>, Working>;
export type Term = Awaited<ReturnType<typeof readTerm>>;
export type Forecast = Exclude<Awaited<ReturnType<typeof readForecast>>, Working>;
export type Suggestion = SuggestionsRead["suggestions"][number];
export type DaysOff = Schemas["DaysOff"];
export type DayFound = Awaited<ReturnType<typeof readDaysOff>>["days"][number];
export type TermChange = Parameters<typeof changeTerm>[1];

/** Milliseconds until the next look at something that is being worked out. */
const LOOK = 700;

/** What the worker works out: asked for until it is there. */
async function whenDone<T>(ask: () => Promise<T | Working>, tell?: (now: Working) => void): Promise<T> {
  for (;;) {
    const found = await ask();
    if (!isWorking(found)) return found;
    tell?.(found);
    await new Promise((go) => setTimeout(go, LOOK));
  }
}
const isWorking = <T>(found: T | Working): found is Working =>
  typeof found === "object" && found !== null && "working" in found;

/** How likely the plan holds. */
export const awaitForecast = (classId: number): Promise<Forecast> =>
  whenDone<Forecast>(() => readForecast(classId));

/** What would help; what is told meanwhile is how far it is. */
export async function awaitSuggestions(
  classId: number,
  tell?: (now: Working) => void,
): Promise<Suggestion[]> {
  return (await whenDone<SuggestionsRead>(() => readSuggestions(classId), tell)).suggestions;
}

/** Bytes of a calendar that the server takes at most. */
const CALENDAR = 2_000_000;

/** Days off in a calendar file. */
export async function readCalendarFile(classId: number, file: File, first: string, last: string) {
  if (file.size > CALENDAR)
    throw new Refused("content", "This calendar is larger than 2 MB. Export fewer years.", 413, true);
  return readDaysOff(classId, { content: await file.text(), first_day: first, last_day: last });
}
