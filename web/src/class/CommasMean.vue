<script setup lang="ts">
import type { Commas } from "@/api";

/** What the commas in a list of names mean: it cannot be seen for certain, so a teacher can say otherwise. */
defineProps<{ id: string; meant: NonNullable<Commas> }>();
defineEmits<{ say: [commas: Commas] }>();

const MEANINGS = [
  { value: "between", text: "Commas separate children" },
  { value: "family_first", text: "Family name, first name" },
  { value: "given_first", text: "First name, family name" },
];
</script>

<template>
  <fieldset>
    <legend class="fs-6 mb-1">What the commas mean</legend>
    <BFormRadioGroup
      :id="id"
      :model-value="meant"
      :options="MEANINGS"
      stacked
      @update:model-value="$emit('say', $event as Commas)"
    />
  </fieldset>
</template>
