<script setup lang="ts">
import { computed } from "vue";
import { pointAt, RADII } from "./geometry";

/** The minutes outside each numeral: all round from 0 to 55, or from 5 to 30 down both sides. */
const props = defineProps<{ bothSides?: boolean }>();

const numbers = computed(() =>
  Array.from({ length: 12 }, (_, place) => ({
    text: String(props.bothSides && place > 6 ? 60 - place * 5 : place * 5),
    ...pointAt(place * 30, RADII.minuteNumbers),
  })),
);
</script>

<template>
  <g data-lens="minute_numbers">
    <text v-for="(number, place) in numbers" :key="place" :x="number.x" :y="number.y" dy=".36em">
      {{ number.text }}
    </text>
  </g>
</template>

<style scoped>
text {
  font-size: 12px;
  font-weight: 700;
  text-anchor: middle;
  fill: var(--v-minute);
}
</style>
