<script setup lang="ts">
import { refDebounced } from "@vueuse/core";
import { computed, reactive, ref, watch } from "vue";
import { useRouter } from "vue-router";
import { chooseTimes, listChecks, makeCheck, readLadder, useApiQuery, useApiMutation, useFacts } from "@/api";
import { FieldGroup } from "@/ui";
import { DialFace } from "@/dial";
import { useClasses } from "@/school";
import { NothingYet, WhatTheyTell } from "@/shared";
import PackageFile from "./PackageFile.vue";

/** Step, task and number in; times and what they can tell out. */
const router = useRouter();
const facts = useFacts();
const classes = useClasses();
const form = reactive({ step: "quarters", task: "dial_to_words", count: 5, seed: 1 });
/** What a teacher chose stays, whatever is known by then. */
const touched = ref(false);
const { busy, refused: notMade, run } = useApiMutation();

/** Where the class stands, and what it was asked last. */
const { data: ladder } = useApiQuery(readLadder, () => classes.current && [classes.current.id]);
const { data: last } = useApiQuery(listChecks, () => classes.current && [classes.current.id, { limit: 1 }]);
watch(
  [ladder, last, () => facts.catalogue],
  () => {
    if (touched.value) return;
    const step = ladder.value?.next.step;
    const task = last.value?.checks[0]?.task;
    if (facts.catalogue?.steps.some((known) => known.id === step)) form.step = step ?? form.step;
    if (facts.catalogue?.tasks.some((known) => known.id === task)) form.task = task ?? form.task;
  },
  { immediate: true },
);

const steps = computed(() => facts.catalogue?.steps.map((step) => ({ value: step.id, text: step.name })));
const tasks = computed(() => facts.catalogue?.tasks.map((task) => ({ value: task.id, text: task.name })));
const most = computed(() => facts.catalogue?.most_items ?? form.count);
const notation = computed(() => facts.catalogue?.tasks.find((task) => task.id === form.task)?.notation);

/** What is asked for rests a moment: a number that is typed is not chosen for at each key. */
const settled = refDebounced(
  computed(() => ({ ...form })),
  150,
);
const { data: choice, refused: notChosen } = useApiQuery(
  chooseTimes,
  () => classes.current && [classes.current.id, settled.value],
);
const refused = computed(() => notMade.value ?? notChosen.value);
const wrong = (...fields: string[]): string =>
  fields.includes(refused.value?.field ?? "") ? (refused.value?.message ?? "") : "";

async function make(): Promise<void> {
  if (!classes.current || busy.value) return;
  const classId = classes.current.id;
  await run(async () => {
    const made = await makeCheck(classId, { ...form });
    await router.push({ name: "slips", params: { id: made.id } });
  });
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>New check</h1>
      <span v-if="classes.current" class="quiet">for {{ classes.current.name }}</span>
    </div>
    <NothingYet v-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      You need a class to make a check.
    </NothingYet>
    <div v-else class="abreast d-grid align-items-start gap-20">
      <form novalidate @submit.prevent="make" @change="touched = true">
        <FieldGroup id="step" v-slot="{ state }" label="Step" :wrong="wrong('step')">
          <BFormSelect id="step" v-model="form.step" :state="state" :options="steps" />
        </FieldGroup>
        <fieldset class="field">
          <legend>Task</legend>
          <BFormRadioGroup v-model="form.task" :options="tasks" name="task" stacked />
          <p v-if="wrong('task')" class="field-error" role="alert">{{ wrong("task") }}</p>
        </fieldset>
        <FieldGroup id="count" v-slot="{ state }" label="How many clocks" :wrong="wrong('count')">
          <BFormInput
            id="count"
            v-model.number="form.count"
            :state="state"
            class="count d-flex align-items-center"
            type="number"
            min="1"
            :max="most"
          />
        </FieldGroup>
        <p v-if="refused && !wrong('step', 'task', 'count')" class="field-error" role="alert">
          {{ refused.message }}
        </p>
        <div class="d-flex flex-wrap gap-2">
          <BButton type="submit" variant="primary" :disabled="busy || !choice">Make check</BButton>
          <BButton variant="outline-primary" :disabled="!choice" @click="form.seed += 1">
            <i class="bi bi-arrow-repeat" aria-hidden="true"></i>
            New clocks
          </BButton>
        </div>
        <PackageFile :class-id="classes.current.id" />
      </form>
      <section class="d-grid gap-4" aria-label="Clocks in this check" aria-live="polite">
        <div v-if="choice" class="clocks d-grid gap-3">
          <figure v-for="time in choice.times" :key="time" class="m-0">
            <DialFace :facts="facts.of(time)" :label="`A clock at ${time}`" />
            <figcaption class="text-center mt-2 lh-120">
              {{ notation === "digits" ? facts.of(time).digital : facts.of(time).usual }}
            </figcaption>
          </figure>
        </div>
        <p v-else-if="!refused" class="quiet">Choosing clocks…</p>
        <WhatTheyTell v-if="choice" :choice="choice" full />
      </section>
    </div>
  </div>
</template>

<style scoped lang="scss">
.abreast {
  --abreast: 19rem minmax(0, 1fr);
}

.field {
  margin-bottom: 1.4rem;
}

label,
legend {
  font-size: 1rem;
  margin-bottom: 0.35rem;
}

.count {
  gap: 0.75rem;

  input {
    width: 5rem;
  }
}

.clocks {
  grid-template-columns: repeat(auto-fill, minmax(8.5rem, 1fr));
}
</style>
