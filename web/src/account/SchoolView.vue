<script setup lang="ts">
import { computed, ref } from "vue";
import { readSchoolReport, useApiQuery, type GroupCount } from "@/api";
import { NothingYet } from "@/shared";
import { counted, dayWords } from "@/words";

/** For the head of a school: how many meet a standard, class by class. No names, no teachers, no small groups. */
const standard = ref("");
const { data: report, errorMessage } = useApiQuery(
  readSchoolReport,
  () => [{ standard: standard.value || undefined }],
  { meanwhile: true },
);
const standards = computed(
  () => report.value?.standards.map((standard) => ({ value: standard, text: standard })) ?? [],
);
const shown = computed({
  get: () => standard.value || (report.value?.standard ?? ""),
  set: (chosen) => (standard.value = chosen),
});
const fewer = computed(() => `fewer than ${report.value?.least ?? ""}`);

function words(count: GroupCount): string {
  if (!count) return "no answers yet";
  switch (count.level) {
    case "none":
      return `none of ${count.of}`;
    case "few":
      return `${fewer.value} of ${count.of}`;
    case "some":
      return `${count.met} of ${count.of}`;
    case "nearly_all":
      return `nearly all of ${count.of}`;
    case "all":
      return `all ${count.of}`;
    default:
      return "too few children";
  }
}

/** Only what is told as a number is drawn. */
function share(count: GroupCount): number | null {
  if (!count || count.of === null) return null;
  if (count.level === "some") return (100 * (count.met ?? 0)) / count.of;
  return count.level === "all" ? 100 : count.level === "none" ? 0 : null;
}

/** In how many words the school is told of: the total is rounded, so only "some" has a number. */
function who(count: NonNullable<GroupCount>, rounded: boolean): string {
  switch (count.level) {
    case "none":
      return "No child meets";
    case "few":
      return `Fewer than ${report.value?.least} children meet`;
    case "some":
      return `${rounded ? "About " : ""}${count.met} of ${count.of} children meet`;
    case "nearly_all":
      return "Nearly all children meet";
    default:
      return "All children meet";
  }
}

const headline = computed(() => {
  const found = report.value;
  const alone = found?.classes.length === 1;
  const last = alone ? found?.classes[0]?.counts.at(-1) : found?.total.at(-1);
  if (!last || last.level === "too_few") return "Too few answers yet to say.";
  return `${who(last, !alone)} ${found?.standard}.`;
});
/** "none" for nobody, else as in the table. */
const several = (count: GroupCount): string =>
  count?.level === "none" ? "no child" : count?.level === "too_few" ? fewer.value : words(count);
const nobody = computed(() => {
  const found = report.value?.support;
  return found?.below?.level === "none" && found.below_now?.level === "none";
});
const made = computed(() => {
  const found = report.value?.support.made;
  if (!found) return "";
  const parts = [
    found.lessons && counted(found.lessons, "lesson"),
    found.sheets && counted(found.sheets, "sheet"),
    found.sessions && counted(found.sessions, "device session"),
  ].filter(Boolean);
  return parts.length ? `(${parts.join(", ")})` : "";
});
const print = (): void => window.print();
</script>

<template>
  <div class="page school">
    <div class="page-head">
      <h1>The school</h1>
      <div class="actions no-print">
        <BFormSelect
          v-if="report"
          v-model="shown"
          :options="standards"
          class="w-auto"
          aria-label="Which standard"
        />
        <BButton variant="outline-primary" :to="{ name: 'school-list' }">List of all classes</BButton>
        <BButton variant="outline-primary" @click="print">
          <i class="bi bi-printer" aria-hidden="true"></i>
          Print
        </BButton>
      </div>
    </div>
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <p v-else-if="!report" class="quiet" aria-live="polite">
      Counting. With many classes this takes some seconds…
    </p>
    <NothingYet v-else-if="!report.classes.length" :to="{ name: 'school-list' }" does="Add a list">
      No class of the school has children yet.
    </NothingYet>
    <template v-else>
      <p class="headline">{{ headline }}</p>
      <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Classes">
        <BTableSimple class="classes">
          <BThead>
            <BTr>
              <BTh>Class</BTh>
              <BTh v-for="(day, at) in report.days" :key="day">
                {{ at === report.days.length - 1 ? "Today" : dayWords(day) }}
              </BTh>
            </BTr>
          </BThead>
          <BTbody>
            <BTr v-for="schoolClass in report.classes" :key="schoolClass.id">
              <BTh>
                {{ schoolClass.name }}
                <span v-if="schoolClass.school" class="quiet fw-normal">{{ schoolClass.school }}</span>
              </BTh>
              <BTd
                v-for="(count, at) in schoolClass.counts"
                :key="at"
                :class="{ quiet: !count || count.level === 'too_few' }"
              >
                {{ words(count) }}
                <span v-if="share(count) !== null" class="bar" aria-hidden="true">
                  <span :style="{ width: `${share(count)}%` }"></span>
                </span>
              </BTd>
            </BTr>
            <BTr v-if="report.classes.length > 1" class="total">
              <BTh>All classes, to the nearest {{ report.rounded_to }}</BTh>
              <BTd v-for="(count, at) in report.total" :key="at">{{ words(count) }}</BTd>
            </BTr>
          </BTbody>
        </BTableSimple>
      </div>
      <section class="support" aria-labelledby="support-head">
        <h2 id="support-head">Children far below their class</h2>
        <p class="quiet">{{ report.steps_below }} or more steps behind what most of their class know.</p>
        <p v-if="nobody" class="fs-120 fw-bold">No child on {{ dayWords(report.support.since) }} or today.</p>
        <dl v-else class="d-grid cols-auto-1 row-gap-2 column-gap-4">
          <dt>On {{ dayWords(report.support.since) }}</dt>
          <dd>{{ several(report.support.below) }}</dd>
          <template v-if="report.support.below?.level !== 'none'">
            <dt>Helped since, alone or in a group</dt>
            <dd>
              {{ several(report.support.helped) }}
              <span class="quiet fw-normal">{{ made }}</span>
            </dd>
            <dt>No longer far below</dt>
            <dd>{{ several(report.support.closer) }}</dd>
          </template>
          <dt>Today</dt>
          <dd>{{ several(report.support.below_now) }}</dd>
        </dl>
      </section>
      <p class="quiet fs-90">
        Groups of {{ fewer }} are not counted, so that no child can be recognised. A child meets a standard
        when every step of it is secure.
      </p>
    </template>
  </div>
</template>

<style scoped lang="scss">
.headline {
  max-width: 40rem;
  margin: 0 0 1.5rem;
  font-size: 1.9rem;
  font-weight: 700;
  line-height: 1.25;
}

.classes {
  background: var(--v-card);

  th,
  td {
    padding: 0.6rem 0.9rem;
    white-space: nowrap;
    vertical-align: middle;
  }

  .quiet.fw-normal {
    display: block;
  }
}

.total > * {
  border-top: 2px solid var(--v-ink);
}

.bar {
  display: block;
  width: 8rem;
  height: 0.4rem;
  margin-top: 0.25rem;
  border-radius: 0.2rem;
  background: var(--v-shade);

  span {
    display: block;
    height: 100%;
    border-radius: inherit;
    background: var(--v-hour);
  }
}

.support {
  margin: 2rem 0 1.5rem;

  h2 {
    margin-bottom: 0.25rem;
  }

  dl {
    max-width: 40rem;
  }

  dt {
    font-weight: 400;
  }

  dd {
    margin: 0;
    font-weight: 700;
  }
}
</style>
