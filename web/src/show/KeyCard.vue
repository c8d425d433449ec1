<script setup lang="ts">
import { useFacts } from "@/api";
import { LENS_KEYS } from "./lenses";

/** All keys of Show on one card. */
const open = defineModel<boolean>({ required: true });

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
  ["W", "larger words on the board"],
  ["E", "a dark room, a light one"],
  ["Esc", "back from the board"],
  ["?", "this card"],
];
</script>

<template>
  <BModal
    v-model="open"
    title="Keys"
    size="lg"
    centered
    no-animation
    scrollable
    ok-only
    ok-title="Close"
    ok-variant="primary"
  >
    <dl class="mb-3">
      <div v-for="[key, what] in KEYS" :key="key">
        <dt class="m-0 fw-normal">
          <kbd class="key fs-100">{{ key }}</kbd>
        </dt>
        <dd class="m-0 fw-normal">{{ what }}</dd>
      </div>
      <div v-for="lens in facts.catalogue?.lenses" :key="lens.id">
        <dt class="m-0 fw-normal">
          <kbd class="key fs-100">{{ LENS_KEYS[lens.id]?.toUpperCase() }}</kbd>
        </dt>
        <dd class="m-0 fw-normal">{{ lens.name.toLowerCase() }}</dd>
      </div>
    </dl>
    <p class="quiet">Ungeared, ← → turn the long hand and ↑ ↓ the short one.</p>
  </BModal>
</template>

<style scoped lang="scss">
dl {
  columns: 2 18rem;
  column-gap: 2.5rem;

  div {
    display: grid;
    grid-template-columns: 6rem 1fr;
    align-items: baseline;
    padding: 0.15rem 0;
    break-inside: avoid;
  }
}
</style>
