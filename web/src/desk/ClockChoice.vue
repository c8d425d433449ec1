<script setup lang="ts">
import { computed, ref } from "vue";
import type { DeskTurn } from "@/api/client";
import DialFace from "@/dial/DialFace.vue";
import { spokenHands } from "@/dial/useLooseHands";
import DeskButton from "./DeskButton.vue";
import { rovingFocus } from "./rovingFocus";

/** Clocks, of which one shows what is asked. */
const props = defineProps<{ turn: DeskTurn; over: boolean }>();
const texts = defineModel<string[]>({ required: true });
const root = ref<HTMLElement>();
const clocks = computed(() => props.turn.items[0]?.clocks ?? []);
const LETTERS = ["A", "B", "C", "D"];
</script>

<template>
  <div
    ref="root"
    class="choice d-grid gap-3 justify-self-center min-h-0 w-100 h-100"
    @keydown="rovingFocus($event, root)"
  >
    <DeskButton
      v-for="(clock, at) in clocks"
      :key="clock.answer"
      class="key min-h-0 min-w-0 p-2 d-flex align-items-center justify-content-center"
      :class="{ chosen: texts[0] === clock.answer }"
      :aria-pressed="texts[0] === clock.answer"
      :disabled="over"
      @click="texts = [clock.answer]"
    >
      <span class="visually-hidden">Clock {{ LETTERS[at] }}: {{ spokenHands(clock) }}</span>
      <DialFace :facts="clock" :margin="3" />
    </DeskButton>
  </div>
</template>

<style scoped>
.choice {
  grid-template: repeat(2, minmax(0, 1fr)) / repeat(2, minmax(0, 1fr));
  max-width: 40rem;
}

.key:disabled {
  background: var(--v-card);
  color: var(--v-ink);
}

.key :deep(.dial) {
  height: 100%;
  max-width: 100%;
}
</style>
