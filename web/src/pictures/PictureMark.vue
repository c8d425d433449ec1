<script setup lang="ts">
import { computed } from "vue";
import { PICTURES } from "./pictures";

/** One of the pictures that a child's key is made of. */
const props = defineProps<{ id: string; /** Left out where a word beside it says it. */ label?: boolean }>();
const drawn = computed(() => PICTURES[props.id]);
</script>

<template>
  <svg
    v-if="drawn"
    class="picture d-block w-100 h-100 mh-100"
    viewBox="0 0 48 48"
    :role="label ? 'img' : undefined"
    :aria-label="label ? drawn.name : undefined"
    :aria-hidden="label ? undefined : 'true'"
  >
    <path class="body" :d="drawn.body" />
    <path v-if="drawn.lines" class="lines" :d="drawn.lines" />
  </svg>
</template>

<style scoped>
.body,
.lines {
  stroke: var(--v-ink);
  stroke-width: 2.2;
  stroke-linejoin: round;
  stroke-linecap: round;
}

.body {
  fill: var(--v-past);
}

.lines {
  fill: none;
}
</style>
