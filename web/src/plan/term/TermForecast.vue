<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Forecast } from "@/api";
import { dayWords } from "@/words";
import { forecastWords, reachWords, scoreWords } from "./words";

/** How likely the plan holds: a sentence, and below it the band over the weeks. */
const props = defineProps<{ forecast: Forecast; step: string }>();

const WIDTH = 400;
const HEIGHT = 150;
const facts = useFacts();
const time = (day: string): number => Date.parse(`${day}T12:00:00Z`);
const within = computed(() => {
  const [first, last] = [props.forecast.points[0]?.day ?? "", props.forecast.aim.day].map(time);
  const x = (day: string): number =>
    ((time(day) - (first ?? 0)) / Math.max(1, (last ?? 0) - (first ?? 0))) * WIDTH;
  const y = (children: number): number => HEIGHT - (children / Math.max(1, props.forecast.children)) * HEIGHT;
  return { x, y };
});
const line = (of: "low" | "likely" | "high"): string[] =>
  props.forecast.points.map((point) => `${within.value.x(point.day)},${within.value.y(point[of])}`);
const band = computed(() => [...line("high"), ...line("low").reverse()].join(" "));
const middle = computed(() => line("likely").join(" "));
const text = computed(() => forecastWords(props.forecast.aim, props.forecast.children, props.step, facts));
/** How an earlier forecast came out. */
const score = computed(() => scoreWords(props.forecast.score));
const reach = computed(() => reachWords(props.forecast, facts));
const now = computed(() => props.forecast.points[0]);
const before = computed(() => {
  const was = props.forecast.before;
  if (!was || was.likely === props.forecast.aim.likely) return "";
  return `Before the last change: about ${was.likely}, likely ${was.low} to ${was.high}.`;
});
</script>

<template>
  <div v-if="forecast.early">
    <p class="said fs-135 lh-130 mb-04">It is too early to say how many will get there.</p>
    <p class="quiet mb-2">
      Most of the class hasn't answered anything yet.
      <RouterLink :to="{ name: 'sheets', query: { kind: 'baseline' } }">
        Find out where each child is
      </RouterLink>
    </p>
  </div>
  <div v-else>
    <p class="said fs-135 lh-130 mb-04">{{ text }}</p>
    <p v-if="reach" class="mb-2">{{ reach }}</p>
    <p v-if="score" class="quiet mb-2">{{ score }}</p>
    <p v-if="before" class="quiet mb-2">{{ before }}</p>
    <svg
      v-if="forecast.points.length > 1"
      class="w-100"
      :viewBox="`-6 -10 ${WIDTH + 60} ${HEIGHT + 40}`"
      role="img"
      :aria-label="text"
    >
      <line :x1="0" :y1="HEIGHT" :x2="WIDTH" :y2="HEIGHT" class="axis" />
      <line :x1="0" y1="0" :x2="WIDTH" y2="0" class="all" />
      <polygon :points="band" class="band" />
      <polyline :points="middle" class="middle" />
      <circle :cx="WIDTH" :cy="within.y(forecast.aim.likely)" r="5" class="aim" />
      <text :x="WIDTH + 10" :y="within.y(forecast.aim.likely) + 5" class="strong">
        {{ forecast.aim.likely }}
      </text>
      <text v-if="forecast.aim.likely < forecast.children * 0.85" :x="WIDTH + 10" y="5">
        all {{ forecast.children }}
      </text>
      <text :x="0" :y="HEIGHT + 20">{{ now ? `${dayWords(now.day)}: ${now.likely}` : "" }}</text>
      <text :x="WIDTH" :y="HEIGHT + 20" text-anchor="end">{{ dayWords(forecast.aim.day) }}</text>
    </svg>
  </div>
</template>

<style scoped lang="scss">
svg {
  max-width: 30rem;
}

.axis {
  stroke: var(--v-edge);
}

.all {
  stroke: var(--v-line);
  stroke-dasharray: 4 4;
}

.band {
  fill: var(--v-gap);
  opacity: 0.7;
}

.middle {
  fill: none;
  stroke: var(--v-hour);
  stroke-width: 3;
  stroke-linejoin: round;
}

.aim {
  fill: var(--v-hour);
}

@media print {
  svg {
    max-width: 70mm;
  }
}

text {
  font-size: 14px;
  fill: var(--v-quiet);
}

.strong {
  fill: var(--v-ink);
  font-weight: 700;
  font-size: 17px;
}
</style>
