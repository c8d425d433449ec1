<script setup lang="ts">
import {
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartOptions,
} from "chart.js";
import { computed } from "vue";
import { Line } from "vue-chartjs";

/** Lines over time; each has a dash and a point of its own, so that no colour is needed. */
const props = defineProps<{
  lines: readonly { label: string; points: readonly { label: string; value: number }[] }[];
  most: number;
}>();

Chart.register(CategoryScale, Legend, LinearScale, LineElement, PointElement, Tooltip);
Chart.defaults.font.family = "Andika";
Chart.defaults.font.size = 13;

const POINTS = ["circle", "triangle", "rect", "rectRot", "star", "crossRot", "cross", "dash"] as const;
const style = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();
const COLOURS = ["--v-hour", "--v-minute", "--v-right", "--v-ink", "--v-slip", "--v-misread", "--v-quiet"];
const data = computed<ChartData<"line">>(() => ({
  labels: props.lines[0]?.points.map((point) => point.label) ?? [],
  datasets: props.lines.map((line, at) => ({
    label: line.label,
    data: line.points.map((point) => point.value),
    borderColor: style(COLOURS[at % COLOURS.length] ?? "--v-ink"),
    backgroundColor: style(COLOURS[at % COLOURS.length] ?? "--v-ink"),
    borderDash: at === 0 ? [] : [2 + at * 2, 3],
    pointStyle: POINTS[at % POINTS.length],
    pointRadius: 5,
    tension: 0,
  })),
}));
const options = computed<ChartOptions<"line">>(() => ({
  animation: false,
  responsive: true,
  maintainAspectRatio: false,
  clip: false,
  plugins: {
    legend: { display: props.lines.length > 1, position: "bottom", labels: { usePointStyle: true } },
  },
  scales: { y: { min: 0, max: props.most, ticks: { precision: 0 } } },
}));
const told = computed(() =>
  props.lines
    .map((line) => `${line.label}: ${line.points.map((point) => `${point.label} ${point.value}`).join(", ")}`)
    .join(". "),
);
</script>

<template>
  <div class="chart position-relative">
    <Line :data="data" :options="options" :aria-label="told" />
  </div>
</template>

<style scoped>
.chart {
  height: 16rem;
}
</style>
