import type { Sending } from "./ask";

const KEY = "vantick.desk.outbox";
const keyOf = (childId: number | undefined): string => (childId ? `${KEY}.${childId}` : KEY);

/** What a child left on this device: answers that have not reached the server yet. */
export function leftHere(childId: number): Sending[] {
  try {
    return JSON.parse(localStorage.getItem(keyOf(childId)) ?? "[]") as Sending[];
  } catch {
    return [];
  }
}

/** Keeps them, before anything else happens: the next thing may be that the device is switched off. */
export function keepHere(childId: number | undefined, sendings: readonly Sending[]): void {
  try {
    if (sendings.length) localStorage.setItem(keyOf(childId), JSON.stringify(sendings));
    else localStorage.removeItem(keyOf(childId));
  } catch {
    // A device that keeps nothing still holds them as long as the page is open.
  }
}
