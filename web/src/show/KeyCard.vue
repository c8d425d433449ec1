<script setup lang="ts">
import { useFacts } from "@/api";
import { LENS_KEYS } from "./lenses";

/** All keys of Show on one card. */
defineEmits<{ close: [] }>();

const facts = useFacts();
const KEYS: readonly (readonly [string, string])[] = [
  ["Space", "uncover the next step"],
  ["C", "cover it all"],
  ["K", "keep it uncovered"],
  ["O", "other ways of saying it"],
  ["← →", "one minute back, on"],
  ["Shift ← →", "five minutes"],
  ["Page ↑ ↓", "one hour on, back"],
  [", .", "the clock before, the next"],
  ["A", "time goes on in fives"],
  ["U", "ungear the hands, gear them"],
  ["R", "put the hour hand right"],
  ["B", "board: the dial alone"],
  ["Esc", "back from the board"],
  ["?", "this card"],
];
</script>

<template>
  <div class="card-back" @click.self="$emit('close')">
    <section class="key-card" role="dialog" aria-modal="true" aria-label="Keys">
      <h2>Keys</h2>
      <dl>
        <div v-for="[key, what] in KEYS" :key="key">
          <dt>
            <kbd class="key">{{ key }}</kbd>
          </dt>
          <dd>{{ what }}</dd>
        </div>
        <div v-for="lens in facts.catalogue?.lenses" :key="lens.id">
          <dt>
            <kbd class="key">{{ LENS_KEYS[lens.id]?.toUpperCase() }}</kbd>
          </dt>
          <dd>{{ lens.name.toLowerCase() }}</dd>
        </div>
      </dl>
      <p class="quiet">Ungeared, ← → turn the long hand and ↑ ↓ the short one.</p>
      <BButton variant="primary" autofocus @click="$emit('close')">Close</BButton>
    </section>
  </div>
</template>

<style scoped lang="scss">
.card-back {
  position: fixed;
  inset: 0;
  z-index: 60;
  display: grid;
  place-items: center;
  padding: 1rem;
  background: var(--v-veil);
}

.key-card {
  background: var(--v-card);
  border-radius: var(--v-radius);
  padding: 1.5rem 2rem;
  max-width: 52rem;
  max-height: 100%;
  overflow: auto;
}

dl {
  columns: 2 18rem;
  column-gap: 2.5rem;
  margin: 1rem 0;

  div {
    display: grid;
    grid-template-columns: 6rem 1fr;
    align-items: baseline;
    padding: 0.15rem 0;
    break-inside: avoid;
  }
}

dt,
dd {
  margin: 0;
  font-weight: 400;
}

.key {
  font-size: 1rem;
}
</style>
