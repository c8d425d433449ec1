<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type DialFacts } from "@/api";

/** The hour laid out from 0 to 60 under a clock: the long hand's way round the dial as a line, with both sides and the quarters. */
const props = defineProps<{ facts: Pick<DialFacts, "minute_hand_degrees"> }>();
const known = useFacts();
/** Units of the drawing: one minute is ten. */
const MINUTE = 10;
const LENGTH = 60 * MINUTE;
const FIVES = Array.from({ length: 13 }, (_, at) => at * 5);
const ONES = Array.from({ length: 61 }, (_, at) => at).filter((minute) => minute % 5 !== 0);
const HALF = LENGTH / 2;
/** As far along as the long hand is round. */
const along = computed(() => (props.facts.minute_hand_degrees / 360) * LENGTH);
const past = computed(() => known.choices.past_word ?? "past");
const to = computed(() => known.choices.to_word ?? "to");
</script>

<template>
  <svg class="unrolled d-block w-100" viewBox="-18 -30 636 94" aria-hidden="true" data-lens="hour_line">
    <defs>
      <pattern id="to-side" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="8" height="8" class="to" />
        <line y2="8" class="hatch" />
      </pattern>
    </defs>
    <rect class="past" :width="HALF" height="22" />
    <rect :x="HALF" :width="HALF" height="22" fill="url(#to-side)" />
    <line
      v-for="minute in ONES"
      :key="minute"
      class="one"
      :x1="minute * MINUTE"
      :x2="minute * MINUTE"
      y2="6"
    />
    <line
      v-for="minute in FIVES"
      :key="minute"
      :class="minute % 15 ? 'five' : 'quarter'"
      :x1="minute * MINUTE"
      :x2="minute * MINUTE"
      :y2="minute % 15 ? 12 : 22"
    />
    <text
      v-for="minute in FIVES"
      :key="minute"
      :x="minute * MINUTE"
      y="-7"
      :class="{ strong: !(minute % 15) }"
    >
      {{ minute }}
    </text>
    <text class="side" :x="HALF / 2" y="58">{{ past }}</text>
    <text class="side" :x="HALF * 1.5" y="58">{{ to }}</text>
    <g class="marker" :transform="`translate(${along} 0)`">
      <line y1="-2" y2="30" />
      <circle cy="30" r="6" />
    </g>
  </svg>
</template>

<style scoped>
.past {
  fill: var(--v-past);
}

.to {
  fill: var(--v-to);
}

.hatch {
  stroke: var(--v-to-hatch);
  stroke-width: 2.4;
}

.one,
.five {
  stroke: var(--v-quiet);
}

.quarter {
  stroke: var(--v-ink);
  stroke-width: 2;
}

text {
  text-anchor: middle;
  font-size: 19px;
  fill: var(--v-ink);
}

.strong {
  font-weight: 700;
  font-size: 24px;
}

.side {
  font-size: 22px;
}

.marker line {
  stroke: var(--v-minute);
  stroke-width: 4;
}

.marker circle {
  fill: var(--v-minute);
}
</style>
