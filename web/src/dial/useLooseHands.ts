import { ref, type Ref } from "vue";
import type { DialFacts } from "@/api/client";
import { degreesTo, type Point } from "./geometry";

export type Loose = Pick<DialFacts, "hour_hand_degrees" | "minute_hand_degrees">;
export type Hand = "hour" | "minute";

/** Degrees of one press of a key; with Shift it is five of them. */
const STEPS: Readonly<Record<Hand, number>> = { hour: 1, minute: 6 };
const KEYS: Readonly<Record<string, readonly [Hand, 1 | -1]>> = {
  ArrowRight: ["minute", 1],
  ArrowLeft: ["minute", -1],
  ArrowUp: ["hour", 1],
  ArrowDown: ["hour", -1],
};

const round = (degrees: number): number => ((degrees % 360) + 360) % 360;

/** One hand of an ungeared dial turned to an angle: the long hand stops at the marks, the short one anywhere. */
export function loosened(hands: Loose, hand: Hand, degrees: number): Loose {
  const angle = round(hand === "minute" ? Math.round(degrees / 6) * 6 : Math.round(degrees));
  return { ...hands, [`${hand}_hand_degrees`]: angle };
}

/** The hands after a key: left and right turn the long one by a mark, up and down the short one; nothing for other keys. */
export function pressed(hands: Loose, event: KeyboardEvent): Loose | undefined {
  const [hand, way] = KEYS[event.key] ?? [];
  if (!hand || !way || event.ctrlKey || event.metaKey || event.altKey) return undefined;
  return loosened(hands, hand, hands[`${hand}_hand_degrees`] + way * STEPS[hand] * (event.shiftKey ? 5 : 1));
}

const WRITTEN = /hour=([\d.]+) minute=([\d.]+)/;

/** Hands in an answer, as the server and the desks write them; nothing where it holds none. */
export function handsIn(answer: string): Loose | undefined {
  const found = WRITTEN.exec(answer);
  return found ? { hour_hand_degrees: Number(found[1]), minute_hand_degrees: Number(found[2]) } : undefined;
}

export function spokenHands(hands: Loose): string {
  return `Short hand at ${Math.round(hands.hour_hand_degrees)} degrees, long hand at ${Math.round(hands.minute_hand_degrees)}`;
}

interface Dragging {
  dragging: Ref<Hand | null>;
  take: (hand: Hand, event: PointerEvent) => void;
  /** Where the pointer is, seen from the middle, while a hand is held. */
  angle: (event: PointerEvent) => number | undefined;
  /** The hand that was let go. */
  drop: () => Hand | null;
}

/** Takes hold of a hand and follows the pointer. */
export function useDragging(root: Ref<HTMLElement | undefined>): Dragging {
  const dragging = ref<Hand | null>(null);

  function take(hand: Hand, event: PointerEvent): void {
    dragging.value = hand;
    root.value?.setPointerCapture(event.pointerId);
    root.value?.focus({ preventScroll: true });
    event.preventDefault();
  }

  function angle(event: PointerEvent): number | undefined {
    return dragging.value && root.value ? degreesTo(fromMiddle(event, root.value)) : undefined;
  }

  function drop(): Hand | null {
    const held = dragging.value;
    dragging.value = null;
    return held;
  }

  return { dragging, take, angle, drop };
}

/** A pointer seen from the middle of an element. */
export function fromMiddle(event: PointerEvent, element: HTMLElement): Point {
  const box = element.getBoundingClientRect();
  return { x: event.clientX - box.left - box.width / 2, y: event.clientY - box.top - box.height / 2 };
}
