<script setup lang="ts">
import { computed, ref, shallowRef, watch } from "vue";
import { useRouter } from "vue-router";
import { findSheet, listChecks, removeCheck, useApiQuery, useApiMutation, type CheckSummary } from "@/api";
import { useClasses } from "@/school";
import { NothingYet, RemovedLately, useJustRemoved, WhichOnes } from "@/shared";
import CheckCard from "./CheckCard.vue";

/** The checks of the class, newest first. */
const classes = useClasses();
/** A page of the list at a time; the step that is looked for, or all. */
const PAGE = 30;
const step = ref("");
const month = ref("");
const which = (before?: number): Parameters<typeof listChecks>[1] => ({
  limit: PAGE,
  before,
  step: step.value || undefined,
  month: month.value || undefined,
});
const just = useJustRemoved();
const { data, errorMessage } = useApiQuery(
  listChecks,
  () => classes.current && [classes.current.id, which()],
);
const earlier = shallowRef<CheckSummary[]>([]);
const more = ref(false);
const { busy, errorMessage: unknown, run } = useApiMutation();
watch(
  data,
  (found) => {
    earlier.value = [];
    more.value = found?.more ?? false;
  },
  { immediate: true },
);
const checks = computed(() => data.value && [...data.value.checks, ...earlier.value]);

async function further(): Promise<void> {
  const last = checks.value?.at(-1);
  if (!classes.current || !last) return;
  const classId = classes.current.id;
  await run(async () => {
    const found = await listChecks(classId, which(last.id));
    earlier.value = [...earlier.value, ...found.checks];
    more.value = found.more;
  });
}

/** Buttons of the list stay as they are meanwhile, so that the keys do; a second press waits for the first. */
const one = async (what: () => Promise<unknown>): Promise<boolean> => !busy.value && run(what);

const remove = (check: CheckSummary): Promise<boolean> =>
  one(async () => {
    just.value = await removeCheck(check.id);
  });

const router = useRouter();
const code = ref("");

/** The code stands in the corner of every sheet. */
const find = (): Promise<boolean> =>
  run(async () => {
    const { check_id: id, class_id: classId } = await findSheet(code.value.trim());
    classes.choose(classId);
    await router.push({ name: "check", params: { id } });
  });
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Checks</h1>
      <div v-if="classes.current" class="actions">
        <form class="code d-flex gap-2" @submit.prevent="find">
          <BFormInput
            v-model="code"
            placeholder="Code on a sheet"
            aria-label="Code on a sheet"
            maxlength="12"
            :state="unknown ? false : null"
          />
          <BButton type="submit" variant="outline-primary" :disabled="!code.trim()">Open</BButton>
        </form>
        <BButton variant="outline-primary" :to="{ name: 'paper' }">Read paper</BButton>
        <BButton variant="outline-primary" :to="{ name: 'new-desk' }">Answer on devices</BButton>
        <BButton variant="primary" :to="{ name: 'new-check' }">New check</BButton>
      </div>
    </div>
    <p v-if="unknown" class="field-error" role="alert">{{ unknown }}</p>
    <WhichOnes
      v-if="classes.current && (step || month || more || (checks && checks.length > 5))"
      v-model:step="step"
      v-model:month="month"
    />
    <RemovedLately v-if="classes.current" :class-id="classes.current.id" :kinds="['check', 'desk']" />
    <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
    <NothingYet v-else-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      You need a class to make a check.
    </NothingYet>
    <p v-else-if="!checks" class="quiet" aria-live="polite">Loading…</p>
    <p v-else-if="!checks.length && (step || month)">No checks found.</p>
    <NothingYet v-else-if="!checks.length" :to="{ name: 'new-check' }" does="Make check">
      No checks yet. A check is a slip with a few well-chosen clocks. It takes five minutes at the end of a
      lesson.
    </NothingYet>
    <div v-else class="list d-grid gap-075">
      <CheckCard v-for="check in checks" :key="check.id" :check="check" removable @remove="remove(check)" />
      <BButton
        v-if="more"
        variant="outline-primary"
        class="more justify-self-center"
        :disabled="busy"
        @click="further"
      >
        {{ busy ? "Loading…" : "Earlier checks" }}
      </BButton>
    </div>
  </div>
</template>

<style scoped>
.code input {
  width: 11rem;
}
</style>
