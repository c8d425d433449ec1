import { api, asked } from "./client";

/** The school's file, whole. */
export function exportCopy(present: string): Promise<Blob> {
  const body = { present_password: present };
  return asked(api.POST("/api/school/copies", { body, parseAs: "blob" })) as unknown as Promise<Blob>;
}
