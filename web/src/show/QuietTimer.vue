<script setup lang="ts">
import { useNow, useSessionStorage } from "@vueuse/core";
import { computed } from "vue";
import { DialFace, RADII, slice } from "@/dial";
import { counted } from "@/words";

/**
 * A timer that is a clock: its long hand goes through the shaded minutes, and no number counts down. At the end the shade is gone, and
 * nothing rings.
 */
const LENGTHS = [1, 2, 3, 5, 10, 15, 20];
const MINUTE = 60_000;
const DEGREES = 6;
/** This browser keeps it: a look at another page stops no timer. */
const set = useSessionStorage("vantick.timer", { minutes: 0, began: 0 });
const now = useNow({ interval: 1000 });
const passed = computed(() =>
  Math.min(Math.max((now.value.getTime() - set.value.began) / MINUTE, 0), set.value.minutes),
);
const over = computed(() => set.value.minutes > 0 && passed.value >= set.value.minutes);
const hand = computed(() => ({ hour_hand_degrees: 0, minute_hand_degrees: passed.value * DEGREES }));
const left = computed(() =>
  over.value ? "" : slice(passed.value * DEGREES, set.value.minutes * DEGREES, RADII.track),
);
const words = computed(() => (over.value ? "Time is up." : counted(set.value.minutes, "minute")));

const begin = (minutes: number): unknown => (set.value = { minutes, began: Date.now() });
const end = (): unknown => (set.value = { minutes: 0, began: 0 });
</script>

<template>
  <section class="timer" :class="{ over }" aria-label="Timer">
    <template v-if="set.minutes">
      <div class="face position-relative">
        <DialFace :facts="hand" hands="minute" />
        <svg v-if="left" class="shade" viewBox="-104 -104 208 208" aria-hidden="true">
          <path :d="left" />
        </svg>
      </div>
      <p class="m-0 fw-bold text-center" role="timer" :aria-live="over ? 'polite' : 'off'">{{ words }}</p>
      <BButton variant="bare" size="sm" @click="end">{{ over ? "Another" : "Stop timer" }}</BButton>
    </template>
    <template v-else>
      <p class="m-0">How many minutes?</p>
      <div class="d-flex flex-wrap gap-1">
        <BButton
          v-for="length in LENGTHS"
          :key="length"
          variant="outline-primary"
          size="sm"
          @click="begin(length)"
        >
          {{ length }}
        </BButton>
      </div>
    </template>
  </section>
</template>

<style scoped lang="scss">
.timer {
  display: grid;
  gap: 0.4rem;
  width: 7.5rem;
  padding: 0.3rem;
  border-radius: 0.9rem;
  font-size: 0.85rem;
}

.shade {
  position: absolute;
  inset: 0;
  fill: var(--v-minute);
  opacity: 0.28;
  pointer-events: none;
}

.over {
  background: var(--v-hour-tint);
  transition: background 2s;
}
</style>
