<script setup lang="ts">
import { computed } from "vue";
import { useFacts } from "@/api";
import { monthWords, plusMonths, today } from "@/words";

/** Of a list those on one step, or of one month of the last school year. */
const step = defineModel<string>("step", { required: true });
const month = defineModel<string>("month", { required: true });

const YEAR = 12;
const facts = useFacts();
const steps = computed(() => [
  { value: "", text: "All steps" },
  ...(facts.catalogue?.ladder ?? []).map((rung) => ({ value: rung.id, text: rung.name })),
]);
const months = [
  { value: "", text: "All months" },
  ...Array.from({ length: YEAR }, (_, back) => {
    const month = plusMonths(today().slice(0, 7), -back);
    return { value: month, text: monthWords(month) };
  }),
];
</script>

<template>
  <div class="which d-flex gap-2 mb-3">
    <BFormSelect v-model="step" :options="steps" aria-label="Which step" size="sm" />
    <BFormSelect v-model="month" :options="months" aria-label="Which month" size="sm" />
  </div>
</template>

<style scoped>
.which {
  max-width: 28rem;
}
</style>
