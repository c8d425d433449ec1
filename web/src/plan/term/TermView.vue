<script setup lang="ts">
import { NothingYet } from "@/shared";
import { computed, nextTick, ref, watch } from "vue";
import { useRoute } from "vue-router";
import {
  changeTerm,
  revertTerm,
  awaitForecast,
  readLadder,
  readTerm,
  together,
  removeTerm,
  useApiQuery,
  useApiMutation,
  useFacts,
  type Term,
  type TermChange,
} from "@/api";
import { SureButton, useUndoKey } from "@/ui";
import { useClasses } from "@/school";
import { dayWords, mondayOf } from "@/words";
import CalendarDialog from "./CalendarDialog.vue";
import TermForecast from "./TermForecast.vue";
import TermForm from "./TermForm.vue";
import TermGrid from "./TermGrid.vue";
import TermSuggestions from "./TermSuggestions.vue";
import TermLessonCard from "./TermLessonCard.vue";
import { useOpenLesson } from "./useOpenLesson";
import { changeWords } from "./words";

/** The term of a class: all its lessons, how likely they reach the aim, and what can be changed. */
const route = useRoute();
const facts = useFacts();
const classes = useClasses();
const classId = computed(() => classes.current?.id ?? 0);
const ofClass = (): [number] | null => classes.current && [classes.current.id];
const { data: read, errorMessage } = useApiQuery(readTerm, ofClass, { fresh: true });
const { data: ladder } = useApiQuery(readLadder, ofClass);
const term = ref<Term | null>(null);
watch(read, (found) => (term.value = found), { immediate: true });
const plan = computed(() => term.value?.plan ?? null);
/** Asked anew with each plan. */
const forecastOfPlan = together("forecast", async (of: number, plan: number) => ({
  plan,
  ...(await awaitForecast(of)),
}));
const { data: forecast, errorMessage: unforeseen } = useApiQuery(
  forecastOfPlan,
  () => plan.value && [classId.value, plan.value.id],
  { meanwhile: true },
);

const setting = ref(false);
const selected = ref("");
const lesson = computed(() => plan.value?.lessons.find((lesson) => lesson.day === selected.value));
/** The lesson that was asked for, or today's, or the next one. */
watch(plan, (now) => {
  if (!now || now.lessons.some((lesson) => lesson.day === selected.value)) return;
  const asked = now.lessons.find((lesson) => lesson.day === route.query.day);
  selected.value = (asked ?? now.lessons.find((lesson) => !lesson.over) ?? now.lessons.at(-1))?.day ?? "";
});
/** The first lesson that is still to come this week. */
const thisWeek = computed(() =>
  plan.value?.lessons.find(
    (lesson) =>
      !lesson.over && lesson.step && mondayOf(lesson.day) === mondayOf(plan.value?.today ?? lesson.day),
  ),
);
const left = computed(() => plan.value?.lessons.filter((lesson) => !lesson.over && lesson.step).length ?? 0);
const { busy, errorMessage: refused, run } = useApiMutation();

/** Whether the plan that is shown was put back just now. */
const undone = ref(false);
watch(term, () => (undone.value = false));

function set(now: Term): void {
  term.value = now;
  setting.value = false;
}

const change = (what: TermChange): Promise<boolean> =>
  run(async () => {
    term.value = await changeTerm(classId.value, what);
    if (what.to) selected.value = what.to;
  });
const back = (): Promise<boolean> =>
  run(async () => {
    term.value = await revertTerm(classId.value, {});
    await nextTick();
    undone.value = true;
  });
useUndoKey(() => plan.value?.can_put_back && !busy.value && !setting.value && back());
const remove = (): Promise<boolean> => run(async () => (term.value = await removeTerm(classId.value)));

const openLesson = useOpenLesson();
const open = (): Promise<boolean> =>
  run(async () => {
    if (lesson.value) await openLesson(classId.value, lesson.value);
  });

/** On paper stands the whole term. */
const all = ref(false);
async function print(): Promise<void> {
  const before = all.value;
  all.value = true;
  await nextTick();
  window.print();
  all.value = before;
}

const file = (ending: string): string => `/api/classes/${classId.value}/term.${ending}`;
</script>

