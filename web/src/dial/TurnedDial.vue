<script setup lang="ts">
import { computed, ref } from "vue";
import { type Light, useFacts } from "@/api";
import DialFace from "./DialFace.vue";
import DialLenses from "./DialLenses.vue";
import DialLights from "./DialLights.vue";
import { marksMoved, ray } from "./geometry";
import MinuteNumbers from "./MinuteNumbers.vue";
import { useMoving } from "./useMoving";
import { loosened, pressed, spokenHands, useDragging, type Loose } from "./useLooseHands";

/**
 * A dial whose hands can be taken and turned. Geared, the short hand follows the long one, and the dial is a
 * slider: arrow keys move it by a minute, with Shift by five, Page Up and Page Down by an hour. Ungeared,
 * each hand goes by itself: arrows left and right turn the long one by a mark, up and down the short one by a
 * degree, with Shift by five.
 */
const props = withDefaults(
  defineProps<{
    lenses?: ReadonlySet<string>;
    lights?: readonly Light[];
    /** The hands where they are not geared; nothing where they are. */
    loose?: Loose | null;
    /** What the reading is called for those who cannot see it, where the day has a say too. */
    spoken?: string;
  }>(),
  { lenses: () => new Set<string>(), lights: () => [], loose: null, spoken: undefined },
);
/** The place of the time in the table of 720. */
const place = defineModel<number>({ required: true });
const emit = defineEmits<{
  /** A hand of an ungeared dial moves. */
  loosen: [hands: Loose];
  /** It was let go. */
  settle: [];
}>();

const facts = useFacts();
const shown = computed(() => facts.at(place.value));
const drawn = computed(() => props.loose ?? shown.value);
const root = ref<HTMLElement>();
const { dragging, take, angle, drop: letGo } = useDragging(root);
/** Where the hands are seen: a finger has them at once, and so has whoever turns each by itself; keys and time going on let them travel. */
const moving = useMoving(
  () => drawn.value,
  () => dragging.value !== null || props.loose !== null,
);
const hands = computed(() =>
  props.lenses.has("hour_alone") ? "hour" : props.lenses.has("minute_alone") ? "minute" : "both",
);
const litHands = computed(() =>
  props.lights.filter((light) => light.kind === "hand").map((light) => light.hand),
);
const sweeping = computed(() => props.lights.some((light) => light.counts));
const valueText = computed(() => {
  if (!props.loose) return props.spoken ?? `${shown.value.digital}, ${shown.value.usual}`;
  return spokenHands(drawn.value);
});

function move(minutes: number): void {
  const length = facts.times.length;
  place.value = (place.value + minutes + length) % length;
}

function follow(event: PointerEvent): void {
  const degrees = angle(event);
  if (degrees === undefined || !dragging.value) return;
  if (props.loose) return emit("loosen", loosened(drawn.value, dragging.value, degrees));
  const moved = marksMoved(shown.value.minute_hand_degrees, degrees);
  if (moved !== 0) move(moved);
}

function drop(): void {
  if (letGo() && props.loose) emit("settle");
}

const KEYS: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 60,
  PageDown: -60,
};

function pressLoose(event: KeyboardEvent): void {
  const hands = pressed(drawn.value, event);
  if (!hands) return;
  emit("loosen", hands);
  emit("settle");
  event.preventDefault();
}

function press(event: KeyboardEvent): void {
  if (props.loose) return pressLoose(event);
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
    class="turned h-100 square mw-100 rounded-20 touch-none user-select-none"
    :class="{ dragging }"
    role="slider"
    tabindex="0"
    :aria-label="loose ? 'The clock: turn each hand on its own' : 'The clock: turn the long hand'"
    aria-valuemin="0"
    :aria-valuemax="facts.times.length - 1"
    :aria-valuenow="place"
    :aria-valuetext="valueText"
    @keydown="press"
    @pointermove="follow"
    @pointerup="drop"
    @pointercancel="drop"
  >
    <DialFace
      :facts="{ ...moving, time: loose ? undefined : shown.time }"
      :margin="16"
      :hands="hands"
      :lit="litHands"
      :numerals="!lenses.has('no_numerals')"
      :roman="lenses.has('roman')"
      :marks="!lenses.has('no_marks')"
    >
      <template #under>
        <DialLenses
          :facts="shown"
          :lenses="lenses"
          :lights="lights"
          :past-word="facts.choices.past_word ?? 'past'"
          :to-word="facts.choices.to_word ?? 'to'"
        />
      </template>
      <template #over>
        <MinuteNumbers
          v-if="lenses.has('minute_numbers') && !sweeping"
          :both-sides="facts.choices.minute_numbers === 'both_sides'"
        />
        <g v-if="lenses.has('hand_lines')" data-lens="hand_lines">
          <path v-if="hands !== 'minute'" class="line hour" :d="ray(drawn.hour_hand_degrees, 98)" />
          <path v-if="hands !== 'hour'" class="line minute" :d="ray(drawn.minute_hand_degrees, 98)" />
        </g>
        <DialLights v-if="lights.length" :lights="lights" />
      </template>
      <template #hands>
        <line
          v-if="loose && hands !== 'minute'"
          class="grip"
          data-grip="hour"
          y1="-14"
          y2="-58"
          :transform="`rotate(${drawn.hour_hand_degrees})`"
          @pointerdown="take('hour', $event)"
        />
        <line
          v-if="hands !== 'hour'"
          class="grip"
          data-grip="minute"
          :y1="loose ? -60 : -20"
          y2="-82"
          :transform="`rotate(${drawn.minute_hand_degrees})`"
          @pointerdown="take('minute', $event)"
        />
      </template>
    </DialFace>
  </div>
</template>

<style scoped>
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

.line {
  stroke-width: 1.2;
  stroke-dasharray: 3 2.4;
}

.line.hour {
  stroke: var(--v-hour);
}

.line.minute {
  stroke: var(--v-minute);
}
</style>
