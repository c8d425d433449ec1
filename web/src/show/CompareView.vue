<script setup lang="ts">
import { refDebounced, useEventListener } from "@vueuse/core";
import { computed, ref, watch } from "vue";
import { useRoute } from "vue-router";
import { compareTimes, newSeed, timesFor, useApiQuery, useApiMutation, useFacts } from "@/api";
import { ReadingSteps, TurnedDial } from "@/dial";
import UnrolledHour from "./UnrolledHour.vue";

/** Two clocks beside each other, each with its hour unrolled below: which is earlier, and how long is it between them? */
const USUAL = ["7:45", "8:20"];
const NAMES = ["Which is earlier?", "How long is it between them?"];
const route = useRoute();
const facts = useFacts();
const given = String(route.query.times ?? "").split(",");
const placeOf = (at: number): number => facts.placeOf(given[at] ?? "") ?? facts.placeOf(USUAL[at] ?? "") ?? 0;
const places = ref([placeOf(0), placeOf(1)]);
const shown = computed(() => places.value.map((place) => facts.at(place)));
const uncovered = ref(0);
/** A hand that is being turned asks when it rests. */
const settled = refDebounced(shown, 150);
const { data: between, errorMessage } = useApiQuery(
  compareTimes,
  () => {
    const [one, other] = settled.value.map((clock) => clock.time);
    return one && other ? [{ one, other, conventions: Object.values(facts.choices).join(",") }] : null;
  },
  { meanwhile: true },
);
const lines = computed(() =>
  (between.value?.sentences ?? []).map((text, at) => ({ name: NAMES[at] ?? "", text, big: at === 0 })),
);
watch(places, () => (uncovered.value = 0), { deep: true });
const next = (): unknown =>
  (uncovered.value = uncovered.value < lines.value.length ? uncovered.value + 1 : 0);

const step = ref("fives");
const steps = computed(() => facts.catalogue?.steps.filter((step) => step.id !== "hour_hand") ?? []);
const { errorMessage: refused, run } = useApiMutation();
const newPair = (): unknown =>
  run(async () => {
    const chosen = await timesFor({ step: step.value, task: "dial_to_words", count: 2, seed: newSeed() });
    places.value = chosen.times.map((time) => facts.placeOf(time) ?? 0);
  });

useEventListener("keydown", (event: KeyboardEvent) => {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
  const target = event.target as HTMLElement;
  if (target.closest("input, select, textarea")) return;
  const key = event.key.toLowerCase();
  if (key === " " && !target.closest("button, a")) next();
  else if (key === "n") newPair();
  else return;
  event.preventDefault();
});
</script>

<template>
  <div class="page compare">
    <div class="page-head mb-2">
      <h1>Compare two clocks</h1>
      <div class="actions d-flex flex-wrap gap-2 align-items-center">
        <BFormSelect v-model="step" size="sm" class="w-auto" aria-label="Step">
          <option v-for="choice in steps" :key="choice.id" :value="choice.id">{{ choice.name }}</option>
        </BFormSelect>
        <BButton variant="outline-primary" @click="newPair">
          New pair
          <kbd class="key" aria-hidden="true">N</kbd>
        </BButton>
        <BButton variant="link" :to="{ name: 'show' }">One clock</BButton>
      </div>
    </div>
    <p v-if="errorMessage || refused" role="alert" class="field-error">{{ errorMessage || refused }}</p>
    <div class="two d-grid">
      <section v-for="(clock, at) in shown" :key="at" :aria-label="at ? 'Right clock' : 'Left clock'">
        <div class="dial-room d-flex justify-content-center">
          <TurnedDial
            :model-value="places[at] ?? 0"
            @update:model-value="places = places.map((place, where) => (where === at ? $event : place))"
          />
        </div>
        <UnrolledHour :facts="clock" />
      </section>
      <ReadingSteps
        class="told"
        :lines="lines"
        :uncovered="uncovered"
        :open="false"
        :other-ways="[]"
        :others="false"
        last="Hide again"
        @next="next"
      />
    </div>
  </div>
</template>

<style scoped lang="scss">
.two {
  grid-template-columns: repeat(2, minmax(0, 1fr)) minmax(14rem, 24%);
  gap: 1.5rem 2rem;
}

.dial-room {
  height: min(56vh, 34vw);
  margin-bottom: 0.75rem;
}

@media (max-width: 60rem) {
  .two {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 1rem;
  }

  .dial-room {
    height: 44vw;
  }

  .told {
    grid-column: 1 / 3;
  }
}

@media (max-width: 40rem) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }

  .dial-room {
    height: 70vw;
  }

  .told {
    grid-column: 1;
  }
}
</style>
