<script setup lang="ts">
import { computed } from "vue";
import type { DialFacts, Light } from "@/api/client";
import { pointAt, RADII, ray, slice } from "./geometry";

/** What lies on the face under the hands: halves, quarters, and the gap the hour hand is in. */
const props = defineProps<{
  /** The time, where a lens needs it. */
  facts?: DialFacts;
  lenses: ReadonlySet<string>;
  lights: readonly Light[];
  pastWord: string;
  toWord: string;
}>();

const QUARTERS = [0, 90, 180, 270];
const gap = computed(() => {
  const lit = props.lights.find((light) => light.kind === "gap");
  const passed = lit?.from ?? (props.lenses.has("hour_gap") ? props.facts?.hour_passed : undefined);
  return passed === undefined ? undefined : slice(passed * 30, passed * 30 + 30, RADII.rim - 2);
});
const side = computed(() => props.lights.find((light) => light.kind === "side")?.side);
const halves = computed(() => props.lenses.has("halves"));
</script>

<template>
  <g>
    <defs>
      <pattern id="v-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="var(--v-to)" />
        <line y2="7" stroke="var(--v-to-hatch)" stroke-width="2.4" />
      </pattern>
    </defs>
    <path v-if="halves || side === 'past'" :d="slice(0, 180, 97.6)" fill="var(--v-past)" />
    <path v-if="halves || side === 'to'" :d="slice(180, 360, 97.6)" fill="url(#v-hatch)" />
    <g v-if="halves" data-lens="halves">
      <text class="side" :x="RADII.corner" y="-92" text-anchor="end">{{ pastWord }}</text>
      <text class="side" :x="-RADII.corner" y="-92">{{ toWord }}</text>
    </g>
    <g v-if="lenses.has('quarters')" data-lens="quarters">
      <template v-if="!halves">
        <path v-for="from in [90, 270]" :key="from" class="quarter" :d="slice(from, from + 90, 97.6)" />
      </template>
      <path v-for="from in QUARTERS" :key="`cut-${from}`" class="cut" :d="ray(from, RADII.track)" />
      <text
        v-for="from in QUARTERS"
        :key="`name-${from}`"
        class="fourth"
        :x="pointAt(from + 45, 38).x"
        :y="pointAt(from + 45, 38).y"
        dy=".36em"
      >
        ¼
      </text>
    </g>
    <path v-if="gap" :data-lens="lenses.has('hour_gap') ? 'hour_gap' : undefined" class="gap" :d="gap" />
  </g>
</template>

<style scoped>
.gap {
  fill: var(--v-gap);
  stroke: var(--v-hour);
  stroke-width: 1.2;
  stroke-linejoin: round;
}

.side {
  font-size: 13px;
  font-weight: 700;
  fill: var(--v-ink);
}

.quarter {
  fill: var(--v-shade);
}

.cut {
  stroke: var(--v-ink);
  stroke-width: 1.4;
  stroke-dasharray: 4 3;
}

.fourth {
  font-size: 13px;
  text-anchor: middle;
  fill: var(--v-quiet);
}
</style>
