<script setup lang="ts">
import { computed } from "vue";
import { listLessons, readLadder, readTerm, useAsked, useDoing, useFacts } from "@/api";
import { StepDial } from "@/dial";

import { useClasses } from "@/school";
import StateBar from "./StateBar.vue";
import { useNext } from "./useNext";
import { useOpenLesson } from "./term/useOpenLesson";
import { recapWords } from "./term/words";
import { counted, dayWords, plusDays, today } from "@/words";

/**
 * The next lesson in one card, beside it what else there is (a slot), and the ladder as a row of small dials filled by how much of
 * the class is secure.
 */
const facts = useFacts();
const classes = useClasses();
const ofClass = (): [number] | null => classes.current && [classes.current.id];
const { data: ladder } = useAsked("ladder", ofClass, readLadder);
const { data: lessons } = useAsked("lessons", ofClass, (classId) => listLessons(classId));
/** A lesson that was planned for a day of the last week and not given is offered again. */
const WEEK = 7;
const waiting = computed(() => lessons.value?.filter((one) => !one.given_at) ?? []);
const missed = computed(() => {
  const last = waiting.value.find((one) => one.day < today());
  const given = lessons.value?.some((one) => one.given_at && last && one.day >= last.day);
  return last && !given && last.day >= plusDays(today(), -WEEK) ? last : undefined;
});
/** The next of those that wait to be given. */
const lesson = computed(() => waiting.value.filter((one) => one.day >= today()).at(-1) ?? missed.value);
const late = computed(() => lesson.value !== undefined && lesson.value === missed.value);
const rungs = computed(() =>
  (facts.catalogue?.ladder ?? []).flatMap((rung) => {
    const standing = ladder.value?.steps.find((step) => step.id === rung.id);
    return standing ? { ...rung, standing } : [];
  }),
);
const next = computed(() => ladder.value?.next);
/** What the term has for today, or next, where no lesson is made yet. */
const { data: term } = useAsked("term", ofClass, readTerm);
const planned = computed(() => {
  const one = term.value?.plan?.lessons.find(
    (lesson) => !lesson.over && !lesson.given && lesson.kind !== "skipped",
  );
  return lesson.value || !one?.step ? undefined : one;
});
const openLesson = useOpenLesson();
const { busy, trouble, doing } = useDoing();
const make = (): Promise<boolean> =>
  doing(async () => {
    if (planned.value && classes.current) await openLesson(classes.current.id, planned.value);
  });
const standing = (step: string) => ladder.value?.steps.find((one) => one.id === step);
const { rung: proposed, reason: why, names } = useNext(() => ladder.value);
const rung = computed(() => {
  const step = lesson.value?.step ?? planned.value?.step;
  return step ? facts.rung(step) : proposed.value;
});
const reason = computed(() => {
  const one = lesson.value ?? planned.value;
  return one ? `For ${dayWords(one.day)}, ${counted(one.minutes, "minute")}.` : why.value;
});
const who = computed(() => (lesson.value || planned.value ? [] : names.value));
</script>

<template>
  <BCard class="top">
    <div class="next-lesson d-grid gap-20 align-items-center">
      <p v-if="!ladder || !lessons" class="quiet" aria-live="polite">Looking at the ladder…</p>
      <template v-else>
        <StepDial v-if="rung" class="next-dial" :step="rung.id" detail="full" />
        <div>
          <p class="eyebrow">
            {{
              late
                ? "Planned and not given yet"
                : lesson
                  ? "The lesson you have planned"
                  : planned
                    ? planned.day === today()
                      ? "Today's lesson"
                      : "The next lesson"
                    : `Next for ${classes.current?.name}`
            }}
          </p>
          <h1>{{ rung?.name ?? "The top of the ladder" }}</h1>
          <p class="why my-02 fs-115">{{ reason }}</p>
          <p v-if="who.length" class="quiet">{{ who.join(", ") }}</p>
          <p v-if="planned?.recap[0]" class="quiet">
            First {{ recapWords(planned.recap[0], standing(planned.recap[0]), facts) }}.
          </p>
          <p v-if="trouble" role="alert" class="field-error">{{ trouble }}</p>
          <div class="d-flex flex-wrap gap-2 mt-3">
            <template v-if="lesson">
              <BButton variant="primary" :to="{ name: 'run', params: { id: lesson.id } }">Give it</BButton>
              <BButton variant="outline-primary" :to="{ name: 'lesson', params: { id: lesson.id } }">
                Look at it
              </BButton>
            </template>
            <template v-else-if="planned">
              <BButton variant="primary" :disabled="busy" @click="make">Open this lesson</BButton>
              <BButton variant="outline-primary" :to="{ name: 'term' }">The term</BButton>
            </template>
            <BButton v-else variant="primary" :to="{ name: 'plan' }">Plan a lesson</BButton>
          </div>
        </div>
      </template>
    </div>
    <slot />
  </BCard>
  <section v-if="ladder" class="home-ladder mt-4" aria-label="The ladder">
    <ol class="list-unstyled d-grid gap-2 m-0 p-0">
      <li v-for="one in rungs" :key="one.id" :class="{ next: one.id === next?.step }">
        <RouterLink :to="{ name: 'plan' }">
          <StepDial class="mb-1" :step="one.id" />
          <StateBar :step="one.standing" />
          <span class="name d-block mt-1 lh-115">{{ one.name }}</span>
        </RouterLink>
      </li>
    </ol>
  </section>
</template>

<style scoped lang="scss">
.top :deep(.card-body) {
  display: grid;
  grid-template-columns: minmax(0, 1.55fr) minmax(0, 1fr);
  gap: 2.5rem;
  padding: 2rem;
}

.next-lesson {
  grid-template-columns: 15rem minmax(0, 1fr);
}

h1 {
  font-size: 2.6rem;
  line-height: 1.1;
}

ol {
  grid-template-columns: repeat(auto-fit, minmax(4.7rem, 1fr));
}

li {
  padding: 0.35rem;
  border-radius: 0.6rem;
  text-align: center;

  &.next {
    outline: 2px solid var(--v-minute);
  }

  a {
    color: inherit;
    text-decoration: none;
  }
}

.name {
  font-size: 0.82rem;
}

@media (max-width: 60rem) {
  .top :deep(.card-body) {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 40rem) {
  .next-lesson {
    grid-template-columns: minmax(0, 1fr);
  }

  .next-dial {
    max-width: 11rem;
  }
}
</style>
