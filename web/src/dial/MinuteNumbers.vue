<script setup lang="ts">
import { pointAt, RADII } from "./geometry";

/** The minutes outside each numeral, 0 to 55. */
const numbers = Array.from({ length: 12 }, (_, place) => ({
  text: String(place * 5),
  ...pointAt(place * 30, RADII.minuteNumbers),
}));
</script>

<template>
  <g data-lens="minute_numbers">
    <text v-for="number in numbers" :key="number.text" :x="number.x" :y="number.y" dy=".36em">
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
