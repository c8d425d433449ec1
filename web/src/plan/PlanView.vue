<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { useRouter } from "vue-router";
import {
  copyLesson,
  listLessons,
  newSeed,
  planLesson,
  readLadder,
  readTomorrow,
  removeLesson,
  type LessonSummary,
  useApiQuery,
  useApiMutation,
  useFacts,
} from "@/api";
import { useClasses } from "@/school";
import LadderGrid from "./LadderGrid.vue";
import LessonList from "./LessonList.vue";
import NextCard from "./NextCard.vue";
import NextLine from "./NextLine.vue";
import RungDetail from "./RungDetail.vue";
import TermLine from "./term/TermLine.vue";
import { NothingYet, RemovedLately, useJustRemoved, WhichOnes } from "@/shared";
import { plusDays, today } from "@/words";

/** The way into the class: what is next, the ladder, and the lessons there are. */
const WEEK = 7;
const router = useRouter();
const classes = useClasses();
const ofClass = (): [number] | null => classes.current && [classes.current.id];
const { data: ladder, errorMessage } = useApiQuery(readLadder, ofClass);
const { data: tomorrow } = useApiQuery(readTomorrow, ofClass);
/** A lesson is planned already: what the answers propose stands beside it. */
const settled = computed(() => ["made", "late", "planned"].includes(tomorrow.value?.next?.how ?? ""));
const step = ref("");
const month = ref("");
const MANY = 5;
const { data: lessons } = useApiQuery(
  listLessons,
  () =>
    classes.current && [
      classes.current.id,
      { step: step.value || undefined, month: month.value || undefined },
    ],
  { select: (found) => found.lessons },
);
const just = useJustRemoved();
const selected = ref("");
const minutes = ref(useFacts().catalogue?.lengths.usual ?? 0);
const day = ref(today());
const { busy, errorMessage: refused, run } = useApiMutation();

watch(ladder, (found) => found && (selected.value = found.next.step ?? "quarters"), { immediate: true });

const open = (id: number): Promise<unknown> => router.push({ name: "lesson", params: { id } });

function plan(step: string | null | undefined): Promise<boolean> {
  return run(async () => {
    if (!classes.current || !step) return;
    const body = { day: day.value, step, minutes: minutes.value || 0, seed: newSeed() };
    await open((await planLesson(classes.current.id, body)).id);
  });
}

/** Buttons of a list stay as they are meanwhile, so that the keys do; a second press waits for the first. */
const one = async (what: () => Promise<unknown>): Promise<boolean> => !busy.value && run(what);

const copy = (lesson: LessonSummary): Promise<boolean> =>
  one(async () => {
    await open((await copyLesson(lesson.id, { day: plusDays(lesson.day, WEEK), seed: newSeed() })).id);
  });

const remove = (lesson: LessonSummary): Promise<boolean> =>
  one(async () => {
    just.value = await removeLesson(lesson.id);
  });
</script>

<template>
  <div class="page">
    <p v-if="errorMessage || refused" role="alert" class="field-error">{{ errorMessage || refused }}</p>
    <NothingYet v-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      You need a class to plan a lesson.
    </NothingYet>
    <template v-else-if="ladder">
      <NextLine v-if="tomorrow?.next && settled" :next="tomorrow.next" class="mb-1" />
      <TermLine class="mb-3" />
      <div class="abreast d-grid gap-4 align-items-start">
        <div class="d-grid gap-4">
          <NextCard
            v-model:minutes="minutes"
            v-model:day="day"
            :ladder="ladder"
            :busy="busy"
            :beside="settled"
            @plan="plan(ladder.next.step)"
          />
          <section aria-labelledby="ladder-head">
            <h2 id="ladder-head" class="eyebrow">The ladder</h2>
            <LadderGrid :ladder="ladder" :selected="selected" @select="selected = $event" />
          </section>
          <WhichOnes
            v-if="step || month || (lessons && lessons.length > MANY)"
            v-model:step="step"
            v-model:month="month"
            class="mb-0"
          />
          <LessonList
            :class-id="classes.current.id"
            :lessons="lessons ?? []"
            :sought="Boolean(step || month)"
            @remove="remove"
            @copy="copy"
          />
          <RemovedLately :class-id="classes.current.id" :kinds="['lesson']" />
        </div>
        <RungDetail
          v-if="selected"
          class="stays"
          :step="selected"
          :ladder="ladder"
          :busy="busy"
          @plan="plan(selected)"
          @select="selected = $event"
        />
      </div>
    </template>
    <p v-else-if="!errorMessage" class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>
