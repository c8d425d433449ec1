<script setup lang="ts">
import { computed } from "vue";

/** A QR code from the outline that the server drew, with the quiet rim that readers of such codes want. */
const props = defineProps<{ path: string; label: string }>();
const QUIET = 4;
const side = computed(() => {
  const numbers = [...props.path.matchAll(/M(\d+) (\d+)/g)].map((found) => Number(found[1]));
  return Math.max(...numbers, 20) + 1 + 2 * QUIET;
});
</script>

<template>
  <svg :viewBox="`${-QUIET} ${-QUIET} ${side} ${side}`" role="img" :aria-label="label">
    <rect :x="-QUIET" :y="-QUIET" :width="side" :height="side" fill="#fff" />
    <path :d="path" fill="#000" />
  </svg>
</template>
