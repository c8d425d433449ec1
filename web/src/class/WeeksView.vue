<script setup lang="ts">
import { computed } from "vue";
import { readHistory, useFacts, useApiQuery } from "@/api";
import { StepDial } from "@/dial";
import { useClasses } from "@/school";
import { NothingYet, SparkLine } from "@/shared";
import { countedChildren, dayWords } from "@/words";
import ClassTabs from "./ClassTabs.vue";
import NoClass from "./NoClass.vue";

/** The class over time: what came and what went, a line for each step and misreading, with what it is now. */
const LATELY = 4;
const facts = useFacts();
const classes = useClasses();
const { data: weeks, errorMessage } = useApiQuery(
  readHistory,
  () => classes.current && [classes.current.id],
  {
    select: (found) => found.weeks,
  },
);
type Kind = "secure" | "review_due" | "misreadings";
interface Row {
  id: string;
  values: number[];
  now: number;
  before: number;
}

const rows = (kind: Kind): Row[] => {
  const all = weeks.value ?? [];
  const ids = [...new Set(all.flatMap((week) => Object.keys(week[kind])))];
  return ids.map((id) => {
    const values = all.map((week) => week[kind][id] ?? 0);
    return { id, values, now: values.at(-1) ?? 0, before: values.at(-1 - LATELY) ?? values[0] ?? 0 };
  });
};
const secure = computed(() => rows("secure").filter((row) => Math.max(...row.values) > 0));
/** Of those who are secure on a step, how many have a review due, week by week. */
const due = computed(() => new Map(rows("review_due").map((row) => [row.id, row])));
const dueNow = (id: string): number => due.value.get(id)?.now ?? 0;
/** Those that show now first, then those that showed last. */
const lastSeen = (row: Row): number => row.values.findLastIndex((value) => value > 0);
const misreadings = computed(() =>
  rows("misreadings").sort((one, other) => other.now - one.now || lastSeen(other) - lastSeen(one)),
);
const children = computed(() => classes.current?.children.length ?? 1);
const since = computed(() => {
  const all = weeks.value ?? [];
  return all.length > LATELY ? "in four weeks" : "since the start";
});
const change = (row: Row): string => {
  if (row.now === row.before) return "no change";
  return row.now > row.before
    ? `${row.now - row.before} more ${since.value}`
    : `${row.before - row.now} fewer ${since.value}`;
};
/** The step that most became secure on lately, in one sentence. */
const headline = computed(() => {
  const best = [...secure.value].sort((one, other) => other.now - other.before - (one.now - one.before))[0];
  if (!best || best.now <= best.before) return "";
  const name = facts.rung(best.id).name.toLowerCase();
  return `From ${best.before} to ${best.now} secure on ${name} ${since.value}.`;
});
const gone = (row: Row): string => {
  const week = weeks.value?.[lastSeen(row)];
  return week ? `not seen since the week ending ${dayWords(week.day)}` : "";
};
</script>

<template>
  <div class="page">
    <div class="page-head"><h1>Week by week</h1></div>
    <ClassTabs />
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <NoClass v-else-if="!classes.current" what="You need a class to see its weeks." />
    <p v-else-if="!weeks" class="quiet fs-90" aria-live="polite">Loading…</p>
    <NothingYet v-else-if="!weeks.length" :to="{ name: 'new-check' }" does="Make check">
      No answers yet.
    </NothingYet>
    <template v-else>
      <p v-if="headline" class="fs-160 lh-sm mb-3">{{ headline }}</p>
      <div class="abreast abreast-two d-grid gap-5 align-items-start">
        <section aria-labelledby="secure-head">
          <h2 id="secure-head">Who is secure</h2>
          <p v-if="due.size" class="quiet fs-90">Thin line: those of them with review due.</p>
          <ul class="rows list-unstyled p-0">
            <li
              v-for="row in secure"
              :key="row.id"
              class="d-grid gap-3 align-items-center py-2 border-bottom lh-120"
            >
              <StepDial class="row-dial" :step="row.id" />
              <span class="name">{{ facts.rung(row.id).name }}</span>
              <SparkLine :values="row.values" :thin="due.get(row.id)?.values" :most="children" />
              <span>
                <strong>{{ row.now }} of {{ children }}</strong>
                <span class="quiet d-block fs-90">{{ change(row) }}</span>
                <span v-if="dueNow(row.id)" class="quiet d-block fs-90">
                  {{ dueNow(row.id) }} with review due
                </span>
              </span>
            </li>
          </ul>
        </section>
        <section aria-labelledby="misread-head">
          <h2 id="misread-head">Mistakes that came and went</h2>
          <ul class="rows plain list-unstyled p-0">
            <li
              v-for="row in misreadings"
              :key="row.id"
              class="d-grid gap-3 align-items-center py-2 border-bottom lh-120"
            >
              <span class="name" :class="{ quiet: row.now === 0 }">
                {{ facts.misreading(row.id).name }}
              </span>
              <SparkLine :values="row.values" :most="Math.max(8, ...row.values)" kind="bad" />
              <span>
                <template v-if="row.now">
                  <strong>{{ countedChildren(row.now) }}</strong>
                  <span class="quiet d-block fs-90">{{ change(row) }}</span>
                </template>
                <span v-else class="quiet fs-90">{{ gone(row) }}</span>
              </span>
            </li>
          </ul>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped lang="scss">
.rows li {
  grid-template-columns: 2.8rem minmax(7rem, 10rem) minmax(6rem, 1fr) minmax(7rem, 9rem);
}

.plain li {
  grid-template-columns: minmax(8rem, 13rem) minmax(6rem, 1fr) minmax(7rem, 9rem);
  min-height: 3.8rem;
}

@media (max-width: 30rem) {
  .rows li {
    grid-template-columns: 2.8rem minmax(0, 1fr) minmax(6rem, auto);

    .spark {
      grid-area: 2 / 2 / 3 / -1;
    }
  }

  .plain li {
    grid-template-columns: minmax(0, 1fr) minmax(6rem, auto);

    .spark {
      grid-area: 2 / 1 / 3 / -1;
    }
  }
}
</style>
