<script setup lang="ts">
import { computed } from "vue";
import { useRoute, useRouter } from "vue-router";
import { listChecks, readFindings, together, useFacts, useApiQuery } from "@/api";
import { useClasses } from "@/school";
import { NothingYet, TomorrowCard, seem } from "@/shared";
import ChildFindings from "./ChildFindings.vue";
import { counted, moment } from "@/words";

/** What the answers of a check say: of the class, and of each child. */
const route = useRoute();
const router = useRouter();
const facts = useFacts();
const classes = useClasses();
const { data, errorMessage } = useApiQuery(
  together("results", async (classId: number, named: number) => {
    const { checks: answered } = await listChecks(classId, { limit: 100, answered: true });
    const id = named || answered[0]?.id;
    // One that lies further back is reached from the list of checks, and has its place here too.
    const further = id && !answered.some((check) => check.id === id);
    const checks = further
      ? [...answered, ...(await listChecks(classId, { limit: 1, before: id + 1 })).checks]
      : answered;
    return { checks, id, findings: id ? await readFindings(id) : null };
  }),
  () => classes.current && [classes.current.id, Number(route.params.id)],
  { meanwhile: true },
);
const checks = computed(() => data.value?.checks);
const findings = computed(() => data.value?.findings);
const check = computed(() => checks.value?.find((check) => check.id === data.value?.id));
const options = computed(() =>
  (checks.value ?? []).map((check) => ({
    value: check.id,
    text: `${facts.titleOf(check)} · ${moment(check.made_at)}`,
  })),
);
const others = computed(() => findings.value?.shared.slice(1) ?? []);
const names = computed(() => new Map(findings.value?.children.map((child) => [child.child_id, child.name])));
const away = computed(() => findings.value?.children.filter((child) => child.slip === "none") ?? []);
const later = computed(
  () => findings.value?.children.filter((child) => child.slip === "not_here_then") ?? [],
);
const said = computed(() => findings.value?.children.filter((child) => child.slip === "away") ?? []);
const empty = computed(() => findings.value?.children.filter((child) => child.slip === "empty") ?? []);

function go(id: unknown): void {
  router.push({ name: "class", params: { id: String(id) } });
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Results</h1>
      <div v-if="options.length" class="actions mw-100">
        <label class="visually-hidden" for="which">Check</label>
        <BFormSelect
          id="which"
          class="w-auto mw-100"
          :model-value="check?.id"
          :options="options"
          @update:model-value="go"
        />
        <BButton
          v-if="check && !facts.ownTasks(check)"
          variant="outline-primary"
          :to="{ name: 'check', params: { id: check.id } }"
        >
          Enter answers
        </BButton>
      </div>
    </div>

    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <NothingYet v-else-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      No class yet.
    </NothingYet>
    <NothingYet
      v-else-if="checks && !findings && !check"
      :to="{ name: checks.length ? 'checks' : 'new-check' }"
      :does="checks.length ? 'Enter answers' : 'Make check'"
    >
      No answers yet.
    </NothingYet>
    <p v-else-if="!findings" class="quiet" aria-live="polite">Loading…</p>
    <div v-else class="abreast abreast-lead d-grid gap-4 align-items-start">
      <div class="side d-grid gap-125">
        <TomorrowCard v-if="findings.shared.length" :shared="findings.shared" />
        <BCard v-else>
          <h2>No mistakes with a pattern this time.</h2>
          <p class="mb-0">Move on to the next step, or check again with more clocks.</p>
        </BCard>
        <BCard
          v-if="
            findings.alike.length ||
            others.length ||
            away.length ||
            said.length ||
            empty.length ||
            later.length
          "
        >
          <p class="eyebrow">Also</p>
          <ul class="also p-0 m-0 list-unstyled">
            <li v-for="other in others" :key="other.misreading">
              <strong>{{ seem(other.child_ids.length, facts.misreading(other.misreading).does) }}:</strong>
              {{ other.child_ids.map((id) => names.get(id)).join(", ") }}
            </li>
            <li v-if="empty.length">
              <strong>Blank:</strong>
              {{ empty.map((child) => child.name).join(", ") }}
            </li>
            <li v-if="later.length">
              <strong>Not here then:</strong>
              {{ later.map((child) => child.name).join(", ") }}
            </li>
            <li v-for="pair in findings.alike" :key="pair.child_ids.join()">
              {{ pair.child_ids.map((id) => names.get(id)).join(" and ") }} gave the same unusual answers to
              {{ counted(pair.clocks, "clock") }}.
            </li>
            <li v-if="said.length">
              <strong>Away:</strong>
              {{ said.map((child) => child.name).join(", ") }}
            </li>
            <li v-if="away.length">
              <strong>Away or not entered:</strong>
              {{ away.map((child) => child.name).join(", ") }}
            </li>
          </ul>
        </BCard>
      </div>
      <div class="position-relative overflow-x-auto" tabindex="0" role="region" aria-label="Child by child">
        <ChildFindings :findings="findings" />
      </div>
    </div>
  </div>
</template>

<style scoped lang="scss">
.also {
  li + li {
    border-top: 1px solid var(--v-line);
    margin-top: 0.6rem;
    padding-top: 0.6rem;
  }
}
</style>
