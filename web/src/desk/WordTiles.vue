<script setup lang="ts">
import { computed, ref } from "vue";
import type { DeskTurn } from "@/api/client";
import { rove } from "./rove";

/** The answer in words, put together from tiles in the class's own words. */
const props = defineProps<{ turn: DeskTurn; over: boolean }>();
const texts = defineModel<string[]>({ required: true });
const words = computed(() => (texts.value[0] ?? "").split(" ").filter(Boolean));
const root = ref<HTMLElement>();
/** More tiles than stand in tidy rows on a phone. */
const MANY = 20;
const crowded = computed(() => props.turn.tiles.flat().length > MANY);

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
    <div v-if="!over" ref="root" class="tiles" :class="{ crowded }" @keydown="rove($event, root)">
      <div v-for="(row, at) in turn.tiles" :key="at" class="row" :class="{ many: row.length > 5 }">
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
  gap: clamp(0.5rem, 2vh, 1.4rem);
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
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 0.4rem;
}

.row {
  display: contents;
}

.many {
  display: grid;
  flex: 1 0 100%;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 0.4rem;
}

.key {
  min-height: clamp(2.8rem, 5.6vh, 4rem);
  padding-inline: 0.7rem;
  font-size: clamp(1.02rem, 1.1vw + 0.65rem, 1.6rem);
}

.many .key {
  padding-inline: 0.2rem;
}

@media (max-width: 34rem) {
  .many {
    grid-template-columns: repeat(4, minmax(0, 1fr));
  }

  .crowded .many {
    display: contents;
  }

  .crowded .key {
    padding-inline: 0.45rem;
    font-size: 1rem;
  }
}

@media (max-height: 30rem) {
  .tiles-entry {
    gap: 0.3rem;
  }

  .tiles {
    gap: 0.25rem;
  }

  .many {
    display: contents;
  }

  .key,
  .many .key {
    min-height: 2.75rem;
    padding-inline: 0.5rem;
    font-size: 1rem;
  }

  .line {
    min-height: 2.2rem;
    padding: 0;
    font-size: 1.15rem;
  }
}
</style>
