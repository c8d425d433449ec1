import {
  api,
  asked,
  type Answer,
  type Check,
  type CheckSummary,
  type Choice,
  type Findings,
  type SchoolClass,
} from "./client";

/** What the pages ask of the server, by name. */
export interface CheckForm {
  step: string;
  task: string;
  count: number;
  seed: number;
}

export async function listClasses(): Promise<SchoolClass[]> {
  return (await asked(api.GET("/api/classes"))).classes;
}

export function makeClass(body: { name: string; school: string; children: string[] }): Promise<SchoolClass> {
  return asked(api.POST("/api/classes", { body }));
}

export async function listChecks(classId: number, limit?: number): Promise<CheckSummary[]> {
  const params = { path: { class_id: classId }, query: { limit } };
  return (await asked(api.GET("/api/classes/{class_id}/checks", { params }))).checks;
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
