<script setup lang="ts">
import { ref, watch } from "vue";

/** The class's method line by line, ticked off while a clock is read; fresh for every clock. */
const props = defineProps<{ lines: readonly string[]; clock: string }>();

const ticked = ref(new Set<number>());
watch(
  () => props.clock,
  () => (ticked.value = new Set()),
);

function tick(at: number): void {
  if (!ticked.value.delete(at)) ticked.value.add(at);
}
</script>

<template>
  <ul class="border rounded-09 list-unstyled m-0 px-09 py-06 on-card" aria-label="The method">
    <li v-for="(line, at) in lines" :key="line">
      <BButton
        variant="bare"
        class="d-grid align-items-center w-100 text-start fs-115"
        role="checkbox"
        :aria-checked="ticked.has(at)"
        @click="tick(at)"
      >
        <i class="bi" :class="ticked.has(at) ? 'bi-check-square-fill' : 'bi-square'" aria-hidden="true"></i>
        {{ line }}
      </BButton>
    </li>
  </ul>
</template>

<style scoped lang="scss">
button {
  grid-template-columns: 1.6rem 1fr;
  min-height: 2.4rem;

  &[aria-checked="true"] {
    color: var(--v-quiet);

    .bi {
      color: var(--v-right);
    }
  }
}
</style>
