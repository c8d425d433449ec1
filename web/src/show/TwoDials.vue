<script setup lang="ts">
import type { DialFacts } from "@/api";
import { DialFace } from "@/dial";

/** The short hand on a dial of its own, the long hand on another; joining, they come together into one. */
defineProps<{ facts: DialFacts; joining: boolean }>();
</script>

<template>
  <div class="pair" :class="{ joining }" data-lens="two_dials">
    <DialFace
      class="left-dial"
      :facts="facts"
      hands="hour"
      :margin="6"
      label="A dial with the short hand alone"
    />
    <DialFace
      class="right-dial"
      :facts="facts"
      hands="minute"
      :margin="6"
      label="A dial with the long hand alone"
    />
  </div>
</template>

<style scoped lang="scss">
.pair {
  position: relative;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 1.5rem;
  align-items: center;
  width: 100%;
  height: 100%;
}

.pair > * {
  transition: transform 0.9s ease-in-out;
}

.joining .left-dial {
  transform: translateX(calc(50% + 0.75rem));
}

.joining .right-dial {
  transform: translateX(calc(-50% - 0.75rem));
  opacity: 0.75;
}

@media (prefers-reduced-motion: reduce) {
  .pair > * {
    transition: none;
  }
}
</style>
