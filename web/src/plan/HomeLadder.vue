<script setup lang="ts">
import { computed } from "vue";
import { readLadder, readTomorrow, useApiQuery, useApiMutation, useFacts } from "@/api";
import { StepDial } from "@/dial";

import { useClasses } from "@/school";
import StateBar from "./StateBar.vue";
import { useNext } from "./useNext";
import { useNextLesson } from "./useNextLesson";
import { recapInText } from "./term/words";
import { counted, dayWords, today } from "@/words";

/**
 * Next lesson in one card, beside it what else there is (a slot), and the ladder as a row of small dials filled by how much of
 * the class is secure.
 */
const facts = useFacts();
const classes = useClasses();
const ofClass = (): [number] | null => classes.current && [classes.current.id];
const { data: ladder } = useApiQuery(readLadder, ofClass, { ahead: true });
const { data: tomorrow, errorMessage: lost } = useApiQuery(readTomorrow, ofClass);
const lesson = computed(() => tomorrow.value?.next);
const rungs = computed(() =>
  (facts.catalogue?.ladder ?? []).flatMap((rung) => {
    const standing = ladder.value?.steps.find((step) => step.id === rung.id);
    return standing ? { ...rung, standing } : [];
  }),
);
const next = computed(() => ladder.value?.next);
const openNext = useNextLesson();
const { busy, errorMessage, run } = useApiMutation();
const go = (at: "lesson" | "run"): Promise<boolean> =>
  run(async () => {
    if (lesson.value && classes.current) await openNext(classes.current.id, lesson.value, at);
  });
const standing = (step: string) => ladder.value?.steps.find((rung) => rung.id === step);
const { rung: proposed, reason: why, names } = useNext(() => ladder.value);
const proposal = computed(() => !lesson.value || lesson.value.how === "proposed");
const rung = computed(() => (lesson.value ? facts.rung(lesson.value.step) : proposed.value));
const reason = computed(() =>
  lesson.value && !proposal.value
    ? `For ${dayWords(lesson.value.day)}, ${counted(lesson.value.minutes, "minute")}.`
    : why.value,
);
const who = computed(() => (proposal.value ? names.value : []));
const heading = computed(() => {
  if (lesson.value?.how === "late") return "Planned, not taught yet";
  if (lesson.value?.how === "made") return "Your next lesson";
  if (lesson.value?.how === "planned") return lesson.value.day === today() ? "Today's lesson" : "Next lesson";
  return `Next for ${classes.current?.name}`;
});
</script>

<template>
  <BCard class="top">
    <div class="next-lesson d-grid gap-20 align-items-center">
      <p v-if="!ladder || !tomorrow" class="quiet" aria-live="polite">Loading…</p>
      <template v-else>
        <StepDial v-if="rung" class="next-dial" :step="rung.id" detail="full" />
        <div>
          <p class="eyebrow">{{ heading }}</p>
          <h1>{{ lesson ? facts.lessonTitle(lesson) : (rung?.name ?? "All steps taught") }}</h1>
          <p class="why my-02 fs-115">{{ reason }}</p>
          <p v-if="who.length" class="quiet">{{ who.join(", ") }}</p>
          <p v-if="lesson?.recap[0]" class="quiet">
            Start with {{ recapInText(lesson.recap[0], standing(lesson.recap[0]), facts) }}.
          </p>
          <p v-if="errorMessage || lost" role="alert" class="field-error">{{ errorMessage || lost }}</p>
          <div v-if="lesson" class="d-flex flex-wrap gap-2 mt-3">
            <BButton variant="primary" :disabled="busy" @click="go('run')">Start lesson</BButton>
            <BButton variant="outline-primary" :to="{ name: 'tomorrow' }">
              <i class="bi bi-printer" aria-hidden="true"></i>
              Prepare lesson
            </BButton>
            <BButton variant="link" :disabled="busy" @click="go('lesson')">Open</BButton>
            <BButton v-if="proposal" variant="link" :to="{ name: 'plan' }">Plan another</BButton>
          </div>
          <BButton v-else variant="primary" class="mt-3" :to="{ name: 'plan' }">Plan lesson</BButton>
        </div>
      </template>
    </div>
    <slot />
  </BCard>
  <section v-if="ladder" class="home-ladder mt-4" aria-label="The ladder">
    <ol class="list-unstyled d-grid gap-2 m-0 p-0">
      <li v-for="entry in rungs" :key="entry.id" :class="{ next: entry.id === next?.step }">
        <RouterLink :to="{ name: 'plan' }">
          <StepDial class="mb-1" :step="entry.id" />
          <StateBar :step="entry.standing" />
          <span class="name d-block mt-1 lh-115">{{ entry.name }}</span>
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
