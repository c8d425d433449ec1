<script setup lang="ts">
import type { DialFacts } from "@/api";
import { DialFace } from "@/dial";

/** The short hand on a dial of its own, the long hand on another; joining, they come together into one. */
defineProps<{ facts: DialFacts; joining: boolean }>();
</script>

<template>
  <div
    class="pair position-relative d-grid gap-4 align-items-center w-100 h-100"
    :class="{ joining }"
    data-lens="two_dials"
  >
    <DialFace
      class="left-dial"
      :facts="facts"
      hands="hour"
      :margin="6"
      label="A clock with only the short hand"
    />
    <DialFace
      class="right-dial"
      :facts="facts"
      hands="minute"
      :margin="6"
      label="A clock with only the long hand"
    />
  </div>
</template>

<style scoped lang="scss">
.pair {
  grid-template-columns: 1fr 1fr;
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
