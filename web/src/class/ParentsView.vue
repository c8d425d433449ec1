<script setup lang="ts">
import { computed } from "vue";
import { readAdjustments, readRecord, useApiQuery, useFacts } from "@/api";
import { DialFace } from "@/dial";
import { useRouteNumber } from "@/route";
import { useClasses } from "@/school";
import NoClass from "./NoClass.vue";

/** A child's record for a talk with the parents: what they can read, what they are learning, what helps. No counts, no others. */
const child = useRouteNumber("child");
const facts = useFacts();
const classes = useClasses();
const { data: record, errorMessage } = useApiQuery(
  readRecord,
  () => classes.current && child.value && [classes.current.id, child.value],
);
const of = (...states: string[]) =>
  computed(() =>
    (record.value?.steps ?? [])
      .filter((step) => states.includes(step.state))
      .map((step) => facts.rung(step.id)),
  );
const can = of("secure");
const nearly = of("nearly");
/** What is next, where it was asked already: of what nobody asked nothing is said. */
const learning = computed(() => {
  const next = record.value?.next_step;
  const met = record.value?.steps.some((step) => step.id === next && step.state !== "not_yet");
  return next && met && !can.value.some((step) => step.id === next) ? facts.rung(next) : undefined;
});
const helps = computed(() => (record.value?.likely ?? []).map((id) => facts.misreading(id)));
const { data: adjusted } = useApiQuery(readAdjustments, () => classes.current && [classes.current.id], {
  select: (found) => found.children,
});
/** What the family speaks, where a teacher has set it. */
const language = computed(() => {
  const home = adjusted.value?.find((adjusted) => adjusted.child_id === child.value)?.set.home;
  return facts.catalogue?.adjustments.languages.find((language) => language.id === home);
});
const print = (): void => window.print();
</script>

<template>
  <div class="page parents">
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <NoClass v-else-if="!classes.current" what="Each child in a class has a record." />
    <template v-else-if="record">
      <div class="page-head">
        <h1>{{ record.child.name }} and the clock</h1>
        <div class="actions no-print">
          <BButton variant="outline-primary" :to="{ name: 'child', params: { child } }">Open record</BButton>
          <BButton variant="primary" @click="print">
            <i class="bi bi-printer" aria-hidden="true"></i>
            Print
          </BButton>
        </div>
      </div>
      <p v-if="!record.answers.length">No answers yet.</p>
      <template v-else>
        <section v-if="can.length" class="mb-4 break-avoid" aria-labelledby="can-head">
          <h2 id="can-head">{{ record.child.name }} can read</h2>
          <ul class="list-unstyled dials d-grid gap-3 text-center">
            <li v-for="rung in can" :key="rung.id">
              <DialFace :facts="facts.of(rung.example ?? '10:10')" />
              {{ rung.name }}
            </li>
          </ul>
        </section>
        <section v-if="learning || nearly.length" class="mb-4 break-avoid" aria-labelledby="learning-head">
          <h2 id="learning-head">{{ record.child.name }} is working on</h2>
          <ul class="list-unstyled dials d-grid gap-3 text-center">
            <li v-for="rung in nearly" :key="rung.id">
              <DialFace :facts="facts.of(rung.example ?? '10:10')" />
              {{ rung.name }}
            </li>
            <li v-if="learning && !nearly.some((step) => step.id === learning?.id)">
              <DialFace :facts="facts.of(learning.example ?? '10:10')" />
              {{ learning.name }}
            </li>
          </ul>
          <p v-if="learning?.words.length">Words to use: {{ learning.words.join(", ") }}.</p>
        </section>
        <section class="mb-4 break-avoid" aria-labelledby="helps-head">
          <h2 id="helps-head">What helps</h2>
          <p v-for="help in helps" :key="help.id">{{ help.home }}</p>
          <p>
            Keep a clock with hands where everyone can see it. Ask now and then: What time is it? How long
            until we leave? Mistakes are part of learning.
          </p>
        </section>
      </template>
      <section v-if="language" class="mb-4 break-avoid" :lang="language.id" aria-labelledby="home-head">
        <h2 id="home-head">{{ language.title }}</h2>
        <p>{{ language.intro }}</p>
        <ul class="list-unstyled dials d-grid gap-3 text-center">
          <li v-for="line in language.times" :key="line.time">
            <DialFace :facts="facts.of(line.time)" />
            <strong lang="en">{{ facts.of(line.time).usual }}</strong>
            <br />
            {{ line.words }}
          </li>
        </ul>
        <p v-if="language.half">{{ language.half }}</p>
        <p class="quiet fs-90" lang="en">Translated from English. A speaker has not checked it.</p>
      </section>
    </template>
    <p v-else class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>

<style scoped lang="scss">
.parents {
  max-width: 60rem;
}

.dials {
  grid-template-columns: repeat(auto-fill, minmax(8rem, 1fr));
}

p {
  max-width: 42rem;
  font-size: 1.1rem;
}
</style>
