<script setup lang="ts">
import { onKeyStroke } from "@vueuse/core";
import { computed, ref, watch } from "vue";
import { useRoute } from "vue-router";
import { listCalls, useApiQuery, useFacts } from "@/api";
import { useClasses } from "@/school";
import { useVoice } from "@/voice";

/** A game's times called out one by one, large enough for the wall, read aloud where that is wanted; those that were called stay below. */
const route = useRoute();
const facts = useFacts();
const classes = useClasses();
const text = (name: string): string | undefined =>
  route.query[name] ? String(route.query[name]) : undefined;
const number = (name: string): number | undefined =>
  route.query[name] ? Number(route.query[name]) : undefined;
const asked = computed(() => ({
  kind: text("kind") ?? "",
  step: text("step") ?? "",
  count: number("count"),
  seed: number("seed"),
  misreading: text("misreading"),
}));
const { data: game, errorMessage } = useApiQuery(
  listCalls,
  () => classes.current && asked.value.kind && [classes.current.id, asked.value],
);
const kind = computed(() => facts.catalogue?.sheets.find((sheet) => sheet.id === asked.value.kind));
/** How many were called. */
const called = ref(0);
const digits = ref(false);
const voice = useVoice(
  () => undefined,
  () => false,
);
const calls = computed(() => game.value?.calls ?? []);
const now = computed(() => calls.value[called.value - 1]);
const before = computed(() => calls.value.slice(0, Math.max(called.value - 1, 0)).reverse());
const over = computed(() => called.value >= calls.value.length);
const next = (): unknown => !over.value && (called.value += 1);
const back = (): unknown => called.value > 0 && (called.value -= 1);
watch(now, (clock) => clock && voice.say(clock.words));
onKeyStroke([" ", "ArrowRight"], (event) => {
  if (event.target instanceof HTMLElement && event.target.closest("a, button, input, select")) return;
  event.preventDefault();
  next();
});
onKeyStroke("ArrowLeft", back);
</script>

<template>
  <div class="page">
    <div class="page-head mb-2">
      <h1>Call out</h1>
      <span v-if="game" class="quiet">{{ kind?.name }}: {{ game.title }}</span>
      <div class="actions">
        <BButton
          v-if="voice.has.value"
          variant="outline-primary"
          :aria-pressed="voice.on.value"
          @click="voice.toggle()"
        >
          <i class="bi bi-volume-up" aria-hidden="true"></i>
          Read aloud
        </BButton>
        <BButton variant="outline-primary" :aria-pressed="digits" @click="digits = !digits">
          In digits
        </BButton>
        <BButton variant="link" :to="{ name: 'sheets' }">Back to sheets</BButton>
      </div>
    </div>
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <p v-else-if="!asked.kind || !classes.current" class="quiet">
      Choose a game on the
      <RouterLink :to="{ name: 'sheets', query: { kind: 'bingo' } }">Sheets page</RouterLink>
      first.
    </p>
    <template v-else-if="game">
      <p class="call m-0" role="status">
        <template v-if="now">{{ digits ? now.digits : now.words }}</template>
        <span v-else class="quiet">Ready?</span>
      </p>
      <div class="d-flex flex-wrap gap-2 align-items-center justify-content-center">
        <BButton variant="outline-primary" :disabled="!called" @click="back">Back</BButton>
        <BButton variant="primary" size="lg" :disabled="over" @click="next">
          {{ over ? "All called" : called ? "Next time" : "Call the first time" }}
        </BButton>
        <span class="quiet">{{ called }} of {{ calls.length }}</span>
      </div>
      <template v-if="before.length">
        <h2 class="eyebrow mt-4">Called before</h2>
        <ul class="list-unstyled d-flex flex-wrap gap-2 fs-120">
          <li v-for="clock in before" :key="clock.time" class="told rounded-07 px-2">
            {{ digits ? clock.digits : clock.words }}
          </li>
        </ul>
      </template>
    </template>
    <p v-else class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>

<style scoped lang="scss">
.call {
  display: grid;
  place-items: center;
  min-height: 42vh;
  text-align: center;
  font-size: clamp(2.6rem, 9vw, 8rem);
  font-weight: 700;
  line-height: 1.1;
}

.told {
  background: var(--v-shade);
}
</style>
