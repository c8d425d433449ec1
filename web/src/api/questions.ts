import {
  api,
  asked,
  type Adjusted,
  type Adjustments,
  type Answer,
  type Check,
  type CheckSummary,
  type ChildRecord,
  type Group,
  type Groups,
  type Week,
  type Choice,
  type DayEvent,
  type Drawing,
  type Findings,
  type OwnClass,
  type Register,
  type Removed,
  type SchoolClass,
  type Jobs,
  type Schemas,
} from "./client";

/** What the pages ask of the server, by name. */
export interface CheckForm {
  step: string;
  task: string;
  count: number;
  seed: number;
}

export async function listClasses(): Promise<OwnClass[]> {
  return (await asked(api.GET("/api/classes"))).classes;
}

export function makeClass(body: { name: string; school: string; children: string[] }): Promise<SchoolClass> {
  return asked(api.POST("/api/classes", { body }));
}

const ofChild = (classId: number, childId: number): { path: { class_id: number; child_id: number } } => ({
  path: { class_id: classId, child_id: childId },
});

export function readRegister(classId: number): Promise<Register> {
  return asked(api.GET("/api/classes/{class_id}/register", { params: { path: { class_id: classId } } }));
}

export function addChildren(classId: number, names: string[]): Promise<SchoolClass> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/children", { params, body: { names } }));
}

export function renameChild(classId: number, childId: number, name: string): Promise<SchoolClass> {
  const params = ofChild(classId, childId);
  return asked(api.PUT("/api/classes/{class_id}/children/{child_id}", { params, body: { name } }));
}

export function markLeft(classId: number, childId: number, left: boolean): Promise<SchoolClass> {
  const params = ofChild(classId, childId);
  return asked(api.POST("/api/classes/{class_id}/children/{child_id}/absence", { params, body: { left } }));
}

export function moveChild(classId: number, childId: number, to: number): Promise<SchoolClass> {
  const params = ofChild(classId, childId);
  return asked(
    api.POST("/api/classes/{class_id}/children/{child_id}/move", { params, body: { to_class_id: to } }),
  );
}

export function eraseChild(classId: number, childId: number, name: string): Promise<unknown> {
  const params = ofChild(classId, childId);
  return asked(api.POST("/api/classes/{class_id}/children/{child_id}/erasure", { params, body: { name } }));
}

export function renameClass(classId: number, body: { name: string; school: string }): Promise<SchoolClass> {
  return asked(api.PUT("/api/classes/{class_id}", { params: { path: { class_id: classId } }, body }));
}

export function archiveClass(classId: number, archived: boolean): Promise<SchoolClass> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/archive", { params, body: { archived } }));
}

export function nextYear(classId: number, body: { name: string; child_ids: number[] }): Promise<SchoolClass> {
  return asked(
    api.POST("/api/classes/{class_id}/next-year", { params: { path: { class_id: classId } }, body }),
  );
}

/** Erasures of the class's children: what goes on yet, and what came to its end last. */
export function listErasures(classId: number): Promise<Jobs> {
  return asked(api.GET("/api/classes/{class_id}/erasures", { params: { path: { class_id: classId } } }));
}

export function eraseClass(classId: number, name: string, present: string): Promise<unknown> {
  const params = { path: { class_id: classId } };
  const body = { name, present_password: present };
  return asked(api.POST("/api/classes/{class_id}/erasure", { params, body }));
}

/** Without practice that nobody came to. */
interface Which {
  limit?: number;
  /** Only those made before this one. */
  before?: number;
  step?: string;
  month?: string;
  /** Only those with an answer. */
  answered?: boolean;
}

/** The class's checks, newest first, and whether there are earlier ones. */
export function listChecks(
  classId: number,
  query: Which = {},
): Promise<{ checks: CheckSummary[]; more: boolean }> {
  return asked(api.GET("/api/classes/{class_id}/checks", { params: { path: { class_id: classId }, query } }));
}

export function chooseTimes(classId: number, query: CheckForm): Promise<Choice> {
  return asked(api.GET("/api/classes/{class_id}/choice", { params: { path: { class_id: classId }, query } }));
}

export function makeCheck(classId: number, body: CheckForm): Promise<Check> {
  return asked(api.POST("/api/classes/{class_id}/checks", { params: { path: { class_id: classId } }, body }));
}

