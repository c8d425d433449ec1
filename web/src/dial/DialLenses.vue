<script setup lang="ts">
import { computed } from "vue";
import type { DialFacts } from "@/api";
import { RADII, slice } from "./geometry";

/** What lies on the face under the hands: the halves, and the gap the hour hand is in. */
const props = defineProps<{ facts: DialFacts; lenses: ReadonlySet<string> }>();

const gap = computed(() => {
  const passed = props.facts.hour_passed * 30;
  return { path: slice(passed, passed + 30, RADII.rim - 2), from: passed };
});
</script>

<template>
  <g>
    <defs>
      <pattern id="v-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="var(--v-to)" />
        <line y2="7" stroke="var(--v-to-hatch)" stroke-width="2.4" />
      </pattern>
    </defs>
    <g v-if="lenses.has('halves')" data-lens="halves">
      <path :d="slice(0, 180, 97.6)" fill="var(--v-past)" />
      <path :d="slice(180, 360, 97.6)" fill="url(#v-hatch)" />
      <text class="side" :x="RADII.corner" y="-92" text-anchor="end">past</text>
      <text class="side" :x="-RADII.corner" y="-92">to</text>
    </g>
    <path v-if="lenses.has('hour_gap')" data-lens="hour_gap" class="gap" :d="gap.path" />
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
</style>
