import { usePreferredReducedMotion } from "@vueuse/core";
import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from "vue";
import { checkDrawing, useFacts, wordsOf, type Drawing } from "@/api";
import type { Loose } from "@/dial";

interface Ungeared {
  /** The hands where they go by themselves; nothing while they are geared. */
  hands: ShallowRef<Loose | null>;
  /** What core says of the picture; nothing while a hand moves. */
  drawing: ShallowRef<Drawing | null>;
  errorMessage: Ref<string>;
  right: ComputedRef<boolean>;
  /** Ungears a dial, or gears it again at the time the hands mean. */
  toggle: (from: Loose) => string | undefined;
  turn: (hands: Loose) => void;
  ask: () => Promise<void>;
  putRight: () => void;
}

/** Milliseconds in which the hour hand goes to its place, before the children's eyes. */
const MENDING = 1400;

/** A dial whose hands go by themselves, judged by core whenever a hand is let go. */
export function useLoose(): Ungeared {
  const facts = useFacts();
  const motion = usePreferredReducedMotion();
  const hands = shallowRef<Loose | null>(null);
  const drawing = shallowRef<Drawing | null>(null);
  const errorMessage = ref("");
  /** The hand on its way to its place; another press, a turn or the gears stop it where it is. */
  let mending = 0;
  let count = 0;

  async function ask(): Promise<void> {
    const asked = hands.value;
    if (!asked) return;
    try {
      const found = await checkDrawing({
        hour_hand_degrees: asked.hour_hand_degrees,
        minute_hand_degrees: asked.minute_hand_degrees,
      });
      if (hands.value === asked) drawing.value = found;
      errorMessage.value = "";
    } catch (error) {
      errorMessage.value = wordsOf(error);
    }
  }

  function toggle(from: Loose): string | undefined {
    const meant = drawing.value?.time;
    drawing.value = null;
    mending = 0;
    hands.value = hands.value ? null : { ...from };
    if (hands.value) void ask();
    return meant;
  }

  function turn(next: Loose): void {
    mending = 0;
    place(next);
  }

  function place(next: Loose): void {
    hands.value = next;
    drawing.value = null;
  }

  function putRight(): void {
    const from = hands.value;
    if (!from || !drawing.value) return;
    const goal = facts.of(drawing.value.time).hour_hand_degrees;
    const way = ((goal - from.hour_hand_degrees + 540) % 360) - 180;
    const began = performance.now();
    const length = motion.value === "reduce" ? 1 : MENDING;
    const mine = ++count;
    mending = mine;
    const step = (now: number): void => {
      if (mending !== mine) return;
      const share = Math.min((now - began) / length, 1);
      const eased = 1 - (1 - share) ** 3;
      place({
        ...from,
        hour_hand_degrees: share < 1 ? (from.hour_hand_degrees + way * eased + 360) % 360 : goal,
      });
      if (share < 1) requestAnimationFrame(step);
      else void ask();
    };
    requestAnimationFrame(step);
  }

  const right = computed(() => drawing.value?.verdict === "well_placed");
  return { hands, drawing, errorMessage, right, toggle, turn, ask, putRight };
}
