<script setup lang="ts">
import { computed } from "vue";

/** How a number went over time, in one line's height: an area to the right, its last value as a dot. What it means stands beside it. */
const props = defineProps<{
  values: readonly number[];
  most: number;
  kind?: "good" | "bad";
  /** Part of them, as a thin line. */
  thin?: readonly number[];
}>();

const WIDTH = 240;
const HEIGHT = 34;
interface Place {
  x: number;
  y: number;
}
const placed = (values: readonly number[]): Place[] =>
  values.map((value, place) => ({
    x: values.length > 1 ? (place / (values.length - 1)) * WIDTH : WIDTH,
    y: HEIGHT - (value / Math.max(1, props.most)) * HEIGHT,
  }));
const joined = (places: readonly Place[]): string =>
  places.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(" ");
const at = computed(() => placed(props.values));
const line = computed(() => joined(at.value));
const thinLine = computed(() => joined(placed(props.thin ?? [])));
const area = computed(() => `0,${HEIGHT} ${line.value} ${WIDTH},${HEIGHT}`);
const last = computed(() => at.value.at(-1));
</script>

<template>
  <svg
    class="spark d-block w-100"
    :class="kind ?? 'good'"
    :viewBox="`-2 -6 ${WIDTH + 10} ${HEIGHT + 8}`"
    aria-hidden="true"
  >
    <line x1="0" :y1="HEIGHT" :x2="WIDTH" :y2="HEIGHT" class="ground" />
    <polygon :points="area" class="area" />
    <polyline :points="line" class="line" />
    <polyline v-if="thinLine" :points="thinLine" class="thin" />
    <circle v-if="last" :cx="last.x" :cy="last.y" r="4.5" class="last" />
  </svg>
</template>

<style scoped lang="scss">
.spark {
  max-width: 15rem;
  min-width: 6rem;
}

.ground {
  stroke: var(--v-line);
}

.line {
  fill: none;
  stroke-width: 2.5;
  stroke-linejoin: round;
}

.area {
  opacity: 0.16;
}

.thin {
  fill: none;
  stroke: var(--v-quiet);
  stroke-width: 1.2;
  stroke-dasharray: 4 3;
}

.good {
  .line {
    stroke: var(--v-right);
  }

  .area,
  .last {
    fill: var(--v-right);
  }
}

.bad {
  .line {
    stroke: var(--v-misread);
  }

  .area,
  .last {
    fill: var(--v-misread);
  }
}
</style>
