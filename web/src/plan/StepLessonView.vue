<script setup lang="ts">
import { computed } from "vue";
import { useRoute } from "vue-router";
import { useFacts } from "@/api";

/** A lesson on a step that has no times of its own: what to do, say and look for, on one page. */
const route = useRoute();
const facts = useFacts();
const rung = computed(() => facts.rung(String(route.params.step)));
const minutes = computed(() => rung.value.parts.reduce((sum, part) => sum + part.minutes, 0));
const needs = computed(() => [...new Set(rung.value.parts.flatMap((part) => part.needs))]);
const print = (): void => window.print();
</script>

<template>
  <div class="page measure">
    <div class="page-head align-items-center mb-3">
      <h1>{{ rung.name }}</h1>
      <span class="quiet">{{ minutes }} minutes</span>
      <div class="actions no-print">
        <BButton variant="link" :to="{ name: 'plan' }">Back to Plan</BButton>
        <BButton variant="outline-primary" @click="print">Print lesson</BButton>
        <BButton variant="outline-primary" :to="{ name: 'sheets', query: { kind: 'make' } }">
          Print a clock to make
        </BButton>
        <BButton variant="primary" :to="{ name: 'show', query: { lens: 'two_dials' } }">
          Show the two hands
        </BButton>
      </div>
    </div>
    <p class="quiet no-print">Nothing is marked in this lesson, so it counts for no child.</p>
    <p class="mb-2">
      <b>Have ready:</b>
      {{ needs.join("; ") }}.
    </p>
    <p class="mb-2">
      <b>On the board:</b>
      {{ rung.words.join(", ") }}.
    </p>
    <p class="mb-3">
      <b>Begin:</b>
      {{ rung.openings[0] }}
    </p>
    <ol class="list-unstyled m-0 d-grid gap-3">
      <li v-for="part in rung.parts" :key="part.name" class="part">
        <h2 class="fs-115 m-0">
          {{ part.name }}
          <span class="quiet fw-normal fs-95 ms-2">{{ part.minutes }} min</span>
        </h2>
        <p class="m-0">“{{ part.say }}”</p>
        <p class="m-0 quiet">
          <b>Look for:</b>
          {{ part.look_for }}
        </p>
      </li>
    </ol>
    <h2 class="fs-115 mt-4">To talk about</h2>
    <p v-for="question in rung.questions" :key="question" class="mb-1">{{ question }}</p>
  </div>
</template>

<style scoped lang="scss">
.part {
  padding: 0.7rem 0.9rem;
  border-radius: 0.8rem;
  border: 1px solid var(--v-line);
  background: var(--v-card);
  break-inside: avoid;
}
</style>
