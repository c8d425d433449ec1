<script setup lang="ts">
import { computed } from "vue";
import type { Answer } from "@/api";
import { VERDICTS } from "./verdicts";

/** A verdict as a shape, with its word for those who cannot see it. */
const props = defineProps<{ verdict: Answer["verdict"]; quiet?: boolean }>();
const told = computed(() => VERDICTS[props.verdict]);
</script>

<template>
  <span class="mark" :class="told.tone">
    <i class="bi" :class="told.icon" aria-hidden="true"></i>
    <span v-if="!quiet" class="visually-hidden">{{ told.word }}</span>
  </span>
</template>

<style scoped>
.right {
  color: var(--v-right);
}

.misread {
  color: var(--v-misread);
}

.slip {
  color: var(--v-slip);
}

.none {
  color: var(--v-quiet);
}
</style>
