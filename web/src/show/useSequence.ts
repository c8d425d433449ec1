import { useSessionStorage } from "@vueuse/core";
import { computed, ref, type ComputedRef, type Ref } from "vue";
import { useFacts } from "@/api";

interface Sequence {
  times: Ref<string[]>;
  /** Where in the sequence the dial is; nothing when it shows another time. */
  at: ComputedRef<number>;
  errorMessage: Ref<string>;
  /** Adds typed times, and says of one that is none what to do. True when all were taken. */
  add: (text: string) => boolean;
  remove: (at: number) => void;
  /** Moves a time by so many places. */
  shift: (at: number, by: number) => void;
  /** The time so many places on, round the sequence. */
  step: (by: number) => string | undefined;
}

/** Times to show, in an order of the teacher's own. */
export function useSequence(start: string[], shown: () => string): Sequence {
  const facts = useFacts();
  // Typed times stay in this tab; a page that was led to with times of its own begins with those.
  const times = useSessionStorage<string[]>("vantick.show.times", []);
  const given = start.filter((time) => facts.placeOf(time) !== undefined);
  if (given.length) times.value = given;
  const errorMessage = ref("");
  const at = computed(() => times.value.indexOf(shown()));
  const last = ref(Math.max(at.value, 0));

  function add(text: string): boolean {
    const typed = text
      .split(/[,;\s]+/)
      .map((text) => text.replace(".", ":").replace(/^0(?=\d:)/, ""))
      .filter((text) => text !== "");
    const none = typed.find((time) => facts.placeOf(time) === undefined);
    errorMessage.value = none
      ? `${none} is not a time on the clock. Type it like 7:45, with hours from 1 to 12.`
      : "";
    if (none) return false;
    times.value = [...new Set([...times.value, ...typed])];
    return typed.length > 0;
  }

  function remove(place: number): void {
    times.value = times.value.filter((_, other) => other !== place);
  }

  function shift(place: number, by: number): void {
    const to = place + by;
    if (to < 0 || to >= times.value.length) return;
    const next = [...times.value];
    next.splice(to, 0, ...next.splice(place, 1));
    times.value = next;
  }

  /** From a time that is not in the sequence it goes on where it was left. */
  function step(by: number): string | undefined {
    const length = times.value.length;
    if (length === 0) return undefined;
    const from = at.value >= 0 ? at.value : last.value - (by > 0 ? 1 : 0);
    last.value = (from + by + length) % length;
    return times.value[last.value];
  }

  return { times, at, errorMessage, add, remove, shift, step };
}
