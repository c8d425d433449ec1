import { api, asked, type Check, type KeptPreview, type SheetPreview, type SheetSettings } from "./client";

export function previewSheet(classId: number, body: SheetSettings): Promise<SheetPreview> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/sheet-previews", { params, body }));
}

export function previewKept(id: number, names: boolean): Promise<KeptPreview> {
  return asked(
    api.GET("/api/checks/{check_id}/sheet-preview", { params: { path: { check_id: id }, query: { names } } }),
  );
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
