<script setup lang="ts">
import { computed } from "vue";
import type { Light } from "@/api/client";
import { arc, degreesOf, pointAt, RADII } from "./geometry";

/**
 * What lights up on the dial while a sentence is said: sweeps and marks with the numbers counted at each
 * place, and a ring round a numeral. Core says what; here it is only drawn.
 */
const props = defineProps<{ lights: readonly Light[] }>();

/** Every place counted, with where its number stands; numbers of single marks are smaller. */
const counts = computed(() =>
  props.lights.flatMap((light) =>
    (light.counts ?? []).map(([place = 0, said = 0]) => ({
      key: `${light.kind}-${place}`,
      small: light.kind === "ticks",
      said,
      mark: pointAt(degreesOf(place), RADII.track),
      at: pointAt(degreesOf(place), RADII.minuteNumbers),
    })),
  ),
);
const arcs = computed(() =>
  props.lights
    .filter((light) => light.counts)
    .map((light) => ({
      kind: light.kind,
      path: arc(degreesOf(light.from ?? 0), degreesOf(light.to ?? 0), RADII.track),
    })),
);
const rings = computed(() =>
  props.lights.flatMap((light) =>
    light.numeral === undefined ? [] : [pointAt(light.numeral * 30, RADII.numerals)],
  ),
);
</script>

<template>
  <g data-lights>
    <path v-for="sweep in arcs" :key="sweep.path" class="sweep" :class="sweep.kind" :d="sweep.path" />
    <g v-for="count in counts" :key="count.key">
      <circle class="mark" :class="{ small: count.small }" :cx="count.mark.x" :cy="count.mark.y" r="3" />
      <text :class="{ small: count.small }" :x="count.at.x" :y="count.at.y" dy=".36em">{{ count.said }}</text>
    </g>
    <circle v-for="(ring, at) in rings" :key="at" class="ring" :cx="ring.x" :cy="ring.y" r="11" />
  </g>
</template>

<style scoped>
.sweep {
  fill: none;
  stroke: var(--v-minute);
  stroke-width: 4;
  stroke-linecap: round;
  opacity: 0.55;
}

.sweep.ticks {
  stroke-width: 7;
}

.mark {
  fill: var(--v-minute);
}

.mark.small {
  r: 1.8px;
}

text {
  font-size: 12px;
  font-weight: 700;
  text-anchor: middle;
  fill: var(--v-minute);
}

text.small {
  font-size: 8.5px;
}

.ring {
  fill: none;
  stroke: var(--v-minute);
  stroke-width: 2.4;
}
</style>
