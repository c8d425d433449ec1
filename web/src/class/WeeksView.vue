<script setup lang="ts">
import { computed } from "vue";
import { readHistory, useFacts, useAsked } from "@/api";
import { useClasses } from "@/school";
import NoClass from "./NoClass.vue";
import { dayWords } from "@/words";
import ClassTabs from "./ClassTabs.vue";
import ShareChart from "./ShareChart.vue";

/** The class over time: how much is secure on each step, and which misreadings come and go. */
const facts = useFacts();
const classes = useClasses();
const { data: weeks, trouble } = useAsked(
  "history",
  () => classes.current && [classes.current.id],
  readHistory,
);
type Kind = "secure" | "misreadings";
const keys = (kind: Kind): string[] => [
  ...new Set((weeks.value ?? []).flatMap((week) => Object.keys(week[kind]))),
];
const lines = (kind: Kind, name: (id: string) => string) =>
  keys(kind).map((id) => ({
    label: name(id),
    points: (weeks.value ?? []).map((week) => ({ label: dayWords(week.day), value: week[kind][id] ?? 0 })),
  }));
const secure = computed(() => lines("secure", (id) => facts.rung(id).name));
const misreadings = computed(() => lines("misreadings", (id) => facts.misreading(id).name));
const children = computed(() => classes.current?.children.length ?? 1);
</script>

<template>
  <div class="page">
    <div class="page-head"><h1>Week by week</h1></div>
    <ClassTabs />
    <p v-if="trouble" role="alert" class="field-error">{{ trouble }}</p>
    <NoClass v-else-if="!classes.current" what="Weeks are told of a class." />
    <p v-else-if="!weeks" class="quiet" aria-live="polite">Looking back…</p>
    <p v-else-if="!weeks.length">No answers yet.</p>
    <div v-else class="two d-grid">
      <template
        v-for="[title, drawn] in [
          ['Children who are secure', secure],
          ['Children who showed a misreading', misreadings],
        ] as const"
        :key="title"
      >
        <BCard>
          <h2>{{ title }}</h2>
          <ShareChart :lines="drawn" :most="children" />
          <div class="position-relative overflow-x-auto mt-3" tabindex="0" role="region" :aria-label="title">
            <BTableSimple>
              <BThead>
                <BTr>
                  <BTh scope="col">Week to</BTh>
                  <BTh v-for="week in weeks" :key="week.day" scope="col">{{ dayWords(week.day) }}</BTh>
                </BTr>
              </BThead>
              <BTbody>
                <BTr v-for="line in drawn" :key="line.label">
                  <BTh scope="row">{{ line.label }}</BTh>
                  <BTd v-for="point in line.points" :key="point.label">{{ point.value || "–" }}</BTd>
                </BTr>
              </BTbody>
            </BTableSimple>
          </div>
        </BCard>
      </template>
    </div>
  </div>
</template>

<style scoped lang="scss">
.two {
  grid-template-columns: repeat(auto-fit, minmax(24rem, 1fr));
  gap: 1.25rem;
}

table {
  width: 100%;
}

th,
td {
  font-weight: 400;
  padding: 0.15rem 0.6rem 0.15rem 0;
  white-space: nowrap;
}

thead th {
  color: var(--v-quiet);
}

@media (max-width: 60rem) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
