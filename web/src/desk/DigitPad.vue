<script setup lang="ts">
import { computed, ref } from "vue";
import type { DeskTurn } from "@/api/client";
import DeskButton from "./DeskButton.vue";
import { rovingFocus } from "./rovingFocus";

/** The answer in digits, on a pad with the class's own sign. */
const props = defineProps<{ turn: DeskTurn; over: boolean }>();
const texts = defineModel<string[]>({ required: true });
const MOST = 5;
const text = computed(() => texts.value[0] ?? "");
const keys = computed(() => ["1", "2", "3", "4", "5", "6", "7", "8", "9", props.turn.sign, "0"]);
const root = ref<HTMLElement>();

function add(key: string): void {
  if (text.value.length < MOST) texts.value = [text.value + key];
}

const takeBack = (): void => void (texts.value = [text.value.slice(0, -1)]);

function type(event: KeyboardEvent): boolean {
  const key = [":", ".", ","].includes(event.key) ? props.turn.sign : event.key;
  if (key === "Backspace") takeBack();
  else if (keys.value.includes(key)) add(key);
  else return false;
  return true;
}

defineExpose({ type });
</script>

<template>
  <div class="digits-entry d-flex flex-column align-items-center justify-content-center gap-06 min-h-0">
    <p class="line m-0 fw-bold text-center" aria-live="polite">
      <span class="visually-hidden">Your answer:</span>
      {{ text }}
    </p>
    <div v-if="!over" ref="root" class="pad d-grid gap-2" @keydown="rovingFocus($event, root)">
      <DeskButton v-for="key in keys" :key="key" class="key fs-160" @click="add(key)">
        {{ key }}
      </DeskButton>
      <DeskButton class="key fs-160" :disabled="!text" aria-label="Undo the last one" @click="takeBack">
        ⌫
      </DeskButton>
    </div>
  </div>
</template>

<style scoped>
.line {
  min-width: 9rem;
  min-height: 3.4rem;
  border-bottom: 3px solid var(--v-ink);
  font-size: 2.2rem;
  line-height: 3.4rem;
}

.pad {
  grid-template-columns: repeat(3, 1fr);
  width: min(24rem, 100%);
}

.key {
  min-height: clamp(2.9rem, 7vh, 4.6rem);
}

@media (orientation: landscape) and (max-height: 34rem) {
  .digits-entry {
    flex-direction: row;
    gap: 1rem;
  }

  .line {
    min-width: 6rem;
    font-size: 1.7rem;
  }

  .pad {
    gap: 0.3rem;
  }

  .key {
    min-height: 2.75rem;
  }
}
</style>
