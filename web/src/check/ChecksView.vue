<script setup lang="ts">
import { ref } from "vue";
import { useRouter } from "vue-router";
import { findSheet, listChecks, useLoaded, wordsOf } from "@/api";
import { useClasses } from "@/class";
import CheckCard from "./CheckCard.vue";

/** The checks of the class, newest first. */
const classes = useClasses();
const { data: checks, trouble } = useLoaded(
  () => classes.current?.id,
  async () => (classes.current ? listChecks(classes.current.id) : null),
);

const router = useRouter();
const code = ref("");
const unknown = ref("");

/** The code stands in the corner of every sheet. */
async function find(): Promise<void> {
  unknown.value = "";
  try {
    const { check_id: id, class_id: classId } = await findSheet(code.value.trim());
    classes.choose(classId);
    await router.push({ name: "check", params: { id } });
  } catch (error) {
    unknown.value = wordsOf(error);
  }
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Checks</h1>
      <div v-if="classes.current" class="actions">
        <form class="code" @submit.prevent="find">
          <BFormInput
            v-model="code"
            placeholder="Code on a sheet"
            aria-label="Code on a sheet"
            maxlength="12"
            :state="unknown ? false : null"
          />
          <BButton type="submit" variant="outline-primary" :disabled="!code.trim()">Find it</BButton>
        </form>
        <RouterLink class="btn btn-outline-primary" :to="{ name: 'new-desk' }">Open the desks</RouterLink>
        <RouterLink class="btn btn-primary" :to="{ name: 'new-check' }">New check</RouterLink>
      </div>
    </div>
    <p v-if="unknown" class="field-error" role="alert">{{ unknown }}</p>
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
.code {
  display: flex;
  gap: 0.4rem;
}

.code input {
  width: 11rem;
}

.list {
  display: grid;
  gap: 0.75rem;
}
</style>
