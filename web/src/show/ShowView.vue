<script setup lang="ts">
import { useEventListener, useIdle, useLocalStorage, useTimeoutFn } from "@vueuse/core";
import { computed, reactive, ref, watch } from "vue";
import { useRoute } from "vue-router";
import { useFacts } from "@/api";
import { linesOf, ReadingSteps, TurnedDial } from "@/dial";
import { useCovering } from "@/route";
import { useClasses } from "@/school";
import DayRibbon from "./DayRibbon.vue";
import DrawingVerdict from "./DrawingVerdict.vue";
import HourRibbon from "./HourRibbon.vue";
import KeyCard from "./KeyCard.vue";
import { lensWithKey, toggleLens } from "./lenses";
import LensSwitches from "./LensSwitches.vue";
import SequencePanel from "./SequencePanel.vue";
import QuietTimer from "./QuietTimer.vue";
import ShowOnPaper from "./ShowOnPaper.vue";
import ShowTools from "./ShowTools.vue";
import UnrolledHour from "./UnrolledHour.vue";
import TwoDials from "./TwoDials.vue";
import { useFitting } from "./useFitting";
import { useLoose } from "./useLoose";
import { useSequence } from "./useSequence";
import { useTurning } from "./useTurning";

/** One large dial in front of the class. Its reading is covered until asked for. */
const JOINING = 950;
/** Milliseconds without the pointer after which the board's controls fade. */
const FADING = 3000;
const route = useRoute();
const facts = useFacts();
const classes = useClasses();
const listed = (name: string): string[] =>
  String(route.query[name] ?? "")
    .split(",")
    .filter(Boolean);

const { place, dayPlace, playing, go, play: playOn, stop, onward } = useTurning(listed("times")[0] ?? "");
const { hands, drawing, errorMessage, toggle: toggleGears, turn, ask, putRight } = useLoose();
const shown = computed(() => facts.at(place.value));
const {
  times,
  at,
  errorMessage: wrongTime,
  add,
  remove,
  shift,
  step,
} = useSequence(listed("times"), () => shown.value.time);
const lenses = reactive(new Set<string>(listed("lens")));
/** The two dials have just been put on one another. */
const { isPending: joining, start: join } = useTimeoutFn(() => undefined, JOINING, { immediate: false });
const uncovered = ref(0);
const open = ref(false);
const others = ref(false);
const board = ref(route.query.board !== undefined);
/** How the wall is: how large its words, and whether the room is dark. This device keeps it. */
const SIZES = 3;
const words = useLocalStorage("vantick.wall.words", 1);
const dark = useLocalStorage("vantick.wall.dark", false);
const larger = (): unknown => (words.value = (words.value % SIZES) + 1);
const help = ref(false);
const timer = ref(false);
useCovering(() => board.value);
const { idle } = useIdle(FADING, { events: ["mousemove", "pointerdown"] });
const dial = ref<InstanceType<typeof TurnedDial>>();

const day = computed(() => (lenses.has("day") ? facts.dayTimes[dayPlace.value] : undefined));
const events = computed(() => (classes.current?.day.length ? classes.current.day : facts.usualDay));
const lines = computed(() => linesOf(shown.value, day.value));
const seen = computed(() => (open.value ? lines.value.length : uncovered.value));
const right = ref<HTMLElement>();
useFitting(
  right,
  () => board.value && words.value === 1,
  () => [lines.value, seen.value, others.value],
);
const otherWays = computed(() => [...shown.value.words.slice(1), ...shown.value.at_home]);
/** The dial lights up what the last step uncovered speaks of; the sweep lens what is counted. */
const lights = computed(() => {
  if (hands.value) return [];
  const sweep = lenses.has("sweep") ? shown.value.steps.filter((step) => step.part === "minutes") : [];
  const step = open.value ? undefined : shown.value.steps[uncovered.value - 1];
  return [...sweep.flatMap((step) => step.lights.filter((light) => light.counts)), ...(step?.lights ?? [])];
});
const two = computed(() => lenses.has("two_dials") || joining.value);

watch(place, () => (uncovered.value = 0));
watch([() => lenses.has("day"), () => facts.choices], ([on]) => on && void facts.loadDay(), {
  immediate: true,
});

