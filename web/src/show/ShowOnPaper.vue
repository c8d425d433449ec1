<script setup lang="ts">
import { useFacts } from "@/api";
import { DialFace } from "@/dial";

/** The clocks that are shown now, for paper: large, with their words below. */
defineProps<{ times: readonly string[] }>();

const facts = useFacts();
</script>

<template>
  <div class="paper d-none" aria-hidden="true">
    <figure v-for="time in times" :key="time" class="m-0">
      <DialFace :facts="facts.of(time)" />
      <figcaption>{{ facts.of(time).usual }}</figcaption>
    </figure>
  </div>
</template>

<style scoped lang="scss">
@media print {
  .paper {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 8mm;
    text-align: center;
    font-size: 16pt;
  }

  figure {
    break-inside: avoid;
  }
}
</style>
