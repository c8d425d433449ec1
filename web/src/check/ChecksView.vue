<script setup lang="ts">
import { listChecks, useLoaded } from "@/api";
import { useClasses } from "@/class";
import CheckCard from "./CheckCard.vue";

/** The checks of the class, newest first. */
const classes = useClasses();
const { data: checks, trouble } = useLoaded(
  () => classes.current?.id,
  async () => (classes.current ? listChecks(classes.current.id) : null),
);
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Checks</h1>
      <div v-if="classes.current" class="actions">
        <RouterLink class="btn btn-primary" :to="{ name: 'new-check' }">New check</RouterLink>
      </div>
    </div>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    <p v-else-if="!classes.current">
      A check needs a class.
      <RouterLink :to="{ name: 'new-class' }">Make one</RouterLink>
    </p>
    <p v-else-if="!checks" class="quiet" aria-live="polite">Looking for checks…</p>
    <p v-else-if="!checks.length">
      No checks yet. A check is a slip with a few well-chosen clocks: five minutes at the end of a lesson.
    </p>
    <div v-else class="list">
      <CheckCard v-for="check in checks" :key="check.id" :check="check" />
    </div>
  </div>
</template>

<style scoped>
.list {
  display: grid;
  gap: 0.75rem;
}
</style>
