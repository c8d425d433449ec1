<script setup lang="ts">
import { computed } from "vue";
import { listChecks, readLadder, readTomorrow, useFacts, useApiQuery } from "@/api";
import { StepDial } from "@/dial";
import { useClasses } from "@/school";
import { aboutGroup, NothingYet, STATES, stateOf } from "@/shared";
import { countedChildren } from "@/words";
import ClassTabs from "./ClassTabs.vue";

/** Children by steps, told by shape and word; a name opens the child's own record. */
const facts = useFacts();
const classes = useClasses();
const ofClass = (): [number] | null => classes.current && [classes.current.id];
const { data: ladder, errorMessage } = useApiQuery(readLadder, ofClass);
const { data: last } = useApiQuery(
  listChecks,
  () => classes.current && [classes.current.id, { limit: 1, answered: true }],
);
const { data: tomorrow } = useApiQuery(readTomorrow, ofClass);
/** What each needs comes first; the signs below say why. */
const groups = computed(() => (tomorrow.value?.groups ?? []).filter((group) => group.child_ids.length));
const names = computed(() => new Map(classes.current?.children.map((child) => [child.id, child.name])));
/** Steps that somebody met; the others say nothing. */
const steps = computed(
  () => ladder.value?.steps.filter((step) => step.not_yet < (classes.current?.children.length ?? 0)) ?? [],
);
/** Those who need help with a step come first, and in the order of the register: it is no ranking. */
const parts = computed(() => {
  const all = ladder.value?.children ?? [];
  const needing = all.filter((child) => child.stumbles.length > 0);
  const others = all.filter((child) => child.stumbles.length === 0);
  return [
    { id: "needing", title: `${countedChildren(needing.length)} need help with a step`, children: needing },
    { id: "others", title: `${countedChildren(others.length)} ready to move on`, children: others },
  ].filter((part) => part.children.length > 0);
});
const reviewDue = computed(() => ladder.value?.children.some((child) => child.review_due.length > 0));
const newly = computed(() => ladder.value?.children.some((child) => child.newly_secure.length > 0) ?? false);
</script>

