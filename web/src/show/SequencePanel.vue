<script setup lang="ts">
import { computed, ref } from "vue";
import { VueDraggable } from "vue-draggable-plus";
import { timesFor, useApiMutation, useFacts } from "@/api";
import { DialFace } from "@/dial";

/** Clocks to show one after the other: typed, or chosen for a step, and put in any order. */
const props = defineProps<{
  times: readonly string[];
  at: number;
  errorMessage: string;
  add: (text: string) => boolean;
}>();
const emit = defineEmits<{
  go: [time: string];
  remove: [at: number];
  shift: [at: number, by: number];
  order: [times: string[]];
}>();

const COUNT = 6;
const facts = useFacts();
const typed = ref("");
const { errorMessage: refused, run } = useApiMutation();
const step = ref("");
const steps = computed(() => facts.catalogue?.steps.filter((step) => step.id !== "hour_hand") ?? []);

function enter(): void {
  if (props.add(typed.value)) typed.value = "";
}

async function choose(): Promise<void> {
  if (!step.value) return;
  const seed = Math.floor(Math.random() * 2 ** 31);
  await run(async () => {
    const chosen = await timesFor({ step: step.value, task: "dial_to_words", count: COUNT, seed });
    props.add(chosen.times.join(" "));
    if (chosen.times[0]) emit("go", chosen.times[0]);
  });
  step.value = "";
}
</script>

<template>
  <section aria-label="Clocks to show">
    <p class="eyebrow">
      Clocks to show
      <span v-if="times.length > 1" class="float-end">
        <kbd class="key">,</kbd>
        <kbd class="key">.</kbd>
      </span>
    </p>
    <!-- Drawn into another order by pointer and touch; by keys with the arrows below. -->
    <VueDraggable
      v-if="times.length"
      :model-value="[...times]"
      class="sequence dial-choices d-flex flex-wrap gap-1"
      :animation="150"
      :delay="120"
      :delay-on-touch-only="true"
      :force-fallback="true"
      @update:model-value="$emit('order', $event)"
    >
      <BButton
        v-for="(time, place) in times"
        :key="time"
        variant="bare"
        :aria-pressed="place === at"
        :aria-label="`Clock ${place + 1}`"
        @click="$emit('go', time)"
      >
        <DialFace :facts="facts.of(time)" detail="small" />
      </BButton>
    </VueDraggable>
    <div v-if="at >= 0" class="small-tools d-flex gap-1 mt-1">
      <BButton
        variant="bare"
        title="Earlier"
        aria-label="Earlier"
        :disabled="at === 0"
        @click="$emit('shift', at, -1)"
      >
        <i class="bi bi-arrow-left" aria-hidden="true"></i>
      </BButton>
      <BButton
        variant="bare"
        title="Later"
        aria-label="Later"
        :disabled="at === times.length - 1"
        @click="$emit('shift', at, 1)"
      >
        <i class="bi bi-arrow-right" aria-hidden="true"></i>
      </BButton>
      <BButton variant="bare" title="Delete" aria-label="Delete" @click="$emit('remove', at)">
        <i class="bi bi-x-lg" aria-hidden="true"></i>
      </BButton>
    </div>
    <form class="add d-flex gap-1 my-04" @submit.prevent="enter">
      <BFormInput
        v-model="typed"
        size="sm"
        placeholder="7:45, 3:20"
        aria-label="Times to add"
        :state="errorMessage ? false : null"
        aria-describedby="times-wrong"
      />
      <BButton type="submit" size="sm" variant="outline-primary">Add</BButton>
    </form>
    <p v-if="errorMessage || refused" id="times-wrong" class="field-error fs-95 lh-sm mb-04" role="alert">
      {{ errorMessage || refused }}
    </p>
    <BFormSelect v-model="step" size="sm" aria-label="Choose clocks for a step" @change="choose">
      <option value="">Choose {{ COUNT }} for…</option>
      <option v-for="choice in steps" :key="choice.id" :value="choice.id">{{ choice.name }}</option>
    </BFormSelect>
  </section>
</template>

<style scoped lang="scss">
.sequence {
  max-height: 8.6rem;
  overflow-y: auto;
}

.add {
  .btn {
    min-height: 0;
  }
}
</style>