<template>
  <div class="page term">
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <NothingYet v-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      You need a class to plan a term.
    </NothingYet>
    <p v-else-if="!term && !errorMessage" class="quiet" aria-live="polite">Loading…</p>
    <template v-else-if="term">
      <div class="head d-flex flex-wrap justify-content-between align-items-baseline gap-2">
        <h1>The term of {{ classes.current.name }}</h1>
        <div v-if="plan && !setting" class="tools d-flex flex-wrap gap-2">
          <BButton
            v-if="thisWeek"
            variant="outline-primary"
            size="sm"
            :disabled="busy"
            @click="change({ kind: 'skip_week', day: thisWeek.day })"
          >
            No lessons this week
          </BButton>
          <BButton variant="outline-primary" size="sm" @click="setting = true">Days and goal</BButton>
          <BButton variant="outline-primary" size="sm" @click="print">Print</BButton>
          <CalendarDialog :class-id="classId" :file="file('ics')" variant="outline-primary" size="sm">
            Calendar
          </CalendarDialog>
          <BButton variant="outline-primary" size="sm" :href="file('csv')" download>Table</BButton>
        </div>
      </div>
      <p v-if="!plan" class="lead">
        Enter your term dates and goal. Every lesson is planned, and you see how likely the class is to get
        there.
      </p>
      <BCard v-if="!plan || setting">
        <TermForm
          :class-id="classId"
          :term="term.term"
          :standards="facts.ofCountry(term.standards)"
          @set="set"
          @close="setting = false"
        />
        <SureButton
          v-if="plan"
          class="mt-3"
          variant="link"
          size="sm"
          title="Delete this term?"
          does="Delete term"
          :act="remove"
          :busy="busy"
        >
          Delete term
          <template #says>This deletes the plan. Lessons you have taught, and all answers, stay.</template>
        </SureButton>
      </BCard>
      <div v-else class="abreast abreast-lead d-grid gap-20 align-items-start">
        <section class="d-grid gap-3" aria-label="How likely it is">
          <TermForecast v-if="forecast && term.aim && left" :forecast="forecast" :step="term.aim.step" />
          <p v-else-if="!left" class="said fs-135">
            No lessons are left before {{ dayWords(term.aim?.day ?? plan.today) }}. Set new days, or another
            goal.
          </p>
          <p v-else-if="unforeseen" role="alert" class="field-error">{{ unforeseen }}</p>
          <p v-else class="quiet" aria-live="polite">Working out the forecast…</p>
          <p v-if="undone" class="changed m-0 ps-08" role="status">The last change is undone.</p>
          <p v-else-if="plan.change" class="changed m-0 ps-08" role="status">
            {{ changeWords(plan.change, facts) }}
          </p>
          <p v-if="refused && !lesson" role="alert" class="field-error">{{ refused }}</p>
          <div class="tools d-flex flex-wrap gap-2 align-items-start">
            <TermSuggestions
              v-if="forecast && left && !forecast.early"
              :key="plan.id"
              :class-id="classId"
              :children="forecast.children"
            />
            <BButton
              v-if="plan.can_put_back"
              variant="outline-primary"
              size="sm"
              :disabled="busy"
              title="Undo the last change"
              @click="back"
            >
              <i class="bi bi-arrow-counterclockwise" aria-hidden="true"></i>
              Undo
            </BButton>
          </div>
          <TermLessonCard
            v-if="lesson"
            :lesson="lesson"
            :lessons="plan.lessons"
            :ladder="ladder"
            :busy="busy"
            :wrong="refused"
            @change="change"
            @open="open"
          />
        </section>
        <section aria-label="Its lessons">
          <TermGrid
            v-model:all="all"
            :lessons="plan.lessons"
            :selected="selected"
            :today="plan.today"
            @select="selected = $event"
            @move="(day, to) => change({ kind: 'move', day, to })"
          />
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped lang="scss">
.changed {
  border-left: 4px solid var(--v-minute);
}

.lead {
  max-width: 40rem;
}

@media print {
  .abreast {
    display: block;
  }

  .tools,
  :deep(.lesson-card) {
    display: none !important;
  }
}
</style>