<template>
  <div class="page by-steps">
    <div class="page-head">
      <h1>{{ classes.current?.name ?? "Class" }}</h1>
      <div v-if="last?.checks[0]" class="actions">
        <BButton variant="outline-primary" :to="{ name: 'class', params: { id: last.checks[0].id } }">
          See results
        </BButton>
      </div>
    </div>
    <ClassTabs />
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <NothingYet v-else-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      No class yet.
    </NothingYet>
    <NothingYet v-else-if="ladder && !steps.length" :to="{ name: 'new-check' }" does="Make check">
      No answers yet. As soon as there are some, you see here who can do which step.
    </NothingYet>
    <template v-else-if="ladder">
      <section v-if="groups.length" class="needs d-grid gap-3 mb-4 no-print" aria-labelledby="needs-head">
        <h2 id="needs-head" class="eyebrow m-0">Who works on what next</h2>
        <div v-for="(group, at) in groups" :key="at" class="d-flex gap-3 align-items-center">
          <StepDial v-if="group.step" class="needs-dial" :step="group.step" />
          <p class="m-0">
            <strong>{{ aboutGroup(group, facts) }}</strong>
            <span v-if="group.beside" class="quiet">, on their own</span>
            <span class="d-block quiet">{{ group.child_ids.map((id) => names.get(id)).join(", ") }}</span>
          </p>
        </div>
      </section>
      <div
        class="wide position-relative overflow-x-auto"
        tabindex="0"
        role="region"
        aria-label="Children by steps"
      >
        <BTableSimple>
          <BThead>
            <BTr>
              <BTh scope="col">Child</BTh>
              <BTh scope="col" class="next text-nowrap">Next</BTh>
              <BTh v-for="step in steps" :key="step.id" scope="col" class="step">
                <StepDial class="step-dial" :step="step.id" />
                {{ facts.rung(step.id).name }}
              </BTh>
            </BTr>
          </BThead>
          <BTbody v-for="part in parts" :key="part.id">
            <BTr class="part">
              <BTh :colspan="steps.length + 2" scope="rowgroup">{{ part.title }}</BTh>
            </BTr>
            <BTr v-for="child in part.children" :key="child.child_id" class="child">
              <BTh scope="row">
                <RouterLink :to="{ name: 'child', params: { child: child.child_id } }">
                  {{ classes.current.children.find((other) => other.id === child.child_id)?.name }}
                </RouterLink>
              </BTh>
              <BTd class="next text-nowrap">
                {{ child.next_step ? facts.rung(child.next_step).name : "" }}
              </BTd>
              <BTd
                v-for="step in steps"
                :key="step.id"
                :class="{
                  newly: child.newly_secure.includes(step.id),
                }"
              >
                <i
                  class="bi"
                  :class="[stateOf(child.states[step.id]).icon, stateOf(child.states[step.id]).id]"
                  :title="stateOf(child.states[step.id]).word"
                  aria-hidden="true"
                ></i>
                <span class="visually-hidden">{{ stateOf(child.states[step.id]).word }}</span>
                <span v-if="child.newly_secure.includes(step.id)" class="new ms-1">new</span>
                <i
                  v-if="child.review_due.includes(step.id)"
                  class="bi bi-clock-history ms-1 fs-80 quiet"
                  title="review due"
                  aria-hidden="true"
                ></i>
                <span v-if="child.review_due.includes(step.id)" class="visually-hidden">, review due</span>
                <i
                  v-if="child.stumbles.includes(step.id)"
                  class="bi bi-flag flag ms-1 fs-80 tone-misread"
                  title="needs help here"
                  aria-hidden="true"
                ></i>
                <span v-if="child.stumbles.includes(step.id)" class="visually-hidden">, needs help here</span>
              </BTd>
            </BTr>
          </BTbody>
        </BTableSimple>
      </div>
      <ul
        class="d-flex flex-wrap list-unstyled mt-3 mb-0 p-0 quiet row-gap-02 column-gap-12"
        aria-label="What the circles mean"
      >
        <li v-for="state in STATES" :key="state.id">
          <i class="bi" :class="[state.icon, state.id]" aria-hidden="true"></i>
          {{ state.word }}
        </li>
        <li>
          <i class="bi bi-flag flag ms-1 fs-80 tone-misread" aria-hidden="true"></i>
          needs help here
        </li>
        <li v-if="reviewDue">
          <i class="bi bi-clock-history ms-1 fs-80" aria-hidden="true"></i>
          review due
        </li>
        <li v-if="newly">
          <span class="new">new</span>
          this week
        </li>
      </ul>
    </template>
    <p v-else class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>

<style scoped lang="scss">
table {
  border-collapse: collapse;
  width: 100%;
  background: var(--v-card);
}

th,
td {
  padding: 0.28rem 0.35rem;
  border-bottom: 1px solid var(--v-line);
  text-align: center;
  font-weight: 400;
}

th:first-child {
  padding-left: 0.8rem;
  text-align: left;
}

tbody td {
  white-space: nowrap;
}

tbody th a {
  font-weight: 700;
}

thead th {
  color: var(--v-quiet);
  font-size: 0.95rem;
  line-height: 1.2;
  vertical-align: bottom;
}

.needs-dial {
  flex: none;
  width: 3.2rem;
}

.needs {
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 17rem), 1fr));

  h2 {
    grid-column: 1 / -1;
  }
}

.newly {
  background: var(--v-hour-tint);
}

.new {
  font-size: 0.8rem;
  color: var(--v-hour);
}

.step-dial {
  width: 2.6rem;
  margin: 0 auto 0.2rem;
}

.part th {
  padding-top: 1.1rem;
  font-size: 1.15rem;
  font-weight: 700;
  color: var(--v-ink);
}

/* Names stay where they are while the steps are scrolled. */
tbody th {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--v-card);
}

@media print {
  .by-steps {
    page: across;
  }

  .wide {
    overflow: visible;
  }

  th,
  td {
    padding: 0.15rem 0.25rem;
    font-size: 0.72rem;
  }
}

.next {
  text-align: left;
  color: var(--v-quiet);
}

.bi.secure,
.bi.nearly,
.bi.learning {
  color: var(--v-right);
}

/* What needs nothing is hardly there. */
.child .child .bi.not_yet {
  font-size: 0.7rem;
  opacity: 0.75;
}

.bi.not_yet {
  color: var(--v-quiet);
}
</style>