function toggle(lens: string): void {
  if (lens === "two_dials" && lenses.has(lens)) join();
  toggleLens(lenses, lens);
}

/** Time was held before the hand moves on: the class says where it will be. */
const asking = ref(false);
function play(): void {
  asking.value = false;
  playOn();
}

function next(): void {
  if (hands.value) return;
  if (playing.value) {
    stop();
    asking.value = true;
    return;
  }
  if (asking.value) {
    asking.value = false;
    return onward();
  }
  if (open.value) return;
  uncovered.value = uncovered.value < lines.value.length ? uncovered.value + 1 : 0;
}

function show(time: string | undefined): void {
  stop();
  asking.value = false;
  if (hands.value) toggleGears(shown.value);
  if (time) go(time);
}

/** A hand on the dial stops what goes by itself. */
function turnTo(next: number): void {
  stop();
  asking.value = false;
  place.value = next;
}

/** Ungears the hands where they stand; geared again, they stand at the time they meant. */
function gears(): void {
  stop();
  asking.value = false;
  const meant = toggleGears(shown.value);
  if (meant && !hands.value) go(meant);
}

const KEYS: Record<string, () => void> = {
  " ": next,
  c: () => (uncovered.value = 0),
  k: () => (open.value = !open.value),
  o: () => (others.value = !others.value),
  a: () => !hands.value && play(),
  u: gears,
  r: () => hands.value && putRight(),
  b: () => (board.value = !board.value),
  w: () => board.value && larger(),
  e: () => board.value && (dark.value = !dark.value),
  ",": () => show(step(-1)),
  ".": () => show(step(1)),
  z: () => (timer.value = !timer.value),
  "?": () => (help.value = !help.value),
  escape: () => (help.value ? (help.value = false) : (board.value = false)),
};

useEventListener("keydown", (event: KeyboardEvent) => {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
  const target = event.target as HTMLElement;
  // Space presses a button and arrows move a slider; all other keys are the dial's.
  const pressed = target.closest("button, a, summary");
  const slider = target.closest("input[type=range], [role=menu]");
  if (target.closest("input:not([type=range]):not([type=checkbox]), select, textarea")) return;
  const key = event.key.toLowerCase();
  const lens = lensWithKey(key);
  if (lens) toggle(lens);
  else if (KEYS[key] && !(key === " " && (pressed || slider))) KEYS[key]();
  else if (slider) return;
  else return dial.value?.press(event);
  event.preventDefault();
});
</script>

<template>
  <ShowOnPaper :times="times.length ? times : [shown.time]" />
  <div class="show d-grid no-print gap-125" :class="[{ board, idle, dim: board && dark }, `words-${words}`]">
    <h1 class="visually-hidden">Show a clock</h1>
    <aside class="left d-flex flex-column gap-3 min-h-0 overflow-y-auto">
      <LensSwitches :lenses="lenses" @toggle="toggle" />
      <SequencePanel
        :times="times"
        :at="at"
        :error-message="wrongTime"
        :add="add"
        @go="show"
        @remove="remove"
        @shift="shift"
        @order="times = $event"
      />
    </aside>
    <div class="middle d-flex flex-column min-h-0">
      <div class="dial-room min-h-0 d-flex justify-content-center align-items-center flex-1">
        <TwoDials v-if="two && !hands" :facts="shown" :joining="joining" />
        <TurnedDial
          v-else
          ref="dial"
          :model-value="place"
          :lenses="lenses"
          :lights="lights"
          :loose="hands"
          :spoken="day && `${day.twelve_hour}, ${day.words}`"
          @update:model-value="turnTo"
          @loosen="turn"
          @settle="ask"
        />
      </div>
      <UnrolledHour v-if="lenses.has('hour_line') && !hands" :facts="shown" class="hour-line mx-auto" />
      <DayRibbon v-if="day" v-model="dayPlace" :events="events" />
      <HourRibbon v-else-if="!hands" v-model="place" />
      <QuietTimer v-if="timer" class="quiet-timer" />
    </div>
    <div ref="right" class="right d-flex flex-column justify-content-between gap-3 min-h-0 overflow-y-auto">
      <DrawingVerdict
        v-if="hands"
        :drawing="drawing"
        :error-message="errorMessage"
        @mend="putRight"
        @gear="gears"
      />
      <div v-else-if="asking" class="align-self-center" role="status">
        <p class="asking m-0 mb-3 fw-bold lh-115">Stop! What will it say in five minutes?</p>
        <BButton variant="primary" @click="next">
          Move on
          <kbd class="key" aria-hidden="true">Space</kbd>
        </BButton>
      </div>
      <ReadingSteps
        v-else
        :lines="lines"
        :uncovered="seen"
        :open="open"
        :other-ways="otherWays"
        :others="others"
        @next="next"
        @open="open = $event"
        @others="others = !others"
      />
      <ShowTools
        :playing="playing"
        :loose="hands !== null"
        :board="board"
        :dim="dark"
        :words="words"
        :timer="timer"
        @dim="dark = !dark"
        @words="larger"
        @play="play"
        @gears="gears"
        @board="board = !board"
        @timer="timer = !timer"
        @help="help = true"
      />
    </div>
    <KeyCard v-model="help" />
  </div>
