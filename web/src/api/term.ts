import { api, asked, type Schemas } from "./client";

export type TermSet = Schemas["TermSet"];
export type TermLesson = Schemas["TermLesson"];
export type ForecastPoint = Schemas["ForecastPoint"];
export type Term = Awaited<ReturnType<typeof readTerm>>;
export type Forecast = Awaited<ReturnType<typeof readForecast>>;
export type Help = Awaited<ReturnType<typeof readHelps>>[number];
export type DaysOff = Schemas["DaysOff"];
export interface TermChange {
  kind: "move" | "swap" | "pin" | "unpin" | "skip" | "hold" | "set";
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

export function putTermBack(classId: number): Promise<Term> {
  return asked(api.POST("/api/classes/{class_id}/term/put-backs", { params: ofClass(classId), body: {} }));
}

/** How likely the plan holds. */
export function readForecast(classId: number) {
  return asked(api.GET("/api/classes/{class_id}/term/forecast", { params: ofClass(classId) }));
}

export async function readHelps(classId: number) {
  return (await asked(api.GET("/api/classes/{class_id}/term/helps", { params: ofClass(classId) }))).helps;
}

/** Days off in a calendar file. */
export async function readDaysOff(classId: number, file: File, first: string, last: string) {
  const body = { content: await file.text(), first_day: first, last_day: last };
  return asked(api.POST("/api/classes/{class_id}/term/days-off", { params: ofClass(classId), body }));
}
