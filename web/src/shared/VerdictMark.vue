<script setup lang="ts">
import { computed } from "vue";
import type { Answer } from "@/api";
import { RINGS, VERDICTS } from "./verdicts";

/** A verdict as a ring, with its word for those who cannot see it. Its left half is filled where the hour is right, its right half for the minutes. */
const props = defineProps<{ verdict: Answer["verdict"]; half?: Answer["half"]; quiet?: boolean }>();
const look = computed(() => VERDICTS[props.verdict]);
const ring = computed(() => RINGS[look.value.ring]);
</script>

<template>
  <span class="mark" :class="look.tone">
    <svg viewBox="0 0 20 20" aria-hidden="true">
      <path v-if="look.ring === 'gone'" d="M5 10h10" :stroke-width="ring.width" />
      <circle
        v-else
        cx="10"
        cy="10"
        r="7"
        pathLength="360"
        :stroke-width="ring.width"
        :stroke-dasharray="ring.dashes"
        :stroke-linecap="look.ring === 'dotted' ? 'round' : 'butt'"
        :transform="`rotate(${ring.turn} 10 10)`"
      />
      <path v-if="half" class="half" :d="half === 'hour' ? 'M10 6a4 4 0 0 0 0 8z' : 'M10 6a4 4 0 0 1 0 8z'" />
    </svg>
    <span v-if="!quiet" class="visually-hidden">{{ look.word }}</span>
  </span>
</template>

<style scoped>
svg {
  width: 1.05em;
  height: 1.05em;
  vertical-align: -0.15em;
  fill: none;
  stroke: currentcolor;
}

.right {
  color: var(--v-right);
}

.misread {
  color: var(--v-misread);
}

.slip {
  color: var(--v-slip);
}

.none {
  color: var(--v-quiet);
}
.half {
  fill: currentcolor;
  stroke: none;
}
</style>