</template>

<style scoped lang="scss">
.middle {
  position: relative;
}

.quiet-timer {
  position: absolute;
  z-index: 3;
  left: 0;
  top: 0;
}

.hour-line {
  max-width: 46rem;
}

.asking {
  font-size: calc(1.9rem * var(--words, 1));
}

.show {
  grid-template-columns: 13.5rem minmax(0, 1fr) minmax(15rem, 24%);
  height: calc(100vh - var(--v-bar));
  min-height: 32rem;
  padding: 0.75rem 1.75rem 0.75rem;
}

/* The dial fills the projector; what is not for the children fades to one edge. */
.board {
  --words: 1;

  position: fixed;
  inset: 0;
  z-index: 40;
  height: auto;
  background: var(--v-paper);
  grid-template-columns: 0 minmax(0, 1fr) minmax(17rem, 27%);
  padding: 0.5rem 1.5rem;

  .left {
    position: fixed;
    z-index: 2;
    left: 0;
    top: 0;
    bottom: 0;
    width: 14.5rem;
    padding: 0.75rem 1rem;
    background: var(--v-paper);
    opacity: 0;
    transition: opacity 0.25s;

    &:hover,
    &:focus-within {
      opacity: 1;
    }
  }

  .middle {
    grid-column: 1 / 3;
  }

  :deep(.tools),
  :deep(.ribbon) {
    transition: opacity 0.4s;
  }

  &.idle :deep(.tools:not(:focus-within)),
  &.idle :deep(.ribbon:not(:focus-within)) {
    opacity: 0;
  }

  :deep(.text) {
    font-size: calc(var(--words) * clamp(1.5rem, 2.1vw, 3rem));
  }

  :deep(.text.big) {
    font-size: calc(var(--words) * clamp(2.2rem, 3.4vw, 5rem));
  }

  :deep(.reading .name),
  :deep(.reading .cover),
  :deep(.reading .note) {
    font-size: calc(var(--words) * clamp(1rem, 1.15vw, 1.7rem));
  }

  &.words-2 {
    --words: 1.35;
    grid-template-columns: 0 minmax(0, 1fr) minmax(20rem, 33%);
  }

  &.words-3 {
    --words: 1.7;
    grid-template-columns: 0 minmax(0, 1fr) minmax(22rem, 40%);
  }

  .right {
    grid-column: 3;
  }
}

@media (max-width: 60rem) {
  .show {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
    padding: 0.75rem 1rem 2rem;
  }

  .middle {
    order: -2;
  }

  .right {
    order: -1;
  }

  .dial-room {
    height: min(100vw, 68vh);
    flex: none;
  }

  .board {
    grid-auto-rows: max-content;
    overflow-y: auto;

    /* Without room at its side, and without a pointer that could call for them, the lenses lie below. */
    .left {
      position: static;
      width: auto;
      padding: 0;
      opacity: 1;
    }

    .middle,
    .right {
      grid-column: 1;
      overflow: visible;
    }
  }
}

/* Held upright, the words and the tools lie abreast below the dial. */
@media (min-width: 40rem) and (max-width: 60rem) {
  .right {
    display: grid !important;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: start;
    gap: 2rem !important;
  }
}
</style>
