import {
  api,
  asked,
  type Check,
  type KeptPreview,
  type Schemas,
  type SheetPreview,
  type SheetSettings,
} from "./client";

export function previewSheet(classId: number, body: SheetSettings): Promise<SheetPreview> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/sheet-previews", { params, body }));
}

export function previewKept(id: number, names: boolean): Promise<KeptPreview> {
  return asked(
    api.GET("/api/checks/{check_id}/sheet-preview", { params: { path: { check_id: id }, query: { names } } }),
  );
}

/** The times of a game in the order in which they are called, by what stands in the page's address. */
export function readCalls(classId: number, of: Record<string, string>): Promise<Schemas["Calls"]> {
  const { kind = "", step = "", count, seed, misreading } = of;
  const number = (text?: string): number | undefined => (text ? Number(text) : undefined);
  const query = { kind, step, count: number(count), seed: number(seed), misreading };
  return asked(api.GET("/api/classes/{class_id}/calls", { params: { path: { class_id: classId }, query } }));
}

export function makeSheet(classId: number, body: SheetSettings): Promise<{ check_id: number; code: string }> {
  return asked(api.POST("/api/classes/{class_id}/sheets", { params: { path: { class_id: classId } }, body }));
}

/** Two children worked on each other's sheets. */
export function swapSheets(id: number, child_id: number, other_id: number): Promise<Check> {
  const params = { path: { check_id: id } };
  return asked(api.PUT("/api/checks/{check_id}/letters", { params, body: { child_id, other_id } }));
}

export function findSheet(code: string): Promise<{ check_id: number; class_id: number }> {
  return asked(api.GET("/api/sheets/{code}", { params: { path: { code } } }));
}
