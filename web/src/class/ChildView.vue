<script setup lang="ts">
import { computed, ref } from "vue";
import { readRecord, useFacts, useApiQuery } from "@/api";
import { DialFace, StepDial } from "@/dial";
import { useRouteNumber } from "@/route";
import { AnswerShown, SparkLine, VerdictMark, VERDICTS, shownAlone, stateOf, WaysMark } from "@/shared";
import { useClasses } from "@/school";
import ChildAdjustments from "./ChildAdjustments.vue";
import ChildWithoutAnswers from "./ChildWithoutAnswers.vue";
import NoClass from "./NoClass.vue";

import { counted, isoDay, moment, monthWords } from "@/words";

/** A child's record: what lies behind the mistakes, with the very dials, what to do next, and every answer. */
const child = useRouteNumber("child");
const facts = useFacts();
const classes = useClasses();
const { data: record, errorMessage } = useApiQuery(
  readRecord,
  () => classes.current && child.value && [classes.current.id, child.value],
);
/** What a time that is read aloud would be for, by what it looks like. */
const ALOUD = {
  secure: "to be sure of it",
  unsure: "and hear where it goes wrong",
  misreading: "and hear where it goes wrong",
} as const;
const aloud = computed(() => ALOUD[record.value?.leans ?? "misreading"]);
/** The most useful thing that is true of the child now. */
const headline = computed(() => {
  const found = record.value;
  if (!found) return "";
  const names = found.likely.map((id) => facts.misreading(id).name).join(" and ");
  const step = found.headline.step ? facts.rung(found.headline.step).name.toLowerCase() : "";
  return {
    behind: `Likely: ${names}.`,
    no_pattern: "Mistakes, but no pattern yet.",
    secure: `Secure on ${step}.`,
    nearly: `Nearly secure on ${step}.`,
    few: "Too few answers to say.",
    none: "",
  }[found.headline.kind];
});
const likely = computed(() => record.value?.evidence.filter((piece) => piece.likely) ?? []);
const possible = computed(() => record.value?.evidence.filter((piece) => !piece.likely) ?? []);
const advice = computed(() => {
  const best = record.value?.next_best;
  if (!best) return "";
  const time = facts.of(best.time).digital;
  if (record.value?.verdict === "likely") return `After work on it, ask ${time} to see if it has gone.`;
  if (record.value?.verdict === "possible") return `Ask ${time} next: it will show most.`;
  return `Let them read ${time} aloud, ${aloud.value}.`;
});
/** What is next for the child, and why. */
const next = computed(() => {
  const step = record.value?.next_step;
  if (!step) return "Has shown every step.";
  const name = facts.rung(step).name;
  if (record.value?.stumbles.includes(step)) return `${name} (more than 1 in 5 wrong).`;
  const state = record.value?.steps.find((known) => known.id === step)?.state;
  return state === "not_yet" ? `${name} (not taught yet).` : `${name} (${stateOf(state).word}).`;
});
/** "secure", "nearly, review due". */
const stateWords = (step: { state: string; review_due: boolean }): string =>
  `${stateOf(step.state).word}${step.review_due ? ", review due" : ""}`;
const met = computed(() => record.value?.steps.filter((step) => step.state !== "not_yet") ?? []);
/** Who left gets no plan. */
const here = computed(() => classes.current?.children.some((pupil) => pupil.id === child.value));
const answerOf = (id: number) => record.value?.answers.find((answer) => answer.id === id);
/** What the child reads now, and what is on the way. */
const can = computed(() => met.value.filter((step) => step.state === "secure"));
const onTheWay = computed(() => met.value.filter((step) => step.state !== "secure"));
/** The share of each check that was right, in hundredths. */
const shares = computed(() =>
  (record.value?.checks ?? [])
    .filter((check) => check.answered > 0)
    .map((check) => Math.round((100 * check.right) / check.answered)),
);
const lately = computed(() => {
  const last = (record.value?.checks ?? []).filter((check) => check.answered > 0).slice(-3);
  const [right, answered] = [sum(last.map((check) => check.right)), sum(last.map((check) => check.answered))];
  return `${right} of ${answered} right in the last ${counted(last.length, "check")}.`;
});
const sum = (numbers: number[]): number => numbers.reduce((all, count) => all + count, 0);
/** Dials behind a misreading that are shown at once; the others are among the answers. */
const SHOWN = 6;
/** The answers of one month, or those behind one misreading. */
const month = ref("");
const misreading = ref("");
const months = computed(() => {
  const found = (record.value?.answers ?? []).map((answer) =>
    isoDay(new Date(answer.answered_at)).slice(0, 7),
  );
  return [
    { value: "", text: "All months" },
    ...[...new Set(found)].map((month) => ({ value: month, text: monthWords(month) })),
  ];
});
const misreadings = computed(() => {
  const found = (record.value?.answers ?? []).flatMap((answer) => answer.misreadings);
  return [
    { value: "", text: "All answers" },
    ...[...new Set(found)].map((id) => ({ value: id, text: facts.misreading(id).name })),
  ];
});
const BLANK = {
  to: 'clocks with "to"',
  words: "clocks to write in words",
  digits: "clocks to write in digits",
  hands: "hands to draw",
} as const;
/** "Leaves clocks with "to" blank: 6 of 7." */
const blank = computed(() => {
  const found = record.value?.blank;
  return found ? `Leaves ${BLANK[found.what]} blank: ${found.blank} of ${found.asked}.` : "";
});
/** Where paper and devices say something else of the child. */
const places = computed(() => {
  const found = record.value?.places;
  if (!found) return "";
  const { paper, device } = found;
  return `On paper ${paper.right} of ${paper.answers} right, on devices ${device.right} of ${device.answers}.`;
});
const shown = computed(() =>
  (record.value?.answers ?? []).filter(
    (answer) =>
      isoDay(new Date(answer.answered_at)).startsWith(month.value) &&
      (!misreading.value || answer.misreadings.includes(misreading.value)),
  ),
);
</script>

