<script setup lang="ts">
import { computed, ref } from "vue";
import { useFacts } from "@/api";
import DialFace from "./DialFace.vue";
import DialLenses from "./DialLenses.vue";
import { degreesTo, marksMoved } from "./geometry";
import MinuteNumbers from "./MinuteNumbers.vue";

/**
 * A dial whose long hand can be taken and turned; the short hand follows. It is a slider: arrow keys
 * move it by a minute, with Shift by five, Page Up and Page Down by an hour.
 */
const props = defineProps<{ lenses: ReadonlySet<string> }>();
/** The place of the time in the table of 720. */
const place = defineModel<number>({ required: true });

const facts = useFacts();
const shown = computed(() => facts.at(place.value));
const dragging = ref(false);
const root = ref<HTMLElement>();

function move(minutes: number): void {
  const length = facts.times.length;
  place.value = (place.value + minutes + length) % length;
}

function follow(event: PointerEvent): void {
  if (!dragging.value || !root.value) return;
  const box = root.value.getBoundingClientRect();
  const point = {
    x: event.clientX - box.left - box.width / 2,
    y: event.clientY - box.top - box.height / 2,
  };
  const moved = marksMoved(shown.value.minute_hand_degrees, degreesTo(point));
  if (moved !== 0) move(moved);
}

function take(event: PointerEvent): void {
  dragging.value = true;
  root.value?.setPointerCapture(event.pointerId);
  root.value?.focus({ preventScroll: true });
  event.preventDefault();
}

const KEYS: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 60,
  PageDown: -60,
};

function press(event: KeyboardEvent): void {
  const minutes = KEYS[event.key];
  if (minutes === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
  move(event.shiftKey && Math.abs(minutes) === 1 ? minutes * 5 : minutes);
  event.preventDefault();
}

defineExpose({ press, focus: () => root.value?.focus({ preventScroll: true }) });
</script>

<template>
  <div
    ref="root"
    class="geared"
    :class="{ dragging }"
    role="slider"
    tabindex="0"
    aria-label="The dial: turn the long hand"
    aria-valuemin="0"
    :aria-valuemax="facts.times.length - 1"
    :aria-valuenow="place"
    :aria-valuetext="`${shown.digital}, ${shown.usual}`"
    @keydown="press"
    @pointermove="follow"
    @pointerup="dragging = false"
    @pointercancel="dragging = false"
  >
    <DialFace :facts="shown" :margin="17">
      <template #under>
        <DialLenses :facts="shown" :lenses="props.lenses" />
      </template>
      <template #over>
        <MinuteNumbers v-if="lenses.has('minute_numbers')" />
      </template>
      <template #hands>
        <line
          class="grip"
          data-grip
          y1="-20"
          y2="-82"
          :transform="`rotate(${shown.minute_hand_degrees})`"
          @pointerdown="take"
        />
      </template>
    </DialFace>
  </div>
</template>

<style scoped>
.geared {
  aspect-ratio: 1;
  height: 100%;
  max-width: 100%;
  border-radius: 2rem;
  touch-action: none;
  user-select: none;
}

.grip {
  stroke: transparent;
  stroke-width: 24;
  stroke-linecap: round;
  cursor: grab;
  pointer-events: stroke;
}

.dragging,
.dragging .grip {
  cursor: grabbing;
}
</style>
