<script setup lang="ts">
import { computed } from "vue";
import { NOT_ASKED, stateOf, WAYS, waysInWords } from "./states";

/** How a child does a step in words, in digits and with hands: three places of one mark, the lower the less is known. */
const props = defineProps<{ ways: Record<string, string> }>();

const HEIGHTS: Record<string, number> = { secure: 3, nearly: 2, learning: 1, not_yet: 0 };
const places = computed(() =>
  Object.entries(WAYS)
    .filter(([id]) => props.ways[id])
    .map(([id, word]) => {
      const state = props.ways[id] ?? "not_asked";
      const asked = state !== "not_asked";
      return {
        id,
        word,
        asked,
        height: HEIGHTS[state] ?? 0,
        said: asked ? stateOf(state).word : NOT_ASKED,
      };
    }),
);
</script>

<template>
  <span v-if="places.length" class="ways d-inline-flex gap-1" role="img" :aria-label="waysInWords(ways)">
    <span v-for="place in places" :key="place.id" class="way" :title="`${place.word}: ${place.said}`">
      <span class="column" :class="{ unasked: !place.asked }" aria-hidden="true">
        <span
          v-for="level in 3"
          :key="level"
          class="level"
          :class="{ full: place.height > 3 - level }"
        ></span>
      </span>
      <span class="word" aria-hidden="true">{{ place.word }}</span>
    </span>
  </span>
</template>

<style scoped>
.way {
  display: inline-flex;
  flex-direction: column;
  align-items: center;
  min-width: 2em;
}
.column {
  display: grid;
  gap: 2px;
  width: 1.2em;
}
.level {
  height: 0.34em;
  border: 1px solid currentcolor;
  border-radius: 1px;
}
.level.full {
  background: currentcolor;
}
.column.unasked .level {
  border-style: dotted;
  opacity: 0.55;
}
.word {
  font-size: 0.82em;
  line-height: 1.2;
}
</style>
