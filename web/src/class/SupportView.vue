<script setup lang="ts">
import { computed } from "vue";
import {
  beginSupport,
  readSupport,
  removeSupport,
  useApiQuery,
  useApiMutation,
  useFacts,
  type KnownThen,
  type Support,
} from "@/api";
import { DialFace, StepDial } from "@/dial";
import { SureButton } from "@/ui";
import { useRouteNumber } from "@/route";
import { useClasses } from "@/school";
import { stateOf, waysInWords } from "@/shared";
import { paperDay } from "@/words";
import NoClass from "./NoClass.vue";

/** Three weeks of help for a child, on one page: what to do each week, and what the child knew before and after. */
const child = useRouteNumber("child");
const facts = useFacts();
const classes = useClasses();
const { data, errorMessage } = useApiQuery(
  readSupport,
  () => classes.current && child.value && [classes.current.id, child.value],
);
const { busy, errorMessage: refused, run } = useApiMutation();
const change = (does: (classId: number, childId: number) => Promise<Support>): Promise<boolean> =>
  run(async () => {
    if (classes.current && child.value) await does(classes.current.id, child.value);
  });
const keeps = computed(() => classes.current?.right !== "teaching");

type Week = Support["weeks"][number];
const help = (week: Week): string => (week.misreading ? facts.misreading(week.misreading).move : "");
const name = (week: Week): string => (week.misreading ? facts.misreading(week.misreading).name : "");

interface Column {
  head: string;
  known: KnownThen;
}
const columns = computed<Column[]>(() => {
  if (!data.value) return [];
  const { before, after, begun } = data.value;
  const first = { head: begun ? `Before, ${paperDay(before.day)}` : "Now", known: before };
  return after ? [first, { head: `Since then, ${paperDay(after.day)}`, known: after }] : [first];
});
const right = (known: KnownThen): string =>
  known.answered ? `${known.right} of ${known.answered} right` : "no answers";
const likely = (known: KnownThen): string =>
  known.likely.map((id) => facts.misreading(id).name).join(", ") || "none";
const print = (): void => window.print();
</script>

<template>
  <div class="page support">
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <NoClass v-else-if="!classes.current" what="Each child in a class has a record." />
    <template v-else-if="data">
      <div class="page-head">
        <h1>Three weeks of help for {{ data.child.name }}</h1>
        <span class="quiet">
          {{ data.begun ? `${paperDay(data.began_on!)} to ${paperDay(data.ends_on!)}` : "not started" }}
        </span>
        <div class="actions no-print">
          <BButton variant="outline-primary" :to="{ name: 'child', params: { child } }">Open record</BButton>
          <SureButton
            v-if="data.begun && keeps"
            variant="outline-primary"
            title="Discard this plan?"
            does="Discard"
            :busy="busy"
            :act="() => change(removeSupport)"
          >
            Discard…
            <template #says>The plan goes. All answers stay.</template>
          </SureButton>
          <BButton
            v-if="!data.begun && keeps && data.weeks.length"
            variant="primary"
            :disabled="busy"
            @click="change(beginSupport)"
          >
            Start today
          </BButton>
          <BButton :variant="data.begun ? 'primary' : 'outline-primary'" @click="print">
            <i class="bi bi-printer" aria-hidden="true"></i>
            Print
          </BButton>
        </div>
      </div>
      <p v-if="refused" role="alert" class="field-error">{{ refused }}</p>
      <p v-if="!data.weeks.length">{{ data.child.name }} has shown every step.</p>
      <template v-else>
        <p class="lead">
          <template v-if="data.far_below">
            {{ data.steps_below }} or more steps behind what most of the class know.
          </template>
          {{ data.minutes }} minutes, {{ data.times_a_week }} times a week, alone or in a small group.
        </p>
        <ol class="weeks list-unstyled d-grid gap-3 p-0">
          <li
            v-for="(week, at) in data.weeks"
            :key="at"
            class="border rounded-10 on-card px-12 py-11 break-avoid"
          >
            <div class="d-flex align-items-center gap-3 mb-2">
              <StepDial class="about" :step="week.step" />
              <h2 class="m-0 fs-125 lh-sm">
                <span class="quiet d-block fs-95 fw-normal">Week {{ at + 1 }}</span>
                {{ facts.titleOf(week) }}
              </h2>
            </div>
            <p v-if="week.misreading" class="mb-2">
              <strong>Likely: {{ name(week) }}.</strong>
              {{ help(week) }}
            </p>
            <p v-else class="mb-2">
              Read each clock aloud together, then let {{ data.child.name }} read it alone.
            </p>
            <ul class="times list-unstyled d-grid gap-2 p-0 m-0 text-center">
              <li v-for="time in week.times" :key="time">
                <DialFace :facts="facts.of(time)" detail="small" />
                {{ facts.of(time).digital }}
              </li>
            </ul>
          </li>
        </ol>
        <section aria-labelledby="known-head" class="break-avoid">
          <h2 id="known-head" class="eyebrow">{{ data.after ? "Before and since" : "What is known" }}</h2>
          <BTableSimple class="known">
            <BThead>
              <BTr>
                <BTh>Step</BTh>
                <BTh v-for="column in columns" :key="column.head">{{ column.head }}</BTh>
              </BTr>
            </BThead>
            <BTbody>
              <BTr v-for="(step, at) in data.before.steps" :key="step.step">
                <BTh>{{ facts.rung(step.step).name }}</BTh>
                <BTd v-for="column in columns" :key="column.head">
                  {{ stateOf(column.known.steps[at]!.state).word }}
                  <span class="quiet d-block">{{ waysInWords(column.known.steps[at]!.ways) }}</span>
                </BTd>
              </BTr>
              <BTr>
                <BTh>Answers on these steps</BTh>
                <BTd v-for="column in columns" :key="column.head">{{ right(column.known) }}</BTd>
              </BTr>
              <BTr>
                <BTh>Likely mistakes</BTh>
                <BTd v-for="column in columns" :key="column.head">{{ likely(column.known) }}</BTd>
              </BTr>
            </BTbody>
          </BTableSimple>
        </section>
        <p v-if="data.begun && !data.after" class="quiet">What changes is shown here from tomorrow on.</p>
      </template>
    </template>
    <p v-else class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>

<style scoped lang="scss">
.weeks {
  grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
}

.about {
  width: 4.5rem;
}

.times {
  grid-template-columns: repeat(5, minmax(0, 1fr));
}

.known {
  background: var(--v-card);

  th,
  td {
    padding: 0.5rem 0.9rem;
    vertical-align: top;
  }
}

@media print {
  .weeks {
    grid-template-columns: 1fr;

    > li {
      display: grid;
      grid-template-columns: 1fr 18rem;
      column-gap: 1rem;
      align-items: center;
    }
  }

  .times {
    grid-area: 1 / 2 / 3 / 3;
  }
}
</style>
