<script setup lang="ts">
import { counted } from "@/words";

/** What a list has that is no child, line by line. */
defineProps<{ lines: readonly string[] }>();
</script>

<template>
  <details v-if="lines.length">
    <summary>Left out: {{ counted(lines.length, "line") }}</summary>
    <ul class="mt-2 mb-0">
      <li v-for="words in lines" :key="words">{{ words }}</li>
    </ul>
  </details>
</template>
