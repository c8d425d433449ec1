<script setup lang="ts">
import { computed, ref } from "vue";
import type { DeskTurn } from "@/api/client";
import DialFace from "@/dial/DialFace.vue";
import DeskButton from "./DeskButton.vue";

/** Clocks and cards that belong together: press one, then the other. */
defineProps<{ turn: DeskTurn; over: boolean }>();
const texts = defineModel<string[]>({ required: true });
type Item = DeskTurn["items"][number];
/** Both hands are on each of these clocks. */
const handsOf = (item: Item): { hour_hand_degrees: number; minute_hand_degrees: number } => ({
  hour_hand_degrees: item.hour_hand_degrees ?? 0,
  minute_hand_degrees: item.minute_hand_degrees ?? 0,
});
const LETTERS = ["A", "B", "C", "D"];
const clock = ref<number | null>(null);
const card = ref<string | null>(null);
const letterOf = computed(
  () => new Map(texts.value.flatMap((text, at) => (text ? [[text, LETTERS[at] ?? ""] as const] : []))),
);

function join(at: number, text: string): void {
  texts.value = texts.value.map((kept, place) => (place === at ? text : kept === text ? "" : kept));
  clock.value = null;
  card.value = null;
}

function pressClock(at: number): void {
  if (card.value !== null) return join(at, card.value);
  if (texts.value[at]) texts.value = texts.value.map((kept, place) => (place === at ? "" : kept));
  clock.value = clock.value === at ? null : at;
}

function pressCard(text: string): void {
  if (clock.value !== null) return join(clock.value, text);
  card.value = card.value === text ? null : text;
}
</script>

<template>
  <div class="pairs-entry d-grid gap-3 min-h-0 justify-self-center">
    <ul class="clocks m-0">
      <li v-for="(item, at) in turn.items" :key="item.id" class="min-h-0">
        <DeskButton
          class="key position-relative w-100 h-100 p-2"
          :class="{ chosen: clock === at, joined: texts[at] }"
          :aria-pressed="clock === at"
          :aria-label="`Clock ${LETTERS[at]}${texts[at] ? `, with ${texts[at]}` : ''}`"
          :disabled="over"
          @click="pressClock(at)"
        >
          <DialFace :facts="handsOf(item)" :margin="3" />
          <span class="badge position-absolute rounded-05 on-shade fs-110 text-center" aria-hidden="true">
            {{ LETTERS[at] }}
          </span>
        </DeskButton>
      </li>
    </ul>
    <ul class="cards m-0">
      <li v-for="text in turn.cards" :key="text" class="min-h-0">
        <DeskButton
          class="key position-relative w-100 h-100 p-2 fw-bold"
          :class="{ chosen: card === text, joined: letterOf.get(text) }"
          :aria-pressed="card === text"
          :disabled="over"
          @click="pressCard(text)"
        >
          {{ text }}
          <span
            v-if="letterOf.get(text)"
            class="badge position-absolute rounded-05 on-shade fs-110 text-center"
          >
            <span class="visually-hidden">with clock</span>
            {{ letterOf.get(text) }}
          </span>
        </DeskButton>
      </li>
    </ul>
  </div>
</template>

<style scoped lang="scss">
.pairs-entry {
  grid-template-rows: minmax(0, 17rem) auto;
  align-content: center;
  width: min(70rem, 100%);
}

ul {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
  gap: 0.8rem;
  min-height: 0;
  padding: 0;
  list-style: none;
}

.cards .key {
  min-height: 4rem;
  font-size: 1.7rem;
}

.key.joined {
  border-color: var(--v-right);
}

.key:disabled {
  background: var(--v-card);
  color: var(--v-ink);
}

.clocks :deep(.dial) {
  height: 100%;
}

.badge {
  top: 0.35rem;
  left: 0.35rem;
  min-width: 1.7rem;
  line-height: 1.7rem;
}

.joined .badge {
  background: var(--v-right);
  color: var(--v-paper);
}

@media (orientation: portrait) and (max-width: 48rem) {
  .pairs-entry {
    grid-template: minmax(0, 1fr) / minmax(0, 1.2fr) minmax(0, 1fr);
  }

  ul {
    grid-auto-flow: row;
    grid-auto-columns: auto;
    grid-auto-rows: minmax(0, 1fr);
  }
}
</style>
