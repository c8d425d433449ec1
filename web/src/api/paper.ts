import type { Schemas } from "./client";
import { announceScan, sendScanPart } from "./operations";
import { fileSent } from "./sent";

export type Scan = Schemas["Scan"];
export type ScanRead = Schemas["ScanRead"];
export type Piece = Schemas["Piece"];
export type PiecesSeen = Schemas["PiecesSeen"];

/** Bytes of a part of a file: what the server takes at once, in base64. */
const PART = 480_000;

/** Sends a file by parts; it is read once the last one is there. */
export async function sendPaper(classId: number, file: File, sent: (part: number) => void): Promise<Scan> {
  let scan = await announceScan(classId, { name: file.name.slice(0, 200), bytes: file.size });
  for (let at = 0; at < file.size; at += PART) {
    scan = await sendScanPart(scan.id, { at, data: await fileSent(file.slice(at, at + PART)) });
    sent(Math.min(1, (at + PART) / file.size));
  }
  return scan;
}
