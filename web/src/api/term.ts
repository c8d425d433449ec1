import { api, asked, Refused, type Schemas } from "./client";
import type { paths } from "./schema";

export type TermSet = Schemas["TermSet"];
export type TermLesson = Schemas["TermLesson"];
export type ForecastPoint = Schemas["ForecastPoint"];
type Read<Path extends "/api/classes/{class_id}/term/forecast" | "/api/classes/{class_id}/term/suggestions"> =
  paths[Path]["get"]["responses"][200]["content"]["application/json"];
type ForecastRead = Read<"/api/classes/{class_id}/term/forecast">;
type SuggestionsRead = Read<"/api/classes/{class_id}/term/suggestions">;
/** How far something is that is being worked out. */
export interface Working {
  working: boolean;
  done: number;
  of: number;
  ahead: number;
}
export type Term = Awaited<ReturnType<typeof readTerm>>;
export type Forecast = Awaited<ReturnType<typeof readForecast>>;
export type Suggestion = Awaited<ReturnType<typeof readSuggestions>>[number];
export type DaysOff = Schemas["DaysOff"];
export type DayFound = Awaited<ReturnType<typeof readDaysOff>>["days"][number];
export interface TermChange {
  kind: "move" | "swap" | "pin" | "unpin" | "skip" | "skip_week" | "hold" | "set";
  day: string;
  to?: string;
  step?: string;
}

const ofClass = (id: number): { path: { class_id: number } } => ({ path: { class_id: id } });

/** The term of a class and the plan that holds. */
export function readTerm(classId: number) {
  return asked(api.GET("/api/classes/{class_id}/term", { params: ofClass(classId) }));
}

export function setTerm(classId: number, body: TermSet): Promise<Term> {
  return asked(api.PUT("/api/classes/{class_id}/term", { params: ofClass(classId), body }));
}

export function removeTerm(classId: number): Promise<Term> {
  return asked(api.DELETE("/api/classes/{class_id}/term", { params: ofClass(classId) }));
}

export function changeTerm(classId: number, body: TermChange): Promise<Term> {
  return asked(api.POST("/api/classes/{class_id}/term/changes", { params: ofClass(classId), body }));
}

export function revertTerm(classId: number): Promise<Term> {
  return asked(api.POST("/api/classes/{class_id}/term/reverts", { params: ofClass(classId), body: {} }));
}

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
export function readForecast(classId: number) {
  return whenDone(() =>
    asked<ForecastRead | Working>(
      api.GET("/api/classes/{class_id}/term/forecast", { params: ofClass(classId) }),
    ),
  );
}

/** What would help; what is told meanwhile is how far it is. */
export async function readSuggestions(classId: number, tell?: (now: Working) => void) {
  const ask = () =>
    asked<SuggestionsRead | Working>(
      api.GET("/api/classes/{class_id}/term/suggestions", { params: ofClass(classId) }),
    );
  return (await whenDone(ask, tell)).suggestions;
}

/** Bytes of a calendar that the server takes at most. */
const CALENDAR = 2_000_000;

/** Days off in a calendar file. */
export async function readDaysOff(classId: number, file: File, first: string, last: string) {
  if (file.size > CALENDAR)
    throw new Refused("content", "This calendar is larger than 2 MB. Export fewer years.", 413, true);
  const body = { content: await file.text(), first_day: first, last_day: last };
  return asked(api.POST("/api/classes/{class_id}/term/days-off", { params: ofClass(classId), body }));
}
