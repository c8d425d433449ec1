import { api, asked, type Schemas } from "./client";
import { fileSent } from "./sent";

export type Scan = Schemas["Scan"];
export type ScanRead = Schemas["ScanRead"];
export type Piece = Schemas["Piece"];
export type PiecesSeen = Schemas["PiecesSeen"];

/** Bytes of a part of a file: what the server takes at once, in base64. */
const PART = 480_000;

export interface Scans {
  scans: Scan[];
  made_up: boolean;
}

export function listScans(classId: number): Promise<Scans> {
  return asked(api.GET("/api/classes/{class_id}/scans", { params: { path: { class_id: classId } } }));
}

export function readScan(id: number): Promise<ScanRead> {
  return asked(api.GET("/api/scans/{scan_id}", { params: { path: { scan_id: id } } }));
}

/** Sends a file by parts; it is read once the last one is there. */
export async function sendPaper(classId: number, file: File, sent: (part: number) => void): Promise<Scan> {
  const params = { path: { class_id: classId } };
  let scan = await asked(
    api.POST("/api/classes/{class_id}/scans", {
      params,
      body: { name: file.name.slice(0, 200), bytes: file.size },
    }),
  );
  for (let at = 0; at < file.size; at += PART) {
    const data = await fileSent(file.slice(at, at + PART));
    scan = await asked(
      api.PUT("/api/scans/{scan_id}/parts", { params: { path: { scan_id: scan.id } }, body: { at, data } }),
    );
    sent(Math.min(1, (at + PART) / file.size));
  }
  return scan;
}

export function readMadeUp(classId: number): Promise<Scan> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/made-up-scans", { params, body: {} }));
}

export function stopScan(id: number): Promise<ScanRead> {
  return asked(api.POST("/api/scans/{scan_id}/stops", { params: { path: { scan_id: id } }, body: {} }));
}

export function removeScan(id: number): Promise<unknown> {
  return asked(api.DELETE("/api/scans/{scan_id}", { params: { path: { scan_id: id } } }));
}

/** Whose page it is. */
export function nameScanPage(
  id: number,
  body: { check_id: number; child_id: number; page: number },
): Promise<ScanRead> {
  return asked(api.PUT("/api/scan-pages/{scan_page_id}", { params: { path: { scan_page_id: id } }, body }));
}

/** All, or what a person has to look at, and some that were marked without one. */
export function listPieces(checkId: number, waiting: boolean): Promise<PiecesSeen> {
  const params = { path: { check_id: checkId }, query: { waiting } };
  return asked(api.GET("/api/checks/{check_id}/pieces", { params }));
}

export function settlePiece(id: number, answer: string): Promise<Piece> {
  return asked(api.PUT("/api/pieces/{piece_id}", { params: { path: { piece_id: id } }, body: { answer } }));
}

/** These are as they were read; of those that were marked already, which are right and which are not. */
export function agreeWithPieces(
  checkId: number,
  ids: { pieces: readonly number[]; sure: readonly number[]; wrong: readonly number[] },
): Promise<PiecesSeen> {
  const params = { path: { check_id: checkId } };
  const body = { piece_ids: [...ids.pieces], sure_ids: [...ids.sure], wrong_ids: [...ids.wrong] };
  return asked(api.POST("/api/checks/{check_id}/agreements", { params, body }));
}

/** Once its check or its child is back. */
export function readPageAgain(id: number): Promise<ScanRead> {
  const params = { path: { scan_page_id: id } };
  return asked(api.POST("/api/scan-pages/{scan_page_id}/readings", { params, body: {} }));
}
