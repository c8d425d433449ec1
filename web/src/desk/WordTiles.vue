<script setup lang="ts">
import { computed, ref } from "vue";
import type { DeskTurn } from "@/api/client";
import { rove } from "./rove";

/** The answer in words, put together from tiles in the class's own words. */
defineProps<{ turn: DeskTurn; over: boolean }>();
const texts = defineModel<string[]>({ required: true });
const words = computed(() => (texts.value[0] ?? "").split(" ").filter(Boolean));
const root = ref<HTMLElement>();

const set = (list: string[]): void => void (texts.value = [list.join(" ")]);
const add = (word: string): void => set([...words.value, word]);
const takeBack = (): void => set(words.value.slice(0, -1));

function type(event: KeyboardEvent): boolean {
  if (event.key !== "Backspace") return false;
  takeBack();
  return true;
}

defineExpose({ type });
</script>

<template>
  <div class="tiles-entry">
    <p class="line" :class="{ empty: !words.length }" aria-live="polite">
      <span class="visually-hidden">Your answer:</span>
      {{ words.join(" ") }}
    </p>
    <div v-if="!over" ref="root" class="tiles" @keydown="rove($event, root)">
      <div v-for="(row, at) in turn.tiles" :key="at" class="row" :class="`row-${at}`">
        <button v-for="word in row" :key="word" type="button" class="key" @click="add(word)">
          {{ word }}
        </button>
        <button
          v-if="at === turn.tiles.length - 1"
          type="button"
          class="key back"
          :disabled="!words.length"
          aria-label="Take the last word back"
          @click="takeBack"
        >
          ⌫
        </button>
      </div>
    </div>
  </div>
</template>

<style scoped lang="scss">
.tiles-entry {
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 0.6rem;
  min-height: 0;
}

.line {
  display: flex;
  align-items: center;
  justify-content: center;
  min-height: 3rem;
  margin: 0;
  padding: 0.2rem 1rem;
  border-bottom: 3px solid var(--v-ink);
  font-size: clamp(1.3rem, 2.4vmin + 0.6rem, 2rem);
  text-align: center;
}

.tiles {
  display: grid;
  gap: 0.5rem;
}

.row {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 0.4rem;
}

.row-0 {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
}

.key {
  padding-inline: 0.3rem;
  font-size: clamp(1.02rem, 1.1vw + 0.65rem, 1.3rem);
}

.row:not(.row-0) .key {
  padding-inline: 0.8rem;
}

@media (max-width: 30rem) {
  .row-0 {
    grid-template-columns: repeat(4, minmax(0, 1fr));
  }
}

@media (max-height: 28rem) {
  .key,
  .line {
    min-height: 2.75rem;
  }
}
</style>
