<script setup lang="ts">
import { computed, inject, ref } from "vue";
import type { DeskTurn } from "@/api/client";
import DialFace from "@/dial/DialFace.vue";
import { degreesTo } from "@/dial/geometry";
import {
  fromMiddle,
  loosened,
  pressed,
  spokenHands,
  useDragging,
  type Hand,
  type Loose,
} from "@/dial/useLooseHands";
import HandButtons from "./HandButtons.vue";
import HelpOnClock from "./HelpOnClock.vue";
import { BUTTONS } from "./adjusted";

/** A dial whose two hands are set by themselves: the nearer one follows the finger; arrows and Shift do the same. */
const props = defineProps<{ turn: DeskTurn; over: boolean }>();
const help = computed(() => props.turn.items[0]?.on_clock ?? null);
const texts = defineModel<string[]>({ required: true });
/** As the wrong clock stands; or both hands in sight, and no time that is likely to be asked. */
const item = props.turn.items[0];
const hands = ref<Loose>({
  hour_hand_degrees: item?.clocks[0]?.hour_hand_degrees ?? 180,
  minute_hand_degrees: item?.clocks[0]?.minute_hand_degrees ?? item?.half?.minute_hand_degrees ?? 0,
});
const root = ref<HTMLElement>();
const { dragging, take, angle, drop } = useDragging(root);
/** Where the short hand ends, as a part of the radius. */
const SHORT = 0.55;

function set(next: Loose): void {
  hands.value = next;
  texts.value = [`hour=${next.hour_hand_degrees} minute=${next.minute_hand_degrees}`];
}

const apart = (one: number, other: number): number => Math.abs(((one - other + 540) % 360) - 180);

/** The hand nearer to the finger; where both are as near, the long one outside, the short one inside. */
function nearest(event: PointerEvent, element: HTMLElement): Hand {
  const point = fromMiddle(event, element);
  const at = degreesTo(point);
  const [hour, minute] = [
    apart(at, hands.value.hour_hand_degrees),
    apart(at, hands.value.minute_hand_degrees),
  ];
  if (Math.abs(hour - minute) > 15) return hour < minute ? "hour" : "minute";
  return Math.hypot(point.x, point.y) < (SHORT * element.clientWidth) / 2 ? "hour" : "minute";
}

function hold(event: PointerEvent): void {
  if (!props.over && root.value) take(nearest(event, root.value), event);
}

function follow(event: PointerEvent): void {
  const degrees = angle(event);
  if (degrees !== undefined && dragging.value) set(loosened(hands.value, dragging.value, degrees));
}

function press(event: KeyboardEvent): void {
  const next = props.over ? undefined : pressed(hands.value, event);
  if (!next) return;
  set(next);
  event.preventDefault();
}

/** Set for children who cannot drag. */
const buttons = inject(BUTTONS, () => false);
const turnBy = (hand: Hand, degrees: number): void =>
  set(loosened(hands.value, hand, hands.value[`${hand}_hand_degrees`] + degrees));

/** Arrows turn the hands from wherever the child is on the page. */
function type(event: KeyboardEvent): boolean {
  press(event);
  return false;
}

defineExpose({ type });
</script>

<template>
  <div
    class="set d-flex flex-column align-items-center justify-content-center gap-2 min-h-0 min-w-0"
    :class="{ pressed: buttons() && !over }"
  >
    <div
      ref="root"
      class="turning square rounded-circle touch-none user-select-none"
      :class="{ dragging }"
      role="slider"
      tabindex="0"
      aria-label="The clock. Left and right move the long hand. Up and down move the short hand. Shift moves in fives."
      aria-valuemin="0"
      aria-valuemax="360"
      :aria-valuenow="hands.minute_hand_degrees"
      :aria-valuetext="spokenHands(hands)"
      :aria-disabled="over"
      @keydown="press"
      @pointerdown="hold"
      @pointermove="follow"
      @pointerup="drop"
      @pointercancel="drop"
    >
      <DialFace :facts="hands" :margin="help ? 18 : 3">
        <template v-if="help" #under><HelpOnClock :help="help" under /></template>
        <template v-if="help" #over><HelpOnClock :help="help" /></template>
      </DialFace>
    </div>
    <HandButtons v-if="buttons() && !over" @turn="turnBy" />
  </div>
</template>

<style scoped>
.set {
  container-type: size;
}

.turning {
  width: min(100cqw, 100cqh);
  cursor: grab;
}

/* Two rows of buttons below. */
.pressed .turning {
  width: min(100cqw, 100cqh - 6.6rem);
}

.dragging {
  cursor: grabbing;
}
</style>
