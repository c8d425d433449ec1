<script setup lang="ts">
import { computed, ref } from "vue";
import type { DeskTurn } from "@/api/client";
import DeskButton from "./DeskButton.vue";
import { rovingFocus } from "./rovingFocus";

/** One of a few: an hour, so many minutes, a half of the day, an answer among some. */
const props = defineProps<{ turn: DeskTurn; over: boolean }>();
const texts = defineModel<string[]>({ required: true });
const root = ref<HTMLElement>();
const TWELVE = Array.from({ length: 12 }, (_, place) => place + 1);
const choices = computed(() => {
  if (props.turn.cards.length) return props.turn.cards;
  return TWELVE.map((number) => String(props.turn.entry === "minutes" ? number * 5 : number));
});
</script>

<template>
  <div
    ref="root"
    class="pad align-self-center justify-self-center d-grid gap-06"
    :class="{ few: choices.length < 6 }"
    @keydown="rovingFocus($event, root)"
  >
    <DeskButton
      v-for="choice in choices"
      :key="choice"
      class="key fs-150"
      :class="{ chosen: texts[0] === choice }"
      :aria-pressed="texts[0] === choice"
      :disabled="over"
      @click="texts = [choice]"
    >
      {{ choice }}
    </DeskButton>
  </div>
</template>

<style scoped>
.pad {
  grid-template-columns: repeat(4, 1fr);
  width: min(26rem, 100%);
}

.pad.few {
  grid-template-columns: repeat(2, 1fr);
}

.key {
  min-height: 3.6rem;
}

@media (max-height: 28rem) {
  .key {
    min-height: 2.75rem;
  }
}
</style>
