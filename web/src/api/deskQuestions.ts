import { api, asked, type ChildKey, type Desk, type LiveDesk, type Removed } from "./client";

export function removeDesk(id: number): Promise<Removed> {
  return asked(api.DELETE("/api/desks/{desk_id}", { params: { path: { desk_id: id } } }));
}

export interface DeskForm {
  kind: Desk["kind"];
  step?: string | null;
  lesson_id?: number;
  stage?: string;
  check_id?: number;
  child_ids?: number[] | null;
}

export async function listDesks(classId: number): Promise<Desk[]> {
  const params = { path: { class_id: classId } };
  return (await asked(api.GET("/api/classes/{class_id}/desks", { params }))).desks;
}

export function openDesk(classId: number, body: DeskForm): Promise<Desk> {
  return asked(api.POST("/api/classes/{class_id}/desks", { params: { path: { class_id: classId } }, body }));
}

export function watchDesk(id: number): Promise<LiveDesk> {
  return asked(api.GET("/api/desks/{desk_id}", { params: { path: { desk_id: id } } }));
}

export function closeDesk(id: number): Promise<Desk> {
  return asked(api.POST("/api/desks/{desk_id}/closing", { params: { path: { desk_id: id } } }));
}

/** Ends a child's place at a desk, whoever holds the device. */
export function sendAway(deskId: number, childId: number): Promise<unknown> {
  const params = { path: { desk_id: deskId, child_id: childId } };
  return asked(api.POST("/api/desks/{desk_id}/children/{child_id}/leaving", { params }));
}

export async function readKeys(classId: number): Promise<ChildKey[]> {
  const params = { path: { class_id: classId } };
  return (await asked(api.GET("/api/classes/{class_id}/keys", { params }))).keys;
}

export function renewKey(classId: number, childId: number): Promise<ChildKey> {
  const params = { path: { class_id: classId, child_id: childId } };
  return asked(api.POST("/api/classes/{class_id}/children/{child_id}/keys", { params }));
}
