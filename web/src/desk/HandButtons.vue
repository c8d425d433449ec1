<script setup lang="ts">
import type { Hand } from "@/dial/useLooseHands";
import DeskButton from "./DeskButton.vue";

/** Buttons that turn the hands, for fingers that cannot drag: each hand a lot or a little, on or back. */
defineEmits<{ turn: [hand: Hand, degrees: number] }>();

/** Degrees of a press: the long hand goes by fives and ones, the short one by a number and by a sixth of the way to the next (judgement). */
const ROWS: readonly { hand: Hand; name: string; lot: number; little: number; words: [string, string] }[] = [
  { hand: "minute", name: "Long hand", lot: 30, little: 6, words: ["five minutes", "one minute"] },
  { hand: "hour", name: "Short hand", lot: 30, little: 5, words: ["one number", "a little"] },
];
const WAYS = [
  { sign: "«", way: -1, lot: true },
  { sign: "‹", way: -1, lot: false },
  { sign: "›", way: 1, lot: false },
  { sign: "»", way: 1, lot: true },
] as const;
</script>

<template>
  <div class="hand-buttons d-grid gap-1" role="group" aria-label="Turn the hands">
    <div v-for="row in ROWS" :key="row.hand" class="d-flex align-items-center gap-1">
      <span class="name tone-quiet" aria-hidden="true">{{ row.name }}</span>
      <DeskButton
        v-for="button in WAYS"
        :key="button.sign"
        class="key fs-130"
        :aria-label="`${row.name} ${button.way > 0 ? 'on' : 'back'} ${button.lot ? row.words[0] : row.words[1]}`"
        @click="$emit('turn', row.hand, button.way * (button.lot ? row.lot : row.little))"
      >
        {{ button.sign }}
      </DeskButton>
    </div>
  </div>
</template>

<style scoped>
.name {
  flex: 1;
  min-width: 5.2rem;
}

.key {
  min-width: 2.75rem;
  min-height: 2.75rem;
  padding: 0;
}
</style>
