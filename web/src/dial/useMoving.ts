import { TransitionPresets, usePreferredReducedMotion, useTransition } from "@vueuse/core";
import { computed, inject, ref, watch, type ComputedRef, type InjectionKey } from "vue";
import type { Loose } from "./useLooseHands";

/** Milliseconds that hands are on their way: long enough to be followed by eye, short enough to wait for. */
export const MOVING = 450;

/** Says whether nothing is to move here, whatever the device has set. */
export const STILL: InjectionKey<() => boolean> = Symbol("still");

const round = (degrees: number): number => ((degrees % 360) + 360) % 360;
/** The same direction, without a turn more than is needed from where a hand is. */
const nearest = (from: number, to: number): number => from + (((((to - from) % 360) + 540) % 360) - 180);

/**
 * Hands on their way to where they belong next, the nearer way round, so that the eye can follow them. They are there at once where
 * `still` says so (a finger holds them), and where less motion is asked for.
 */
export function useMoving(
  to: () => Loose,
  still: () => boolean = () => false,
  duration = MOVING,
): ComputedRef<Loose> {
  const less = usePreferredReducedMotion();
  const calm = inject(STILL, () => false);
  const target = ref([to().hour_hand_degrees, to().minute_hand_degrees]);
  watch(to, (next) => {
    const [hour = 0, minute = 0] = target.value;
    target.value = [nearest(hour, next.hour_hand_degrees), nearest(minute, next.minute_hand_degrees)];
  });
  const moving = useTransition(target, {
    duration: computed(() => (less.value === "reduce" || calm() || still() ? 0 : duration)),
    transition: TransitionPresets.easeInOutCubic,
  });
  return computed(() => ({
    hour_hand_degrees: round(moving.value[0] ?? 0),
    minute_hand_degrees: round(moving.value[1] ?? 0),
  }));
}
