<script setup lang="ts">
import { useFacts } from "@/api";
import { LENS_KEYS } from "./lenses";

/** All keys of Show on one card. */
const open = defineModel<boolean>({ required: true });

const facts = useFacts();
const KEYS: readonly (readonly [string, string])[] = [
  ["Space", "show next line"],
  ["C", "hide all"],
  ["K", "always show"],
  ["O", "other ways to say it"],
  ["← →", "one minute back, on"],
  ["Shift ← →", "five minutes"],
  ["Page ↑ ↓", "one hour on, back"],
  [", .", "previous clock, next clock"],
  ["A", "move on in fives; Space stops to ask what comes"],
  ["U", "unlink hands, link hands"],
  ["R", "fix the hour hand"],
  ["B", "board: only the clock"],
  ["W", "larger words on the board"],
  ["E", "a dark room, a light one"],
  ["Z", "timer"],
  ["Esc", "leave the board"],
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
    <p class="quiet">With unlinked hands, ← → turn the long hand and ↑ ↓ the short hand.</p>
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
