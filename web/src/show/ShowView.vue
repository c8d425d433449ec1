<script setup lang="ts">
import { useEventListener } from "@vueuse/core";
import { computed, reactive, ref, watch } from "vue";
import { useRoute } from "vue-router";
import { useFacts } from "@/api";
import { DialFace, GearedDial } from "@/dial";
import LensSwitches from "./LensSwitches.vue";
import { lensWithKey } from "./lenses";
import ReadingSteps from "./ReadingSteps.vue";

/** One large dial in front of the class. Its reading is covered until asked for. */
const STEPS = 4;
const route = useRoute();
const facts = useFacts();

const sequence = computed(() =>
  String(route.query.times ?? "")
    .split(",")
    .filter((time) => facts.placeOf(time) !== undefined),
);
const place = ref(facts.placeOf(sequence.value[0] ?? "") ?? facts.placeOf("4:45") ?? 0);
const lenses = reactive(
  new Set<string>(
    String(route.query.lens ?? "")
      .split(",")
      .filter(Boolean),
  ),
);
const uncovered = ref(0);
const open = ref(false);
const dial = ref<InstanceType<typeof GearedDial>>();
const shown = computed(() => facts.at(place.value));
const steps = computed(() => (open.value ? STEPS : uncovered.value));

watch(place, () => (uncovered.value = 0));

function toggle(lens: string): void {
  if (!lenses.delete(lens)) lenses.add(lens);
}

function next(): void {
  if (open.value) return;
  uncovered.value = uncovered.value < STEPS ? uncovered.value + 1 : 0;
}

function go(time: string): void {
  place.value = facts.placeOf(time) ?? place.value;
}

const KEYS: Record<string, () => void> = {
  " ": next,
  c: () => (uncovered.value = 0),
  k: () => (open.value = !open.value),
};

useEventListener("keydown", (event: KeyboardEvent) => {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
  const at = event.target as HTMLElement;
  // Space presses a button and arrows move a slider; all other keys are the dial's.
  const pressed = at.closest("button, a, summary");
  const entered = at.closest("input, select, [role=menu]");
  const key = event.key.toLowerCase();
  const lens = lensWithKey(key);
  if (lens) toggle(lens);
  else if (KEYS[key] && !(key === " " && (pressed || entered))) KEYS[key]();
  else if (entered) return;
  else return dial.value?.press(event);
  event.preventDefault();
});
</script>

<template>
  <div class="show">
    <h1 class="visually-hidden">Show a clock</h1>
    <aside class="left">
      <LensSwitches :lenses="lenses" @toggle="toggle" />
      <section v-if="sequence.length" aria-label="Times to show">
        <p class="eyebrow">To show</p>
        <div class="sequence">
          <button
            v-for="(time, at) in sequence"
            :key="time"
            type="button"
            :aria-pressed="time === shown.time"
            :aria-label="`Clock ${at + 1}`"
            @click="go(time)"
          >
            <DialFace :facts="facts.of(time)" detail="small" />
          </button>
        </div>
      </section>
    </aside>
    <div class="middle">
      <div class="dial-room">
        <GearedDial ref="dial" v-model="place" :lenses="lenses" />
      </div>
      <div class="ribbon">
        <input
          v-model.number="place"
          type="range"
          min="0"
          :max="facts.times.length - 1"
          aria-label="Go to a time in the twelve hours"
          :aria-valuetext="shown.digital"
        />
        <div class="hours" aria-hidden="true">
          <span v-for="hour in 13" :key="hour">{{ hour === 1 ? 12 : hour - 1 }}</span>
        </div>
      </div>
    </div>
    <ReadingSteps :facts="shown" :uncovered="steps" :open="open" @next="next" @open="open = $event" />
  </div>
</template>

<style scoped lang="scss">
.show {
  display: grid;
  grid-template-columns: 13rem minmax(0, 1fr) minmax(15rem, 23%);
  gap: 1.25rem;
  height: calc(100vh - var(--v-bar));
  min-height: 32rem;
  padding: 0.75rem 1.75rem 0.75rem;
}

.left {
  display: flex;
  flex-direction: column;
  gap: 2rem;
}

.middle {
  display: flex;
  flex-direction: column;
  min-height: 0;
}

.dial-room {
  flex: 1;
  min-height: 0;
  display: flex;
  justify-content: center;
  align-items: center;
}

.sequence {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;

  button {
    width: 3.95rem;
    padding: 0.3rem;
    background: none;
    border: 2px solid transparent;
    border-radius: 0.8rem;

    &[aria-pressed="true"] {
      background: var(--v-hour-tint);
      border-color: var(--v-hour);
    }
  }
}

.ribbon {
  padding: 0.25rem 0.5rem 0;

  input {
    appearance: none;
    width: 100%;
    height: 0.9rem;
    margin: 0;
    border-radius: 0.45rem;
    background: repeating-linear-gradient(
      90deg,
      var(--v-shade) 0 calc(100% / 12 - 2px),
      var(--v-line) calc(100% / 12 - 2px) calc(100% / 12)
    );

    &::-webkit-slider-thumb {
      appearance: none;
      width: 1.5rem;
      height: 1.5rem;
      border-radius: 50%;
      border: 3px solid var(--v-paper);
      background: var(--v-minute);
    }

    &::-moz-range-thumb {
      width: 1.2rem;
      height: 1.2rem;
      border-radius: 50%;
      border: 3px solid var(--v-paper);
      background: var(--v-minute);
    }
  }
}

.hours {
  display: flex;
  justify-content: space-between;
  padding: 0 0.1rem;
  font-size: 0.85rem;
  color: var(--v-quiet);

  span {
    width: 1rem;
    text-align: center;
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

  :deep(.reading) {
    order: -1;
  }

  .dial-room {
    height: min(100vw, 68vh);
    flex: none;
  }
}
</style>
