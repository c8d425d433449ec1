<script setup lang="ts">
import { useDebounceFn } from "@vueuse/core";
import { computed, reactive, ref, watch } from "vue";
import { useRouter } from "vue-router";
import { chooseTimes, makeCheck, Refused, useFacts, type Choice } from "@/api";
import { useClasses } from "@/class";
import { DialFace } from "@/dial";
import WhatTheyTell from "./WhatTheyTell.vue";

/** Step, task and number in; times and what they can tell out. */
const router = useRouter();
const facts = useFacts();
const classes = useClasses();
const form = reactive({ step: "quarters", task: "dial_to_words", count: 5, seed: 1 });
const choice = ref<Choice | null>(null);
const refused = ref<Refused | null>(null);
const busy = ref(false);

const steps = computed(() => facts.catalogue?.steps.map((step) => ({ value: step.id, text: step.name })));
const tasks = computed(() => facts.catalogue?.tasks.map((task) => ({ value: task.id, text: task.name })));
const most = computed(() => facts.catalogue?.most_items ?? form.count);
const notation = computed(() => facts.catalogue?.tasks.find((task) => task.id === form.task)?.notation);

function wrong(...fields: string[]): string | undefined {
  return refused.value && fields.includes(refused.value.field ?? "") ? refused.value.message : undefined;
}

function take(error: unknown): void {
  refused.value = error instanceof Refused ? error : new Refused(null, String(error), 500);
}

let asking = 0;
async function choose(): Promise<void> {
  if (!classes.current) return;
  const mine = ++asking;
  try {
    const chosen = await chooseTimes(classes.current.id, { ...form });
    if (mine !== asking) return;
    choice.value = chosen;
    refused.value = null;
  } catch (error) {
    if (mine !== asking) return;
    choice.value = null;
    take(error);
  }
}

const chooseSoon = useDebounceFn(choose, 150);
watch([form, () => classes.current?.id], chooseSoon, { immediate: true });

async function make(): Promise<void> {
  if (!classes.current || busy.value) return;
  busy.value = true;
  try {
    const made = await makeCheck(classes.current.id, { ...form });
    await router.push({ name: "slips", params: { id: made.id } });
  } catch (error) {
    take(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>New check</h1>
      <span v-if="classes.current" class="quiet">for {{ classes.current.name }}</span>
    </div>
    <p v-if="!classes.current">
      A check needs a class.
      <RouterLink :to="{ name: 'new-class' }">Make one</RouterLink>
    </p>
    <div v-else class="columns">
      <form novalidate @submit.prevent="make">
        <div class="field">
          <label for="step">Step</label>
          <BFormSelect id="step" v-model="form.step" :options="steps" :state="wrong('step') ? false : null" />
          <p v-if="wrong('step')" class="field-error" role="alert">{{ wrong("step") }}</p>
        </div>
        <fieldset class="field">
          <legend>Task</legend>
          <BFormRadioGroup v-model="form.task" :options="tasks" name="task" stacked />
          <p v-if="wrong('task')" class="field-error" role="alert">{{ wrong("task") }}</p>
        </fieldset>
        <div class="field">
          <label for="count">How many clocks</label>
          <div class="count">
            <BFormInput
              id="count"
              v-model.number="form.count"
              type="number"
              min="1"
              :max="most"
              :state="wrong('count') ? false : null"
              aria-describedby="count-wrong"
            />
          </div>
          <p v-if="wrong('count')" id="count-wrong" class="field-error" role="alert">{{ wrong("count") }}</p>
        </div>
        <p v-if="refused && !wrong('step', 'task', 'count')" class="field-error" role="alert">
          {{ refused.message }}
        </p>
        <div class="buttons">
          <BButton type="submit" variant="primary" :disabled="busy || !choice">Make this check</BButton>
          <BButton variant="outline-primary" :disabled="!choice" @click="form.seed += 1">
            <i class="bi bi-arrow-repeat" aria-hidden="true"></i>
            Other times
          </BButton>
        </div>
      </form>
      <section class="chosen" aria-label="The clocks chosen" aria-live="polite">
        <div v-if="choice" class="clocks">
          <figure v-for="time in choice.times" :key="time">
            <DialFace :facts="facts.of(time)" :label="`A dial at ${time}`" />
            <figcaption>
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
.columns {
  display: grid;
  grid-template-columns: 19rem minmax(0, 1fr);
  gap: 2rem;
  align-items: start;
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
  display: flex;
  align-items: center;
  gap: 0.75rem;

  input {
    width: 5rem;
  }
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}

.chosen {
  display: grid;
  gap: 1.5rem;
}

.clocks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(8.5rem, 1fr));
  gap: 1rem;
}

figure {
  margin: 0;
}

figcaption {
  text-align: center;
  margin-top: 0.4rem;
  line-height: 1.2;
}

@media (max-width: 60rem) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
