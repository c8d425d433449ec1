import { useIntervalFn } from "@vueuse/core";
import { computed, ref, type ComputedRef, type Ref } from "vue";
import { useFacts } from "@/api";

interface Turning {
  /** The place in the table of 720. */
  place: Ref<number>;
  /** The place in the table of 1,440; the half of the day goes on as the hands pass the twelve. */
  dayPlace: Ref<number>;
  playing: ComputedRef<boolean>;
  /** Goes to a time of the dial, whatever half of the day it is. */
  go: (time: string) => void;
  /** Time goes forward in fives up to the next o'clock, or stops. */
  play: () => void;
  stop: () => void;
  /** To the next five. */
  onward: () => void;
}

/** Milliseconds from one five to the next: long enough to say it aloud. */
const BEAT = 1600;
const HOUR = 60;

/** Where the hands are, how they go on by themselves, and in which half of the day. */
export function useTurning(start: string): Turning {
  const facts = useFacts();
  const shown = ref(facts.placeOf(start) ?? facts.placeOf("4:45") ?? 0);
  const afternoon = ref(false);
  const round = facts.times.length;

  const place = computed({
    get: () => shown.value,
    set: (next) => {
      if (Math.abs(next - shown.value) > round / 2) afternoon.value = !afternoon.value;
      shown.value = next;
    },
  });
  const dayPlace = computed({
    get: () => shown.value + (afternoon.value ? round : 0),
    set: (next) => {
      afternoon.value = next >= round;
      shown.value = next % round;
    },
  });

  function go(time: string): void {
    shown.value = facts.placeOf(time) ?? shown.value;
  }

  function beat(): void {
    const next = shown.value + 5 - (shown.value % 5);
    place.value = next % round;
    if (next % HOUR === 0) pause();
  }

  const { pause, resume, isActive } = useIntervalFn(beat, BEAT, { immediate: false });

  function play(): void {
    if (isActive.value) pause();
    else resume();
  }

  return { place, dayPlace, playing: computed(() => isActive.value), go, play, stop: pause, onward: beat };
}
