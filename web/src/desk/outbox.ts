import { shallowRef, type ShallowRef } from "vue";
import type { Sending } from "./ask";

const KEY = "vantick.desk.outbox";

/** Answers of one child that have not reached the server yet, kept on the device until they have. */
export interface Outbox {
  waiting: ShallowRef<readonly Sending[]>;
  /** Takes up what this child left here. */
  belongsTo: (childId: number) => void;
  add: (sending: Sending) => void;
  remove: (sending: Sending) => void;
}

export function useOutbox(): Outbox {
  const waiting = shallowRef<readonly Sending[]>([]);
  let key = KEY;

  function keep(sendings: readonly Sending[]): void {
    waiting.value = sendings;
    try {
      if (sendings.length) localStorage.setItem(key, JSON.stringify(sendings));
      else localStorage.removeItem(key);
    } catch {
      // A device that keeps nothing still holds them as long as the page is open.
    }
  }

  function belongsTo(childId: number): void {
    key = `${KEY}.${childId}`;
    try {
      waiting.value = JSON.parse(localStorage.getItem(key) ?? "[]") as Sending[];
    } catch {
      waiting.value = [];
    }
  }

  return {
    waiting,
    belongsTo,
    add: (sending) => keep([...waiting.value, sending]),
    remove: (sending) => keep(waiting.value.filter((one) => one !== sending)),
  };
}