export function readCheck(id: number): Promise<Check> {
  return asked(api.GET("/api/checks/{check_id}", { params: { path: { check_id: id } } }));
}

export function readFindings(id: number): Promise<Findings> {
  return asked(api.GET("/api/checks/{check_id}/findings", { params: { path: { check_id: id } } }));
}

export function addAnswer(
  checkId: number,
  body: { id: string; item_id: number; child_id: number; answer: string },
): Promise<Answer> {
  return asked(api.POST("/api/checks/{check_id}/answers", { params: { path: { check_id: checkId } }, body }));
}

export function setConventions(classId: number, conventions: Record<string, string>): Promise<SchoolClass> {
  const params = { path: { class_id: classId } };
  return asked(api.PUT("/api/classes/{class_id}/conventions", { params, body: { conventions } }));
}

export function setDay(classId: number, day: DayEvent[]): Promise<SchoolClass> {
  return asked(
    api.PUT("/api/classes/{class_id}/day", { params: { path: { class_id: classId } }, body: { day } }),
  );
}

/** What two hands mean, wherever they were put. */
export function checkDrawing(hour: number, minute: number): Promise<Drawing> {
  const query = { hour_hand_degrees: hour, minute_hand_degrees: minute };
  return asked(api.GET("/api/drawing", { params: { query } }));
}

export function timesFor(query: CheckForm): Promise<Choice> {
  return asked(api.GET("/api/times", { params: { query } }));
}

export function compareTimes(one: string, other: string, conventions: string): Promise<Schemas["Between"]> {
  return asked(api.GET("/api/between", { params: { query: { one, other, conventions } } }));
}

export function removeCheck(id: number): Promise<Removed> {
  return asked(api.DELETE("/api/checks/{check_id}", { params: { path: { check_id: id } } }));
}

/** What was removed from a class and can be brought back yet. */
export async function listRemoved(classId: number): Promise<Removed[]> {
  const params = { path: { class_id: classId } };
  return (await asked(api.GET("/api/classes/{class_id}/removed", { params }))).removed;
}

export function bringBack(id: number): Promise<Removed> {
  return asked(api.POST("/api/removed/{removed_id}/return", { params: { path: { removed_id: id } } }));
}

/** A teacher's own verdict on an answer; null takes it back. */
export function overrule(answerId: string, verdict: "right" | "unexplained" | null): Promise<Answer> {
  const params = { path: { answer_id: answerId } };
  return asked(api.POST("/api/answers/{answer_id}/overrides", { params, body: { verdict } }));
}

export function takeTable(checkId: number, table: string): Promise<Check> {
  const params = { path: { check_id: checkId } };
  return asked(api.POST("/api/checks/{check_id}/tables", { params, body: { table } }));
}

/** What is set for single children of a class, of those for whom something is. */
export async function readAdjustments(classId: number): Promise<Adjusted[]> {
  const params = { path: { class_id: classId } };
  return (await asked(api.GET("/api/classes/{class_id}/adjustments", { params }))).children;
}

export function adjustChild(classId: number, childId: number, body: Adjustments): Promise<Adjusted> {
  const params = ofChild(classId, childId);
  return asked(api.PUT("/api/classes/{class_id}/children/{child_id}/adjustments", { params, body }));
}

export function readRecord(classId: number, childId: number): Promise<ChildRecord> {
  const params = { path: { class_id: classId, child_id: childId } };
  return asked(api.GET("/api/classes/{class_id}/children/{child_id}/record", { params }));
}

export function readGroups(classId: number, most: number): Promise<Groups> {
  const params = { path: { class_id: classId }, query: { most } };
  return asked(api.GET("/api/classes/{class_id}/groups", { params }));
}

/** Keeps groups as they were put together by hand. */
export function keepGroups(classId: number, groups: Group[]): Promise<Groups> {
  const params = { path: { class_id: classId } };
  return asked(api.PUT("/api/classes/{class_id}/groups", { params, body: { groups } }));
}

/** Back to those that the answers propose. */
export function proposeGroups(classId: number, most: number): Promise<Groups> {
  const params = { path: { class_id: classId }, query: { most } };
  return asked(api.DELETE("/api/classes/{class_id}/groups", { params }));
}

export async function readHistory(classId: number): Promise<Week[]> {
  const params = { path: { class_id: classId } };
  return (await asked(api.GET("/api/classes/{class_id}/history", { params }))).weeks;
}
