<script setup lang="ts">
import { computed } from "vue";
import { listErasures, useApiQuery } from "@/api";
import { erasureWords, sinceToday } from "@/shared";

/** What goes on after a child was erased, until nothing is left in any copy; then what was looked through. */
const props = defineProps<{ classId: number }>();

/** Milliseconds between two looks while something goes on. */
const LOOK = 1500;
const { data } = useApiQuery(listErasures, () => [props.classId], {
  every: (found) => (found?.open.length ? LOOK : false),
  fresh: true,
});
const words = computed(() => {
  const open = data.value?.open[0];
  const last = data.value?.last;
  return open ? erasureWords(open) : last && sinceToday(last) ? erasureWords(last) : "";
});
</script>

<template>
  <p v-if="words" class="quiet" role="status">{{ words }}</p>
</template>
