<script setup lang="ts">
import type { LadderStep } from "@/api";
import { countsInWords, howMany, STATES } from "@/shared";

/** How much of a class is where on a step, as one bar. */
defineProps<{ step: LadderStep | undefined }>();
</script>

<template>
  <span class="bar d-flex w-100 overflow-hidden on-shade" role="img" :aria-label="countsInWords(step)">
    <template v-if="step">
      <span
        v-for="state in STATES"
        :key="state.id"
        :class="state.id"
        :style="{ flexGrow: howMany(step, state) }"
      ></span>
    </template>
  </span>
</template>

<style scoped lang="scss">
.bar {
  height: 0.7rem;
  border-radius: 0.35rem;
}

.bar > span {
  flex-basis: 0;
}

.secure {
  background: var(--v-right);
}

.nearly {
  background: repeating-linear-gradient(135deg, var(--v-right) 0 3px, var(--v-past) 3px 7px);
}

.learning {
  background: var(--v-past);
}
</style>