<template>
  <div class="page">
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <NoClass v-else-if="!classes.current" what="Each child in a class has a record." />
    <template v-else-if="record">
      <div class="page-head">
        <h1>{{ record.child.name }}</h1>
        <span class="verdict fs-120">{{ headline }}</span>
        <div class="actions">
          <BButton variant="outline-primary" :to="{ name: 'parents', params: { child } }">
            For the parents
          </BButton>
          <BButton v-if="here" variant="outline-primary" :to="{ name: 'support', params: { child } }">
            Three weeks of help
          </BButton>
          <BButton variant="outline-primary" :to="{ name: 'children' }">The class</BButton>
        </div>
      </div>
      <div v-if="!record.answers.length" class="d-grid gap-3 measure">
        <ChildWithoutAnswers :class-id="classes.current.id" :child="record.child" />
        <ChildAdjustments :class-id="classes.current.id" :child="record.child" />
      </div>
      <div v-else class="abreast d-grid gap-4">
        <section
          v-if="met.length"
          class="col-all d-grid gap-09 align-content-start"
          aria-labelledby="can-head"
        >
          <h2 id="can-head" class="eyebrow">Steps so far</h2>
          <ul class="can list-unstyled d-flex flex-wrap p-0 m-0 gap-11">
            <li
              v-for="step in can"
              :key="step.id"
              class="text-center lh-120 fs-95"
              :class="{ due: step.review_due }"
            >
              <StepDial :step="step.id" />
              {{ facts.rung(step.id).name }}
              <span class="quiet d-block">{{ stateWords(step) }}</span>
              <WaysMark :ways="step.ways" />
            </li>
            <li v-for="step in onTheWay" :key="step.id" class="coming text-center lh-120 fs-95">
              <StepDial :step="step.id" />
              {{ facts.rung(step.id).name }}
              <span class="quiet d-block">{{ stateWords(step) }}</span>
              <WaysMark :ways="step.ways" />
            </li>
          </ul>
        </section>
        <section class="d-grid gap-09 align-content-start" aria-labelledby="behind-head">
          <h2 id="behind-head" class="eyebrow">Likely causes of mistakes</h2>
          <p v-if="!likely.length">
            {{ possible.length ? "None is likely yet." : "No known kind of mistake." }}
          </p>
          <BCard v-for="piece in likely" :key="piece.misreading">
            <h3 class="m-0 fs-130">{{ facts.misreading(piece.misreading).name }}</h3>
            <p class="hits mb-2">
              <strong>{{ piece.hits }} of {{ counted(piece.chances, "time") }} it could show</strong>
              <span v-if="piece.own_hits < piece.hits" class="quiet">({{ shownAlone(piece.own_hits) }})</span>
            </p>
            <ul class="dials d-flex flex-wrap gap-3 list-unstyled p-0 mb-07">
              <li v-for="id in piece.behind.slice(-SHOWN)" :key="id" class="text-center fs-90 lh-120">
                <template v-if="answerOf(id)">
                  <DialFace class="behind" :facts="facts.of(answerOf(id)!.time)" />
                  <AnswerShown :answer="answerOf(id)!.read_as || answerOf(id)!.answer" />
                </template>
              </li>
            </ul>
            <p class="move mb-07">{{ facts.misreading(piece.misreading).move }}</p>
            <BButton
              variant="outline-primary"
              :to="{
                name: 'show',
                query: {
                  times: piece.times.join(','),
                  lens: facts.misreading(piece.misreading).lens,
                },
              }"
            >
              Show 3 clocks for this
            </BButton>
          </BCard>
          <template v-if="possible.length">
            <h3 class="eyebrow m-0">Seen, but too few times to say</h3>
            <ul class="possible list-unstyled quiet m-0 p-0 fs-95">
              <li v-for="piece in possible" :key="piece.misreading">
                {{ facts.misreading(piece.misreading).name }}: {{ piece.hits }} of
                {{ counted(piece.chances, "time") }}
              </li>
            </ul>
          </template>
        </section>
        <aside class="d-grid gap-09 align-content-start">
          <BCard v-if="record.next_best">
            <div class="settle d-grid gap-3 align-items-center">
              <DialFace class="settle-dial" :facts="facts.of(record.next_best.time)" />
              <div>
                <p class="eyebrow">
                  {{ record.verdict === "likely" ? "Has it gone?" : "To be sure" }}
                </p>
                <p class="mb-0">{{ advice }}</p>
              </div>
            </div>
          </BCard>
          <BCard>
            <h2 class="eyebrow">Next</h2>
            <p class="mb-0">{{ next }}</p>
          </BCard>
          <BCard v-if="shares.length > 1 || blank || places">
            <h2 class="eyebrow">Lately</h2>
            <p v-if="blank" class="mb-2">{{ blank }}</p>
            <p v-if="places" class="mb-2">{{ places }}</p>
            <p v-if="shares.length > 1" class="mb-2">{{ lately }}</p>
            <SparkLine v-if="shares.length > 1" :values="shares" :most="100" />
          </BCard>
          <ChildAdjustments :class-id="classes.current.id" :child="record.child" />
        </aside>
        <section class="col-all d-grid gap-09 align-content-start" aria-labelledby="all-head">
          <div class="d-flex flex-wrap align-items-center gap-3 mb-2">
            <h2 id="all-head" class="eyebrow m-0">All answers, newest first</h2>
            <p v-if="record.unreadable.length" class="quiet m-0" role="status">
              Not counted: {{ counted(record.unreadable.length, "unreadable answer") }}.
              {{ record.unreadable[0]?.why }}
            </p>
            <BFormSelect
              v-if="months.length > 2"
              v-model="month"
              :options="months"
              size="sm"
              class="w-auto"
              aria-label="Which month"
            />
            <BFormSelect
              v-if="misreadings.length > 1"
              v-model="misreading"
              :options="misreadings"
              size="sm"
              class="w-auto"
              aria-label="Which mistake"
            />
          </div>
          <p v-if="!shown.length" class="quiet">No answers found.</p>
          <div
            class="position-relative overflow-x-auto"
            tabindex="0"
            role="region"
            aria-labelledby="all-head"
          >
            <BTableSimple>
              <BTbody>
                <BTr v-for="answer in shown" :key="answer.id">
                  <BTd><DialFace class="row-dial" :facts="facts.of(answer.time)" detail="small" /></BTd>
                  <BTd>{{ answer.right }}</BTd>
                  <BTd>
                    <strong><AnswerShown :answer="answer.answer" /></strong>
                  </BTd>
                  <BTd>
                    <VerdictMark :verdict="answer.verdict as keyof typeof VERDICTS" quiet />
                    {{ VERDICTS[answer.verdict as keyof typeof VERDICTS].word }}
                  </BTd>
                  <BTd class="quiet">
                    {{ answer.misreadings.map((id) => facts.misreading(id).name).join(", or ") }}
                  </BTd>
                  <BTd class="quiet">{{ moment(answer.answered_at) }}</BTd>
                </BTr>
              </BTbody>
            </BTableSimple>
          </div>
        </section>
      </div>
    </template>
    <p v-else class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>

<style scoped lang="scss">
.dials {
  li {
    width: 7.5rem;
  }
}

.settle {
  grid-template-columns: 5.5rem 1fr;
}

.can {
  li {
    width: 6.2rem;
  }

  .quiet {
    font-size: 0.82rem;
  }

  .coming .dial {
    opacity: 0.45;
  }
}

table {
  width: 100%;
  background: var(--v-card);
  border-collapse: collapse;
}

td {
  padding: 0.3rem 0.7rem;
  border-bottom: 1px solid var(--v-line);
}

.row-dial {
  width: 2.4rem;
}
</style>
