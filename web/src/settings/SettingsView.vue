<script setup lang="ts">
import { NothingYet } from "@/shared";
import { ref, watch } from "vue";
import { setConventions, useApiMutation, useFacts } from "@/api";
import { useClasses } from "@/school";
import DayEditor from "./DayEditor.vue";
import LivingExample from "./LivingExample.vue";

/** How a class says, writes and counts. Each choice is kept at once, and the example follows. */
const facts = useFacts();
const classes = useClasses();
const { errorMessage, run } = useApiMutation();
const state = ref<"" | "saving" | "saved">("");
/** What is shown as chosen: each press at once, and what is kept again where it was refused. */
const current = ref<Record<string, string>>({});
watch(
  () => classes.current?.id,
  () => (current.value = { ...classes.current?.conventions }),
  { immediate: true },
);

/** One choice after the other, so that none is kept without those pressed before it. */
let last: Promise<void> = Promise.resolve();
function choose(id: string, choice: string): void {
  current.value = { ...current.value, [id]: choice };
  state.value = "saving";
  last = last.then(() => keep(id, choice));
}

async function keep(id: string, choice: string): Promise<void> {
  const mine = classes.current;
  if (!mine) return;
  const saved = await run(async () => {
    classes.renew(await setConventions(mine.id, { conventions: { ...mine.conventions, [id]: choice } }));
  });
  if (!saved) current.value = { ...mine.conventions };
  state.value = saved ? "saved" : "";
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>How {{ classes.current?.name ?? "your class" }} tells the time</h1>
      <p class="quiet saved m-0" role="status">
        {{ state === "saving" ? "Saving…" : state === "saved" ? "Saved." : "" }}
      </p>
    </div>
    <NothingYet v-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      You need a class first. Each class has its own settings.
    </NothingYet>
    <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
    <div v-if="classes.current" class="abreast abreast-two d-grid row-gap-20 column-gap-5">
      <form @submit.prevent>
        <fieldset
          v-for="convention in facts.catalogue?.conventions"
          :key="convention.id"
          class="d-grid border-bottom px-0 pt-06 pb-07 cols-1-auto"
        >
          <legend class="fw-bold m-0">{{ convention.name }}</legend>
          <p class="why m-0 quiet col-all fs-95">{{ convention.why }}</p>
          <div class="choices d-flex flex-wrap gap-2 mt-2 col-all">
            <div
              v-for="choice in convention.choices"
              :key="choice.id"
              class="pill"
              :class="{ on: current[convention.id] === choice.id }"
            >
              <BFormRadio
                :name="convention.id"
                :model-value="current[convention.id]"
                :value="choice.id"
                @update:model-value="choose(convention.id, choice.id)"
              >
                {{ choice.name }}
              </BFormRadio>
            </div>
          </div>
        </fieldset>
      </form>
      <div class="beside d-grid gap-4 align-content-start">
        <LivingExample />
        <DayEditor :key="classes.current.id" :school-class="classes.current" />
      </div>
    </div>
  </div>
</template>

<style scoped lang="scss">
fieldset {
  column-gap: 1rem;
}

legend {
  font-size: 1.05rem;
  float: left;
}

@media (max-width: 60rem) {
  .beside {
    order: -1;
  }
}
</style>
