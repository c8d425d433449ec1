<script setup lang="ts">
import { useFacts } from "@/api";
import { LENS_KEYS } from "./lenses";

/** What can be laid over the dial, each with its key. */
defineProps<{ lenses: ReadonlySet<string> }>();
defineEmits<{ toggle: [lens: string] }>();

const facts = useFacts();
</script>

<template>
  <section aria-label="On the clock">
    <p class="eyebrow">On the clock</p>
    <ul class="flats list-unstyled p-0 m-0 d-grid cols-1">
      <li
        v-for="(lens, at) in facts.catalogue?.lenses"
        :key="lens.id"
        :class="{ first: at > 0 && lens.group !== facts.catalogue?.lenses[at - 1]?.group }"
      >
        <BButton
          variant="bare"
          role="switch"
          :aria-checked="lenses.has(lens.id)"
          :title="`Show ${lens.shows}`"
          @click="$emit('toggle', lens.id)"
        >
          <i
            class="bi"
            :class="lenses.has(lens.id) ? 'bi-check-square-fill' : 'bi-square'"
            aria-hidden="true"
          ></i>
          <span>{{ lens.name }}</span>
          <kbd class="key" aria-hidden="true">{{ LENS_KEYS[lens.id]?.toUpperCase() }}</kbd>
        </BButton>
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
.first {
  border-top: 1px solid var(--v-line);
  margin-top: 0.25rem;
  padding-top: 0.25rem;
}

button {
  display: grid;
  grid-template-columns: 1.1rem 1fr auto;
  width: 100%;
  min-height: 2.1rem;
  border-radius: 0.6rem;

  &[aria-checked="true"] .bi {
    color: var(--v-hour);
  }
}
</style>
