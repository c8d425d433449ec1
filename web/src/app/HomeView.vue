<script setup lang="ts">
import { computed } from "vue";
import { readNews, useFacts, useApiQuery } from "@/api";
import { CheckCard } from "@/check";
import { DialFace } from "@/dial";
import { HomeLadder, WhereAreThey } from "@/plan";
import { counted, moment } from "@/words";
import { NO_ANSWERS, seem } from "@/shared";
import { useClasses } from "@/school";
import FirstDays from "./FirstDays.vue";

/** Where a teaching day begins: what the last check says, and what to do next. */
const facts = useFacts();
const classes = useClasses();
const { data, errorMessage } = useApiQuery(readNews, () => classes.current && [classes.current.id], {
  ahead: true,
});
/** The last check; none, where there is no other than what children practise. */
const checks = computed(() => data.value && (data.value.last ? [data.value.last] : []));
const last = computed(() => data.value?.answered);
const findings = computed(() => data.value?.findings);
const away = computed(
  () => findings.value?.children.filter((child) => child.slip === "none").map((child) => child.name) ?? [],
);
const empty = computed(
  () => findings.value?.children.filter((child) => child.slip === "empty").map((child) => child.name) ?? [],
);
const news = computed(() =>
  (findings.value?.shared ?? []).slice(0, 2).map((mistake) => ({
    id: mistake.misreading,
    times: mistake.times,
    text: seem(mistake.child_ids.length, facts.misreading(mistake.misreading).does),
  })),
);
/** What is missing, in one line. */
const open = computed(() => [
  ...(away.value.length ? [`${away.value.join(", ")}: ${NO_ANSWERS.none}`] : []),
  ...(empty.value.length ? [`${empty.value.join(", ")}: ${NO_ANSWERS.empty}`] : []),
  ...(last.value?.unreadable ? [`${counted(last.value.unreadable, "answer")} unreadable`] : []),
]);
/** Three clocks for what most children share. */
const clocks = computed(() => {
  const first = news.value[0];
  return first && { times: first.times.join(","), lens: facts.misreading(first.id).lens };
});
</script>

<template>
  <div class="page">
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>

    <FirstDays v-if="classes.current ? checks && !classes.current.made_up : true" :checks="checks ?? []" />
    <BCard v-if="!classes.current || (checks && !last)" class="start">
      <div class="start-dial"><DialFace :facts="facts.of('10:10')" /></div>
      <div>
        <h1>{{ classes.current ? `${classes.current.name} is ready` : "Start with a class" }}</h1>
        <p v-if="classes.current">
          Show a clock now, or make a quick check. Five clocks show you what children get wrong, and why.
        </p>
        <p v-else>First names or aliases are enough. You can show a clock even without a class.</p>
        <div class="d-flex flex-wrap gap-2">
          <BButton variant="primary" :to="{ name: classes.current ? 'new-check' : 'new-class' }">
            {{ classes.current ? "Make check" : "Add class" }}
          </BButton>
          <BButton variant="outline-primary" :to="{ name: 'show' }">Show clock</BButton>
        </div>
      </div>
    </BCard>

    <HomeLadder v-else-if="findings && last">
      <section class="last-check align-self-center" aria-labelledby="last-check-head">
        <h2 id="last-check-head" class="eyebrow">Last check, {{ moment(last.made_at) }}</h2>
        <ul class="news list-none p-0 fs-110">
          <li v-for="line in news" :key="line.id" class="py-06 border-bottom">{{ line.text }}</li>
          <li v-if="!news.length" class="py-06 border-bottom">No mistakes with a pattern this time.</li>
          <li v-if="open.length" class="py-06 border-bottom">{{ open.join("; ") }}</li>
        </ul>
        <p class="d-flex flex-wrap gap-3 m-0">
          <RouterLink :to="{ name: 'class', params: { id: last.id } }">See results</RouterLink>
          <RouterLink v-if="clocks" :to="{ name: 'show', query: clocks }">Show 3 clocks that help</RouterLink>
        </p>
      </section>
    </HomeLadder>
    <p v-else-if="!errorMessage" class="quiet" aria-live="polite">Loading…</p>
    <WhereAreThey v-if="classes.current" />

    <section v-if="checks?.length" class="checks d-grid gap-075 mt-20">
      <h2 class="eyebrow">The last check</h2>
      <CheckCard v-for="check in checks" :key="check.id" :check="check" heading="h3" />
      <p class="d-flex flex-wrap gap-3 m-0">
        <RouterLink :to="{ name: 'new-check' }">New check</RouterLink>
        <RouterLink :to="{ name: 'checks' }">All checks</RouterLink>
      </p>
    </section>
    <p v-if="classes.current?.made_up" class="quiet made-up mt-4 mb-0 fs-90">
      {{ classes.current.school }} and everyone in it is made up.
    </p>
  </div>
</template>

<style scoped lang="scss">
.last-check {
  padding-left: 2.2rem;
  border-left: 1px solid var(--v-line);
}

@media (max-width: 60rem) {
  .last-check {
    padding-left: 0;
    border-left: 0;
  }
}

.start :deep(.card-body) {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 1rem 2.5rem;
  padding: 2rem;
}

.start-dial {
  width: 15rem;
  height: 15rem;
}
</style>
