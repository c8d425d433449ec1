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
  <ul class="method list-unstyled m-0 on-card" aria-label="The method">
    <li v-for="(line, at) in lines" :key="line">
      <BButton variant="bare" role="checkbox" :aria-checked="ticked.has(at)" @click="tick(at)">
        <i class="bi" :class="ticked.has(at) ? 'bi-check-square-fill' : 'bi-square'" aria-hidden="true"></i>
        {{ line }}
      </BButton>
    </li>
  </ul>
</template>

<style scoped lang="scss">
.method {
  padding: 0.6rem 0.9rem;
  border: 1px solid var(--v-line);
  border-radius: 0.9rem;
}

button {
  display: grid;
  grid-template-columns: 1.6rem 1fr;
  align-items: center;
  width: 100%;
  min-height: 2.4rem;
  border: 0;
  background: none;
  font: inherit;
  font-size: 1.15rem;
  text-align: left;

  &[aria-checked="true"] {
    color: var(--v-quiet);

    .bi {
      color: var(--v-right);
    }
  }
}
</style>
