<script setup lang="ts">
import { useTimeoutFn } from "@vueuse/core";
import { computed, onBeforeUnmount, ref, watch } from "vue";
import { useFacts, type Lesson, type LessonPlan, type Refused } from "@/api";

/** What a lesson is about: day, length, step, task and method. Each change is kept at once. */
const props = defineProps<{ lesson: Lesson; refused: Refused | null }>();
const emit = defineEmits<{ settle: [changes: Partial<LessonPlan>] }>();

const METHOD = ["order", "counting", "counting_to"] as const;
const facts = useFacts();
const steps = computed(() => facts.catalogue?.ladder.filter((rung) => rung.tasks.length > 0) ?? []);
const tasks = computed(() => facts.rung(props.lesson.step).tasks);
const methods = computed(() =>
  METHOD.flatMap((id) => facts.catalogue?.conventions.find((convention) => convention.id === id) ?? []),
);
const wrong = (field: string): string => (props.refused?.field === field ? props.refused.message : "");

/** What the selects show: the choice made, and again what is kept where it was refused. */
const kept = (): Pick<Lesson, "step" | "task" | "method"> => ({
  step: props.lesson.step,
  task: props.lesson.task,
  method: { ...props.lesson.method },
});
const chosen = ref(kept());
watch([() => props.lesson, () => props.refused], () => (chosen.value = kept()));

const PAUSE = 900;
/** A select that is walked through by arrow keys settles when it rests or is left, not at each step on the way. */
let waiting: (() => void) | undefined;
const { start, stop } = useTimeoutFn(now, PAUSE, { immediate: false });
function later(act: () => void): void {
  waiting = act;
  start();
}

function now(): void {
  stop();
  const due = waiting;
  waiting = undefined;
  due?.();
}

onBeforeUnmount(now);

/** A new step has other times: nothing of the old ones is kept but what is pinned. */
function step(id: string): void {
  emit("settle", { step: id, task: null, kept: {}, pinned: {}, swapped: [], opening: 0 });
}

function task(id: string): void {
  emit("settle", { task: id, kept: {}, pinned: {}, swapped: [] });
}

function count(method: string, choice: string): void {
  emit("settle", { method: { ...props.lesson.method, [method]: choice } });
}

function minutes(event: Event): void {
  const value = Number((event.target as HTMLInputElement).value);
  if (value !== props.lesson.minutes) emit("settle", { minutes: value, stage_minutes: {} });
}
</script>

<template>
  <div class="form d-flex flex-wrap mb-3 row-gap-06 column-gap-09">
    <label>
      Step
      <BFormSelect
        v-model="chosen.step"
        @change="later(() => step(($event.target as HTMLSelectElement).value))"
        @blur="now"
      >
        <option v-for="rung in steps" :key="rung.id" :value="rung.id">{{ rung.name }}</option>
      </BFormSelect>
    </label>
    <label>
      Task
      <BFormSelect
        v-model="chosen.task"
        @change="later(() => task(($event.target as HTMLSelectElement).value))"
        @blur="now"
      >
        <option v-for="way in tasks" :key="way.id" :value="way.id">{{ way.name }}</option>
      </BFormSelect>
    </label>
    <label class="short">
      Minutes
      <BFormInput
        :state="wrong('minutes') ? false : null"
        type="number"
        :min="facts.catalogue?.lengths.least"
        :max="facts.catalogue?.lengths.most"
        :model-value="lesson.minutes"
        aria-describedby="minutes-wrong"
        @change="minutes"
      />
    </label>
    <label v-for="method in methods" :key="method.id">
      {{ method.name }}
      <BFormSelect
        v-model="chosen.method[method.id as keyof typeof lesson.method]"
        @change="later(() => count(method.id, ($event.target as HTMLSelectElement).value))"
        @blur="now"
      >
        <option v-for="choice in method.choices" :key="choice.id" :value="choice.id">
          {{ choice.name }}
        </option>
      </BFormSelect>
    </label>
    <p v-if="wrong('minutes')" id="minutes-wrong" class="field-error w-100 m-0" role="alert">
      {{ wrong("minutes") }}
    </p>
  </div>
</template>

<style scoped lang="scss">
label {
  flex: 1 1 10rem;
  font-size: 0.9rem;
  color: var(--v-quiet);

  &.short {
    flex: 0 0 6rem;
  }
}
</style>
