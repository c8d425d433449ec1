<script setup lang="ts">
import { computed } from "vue";
import { listLessons, readLadder, useFacts, useLoaded } from "@/api";
import { useClasses } from "@/class";
import { DialFace } from "@/dial";

import { whyNext } from "./reason";
import StateBar from "./StateBar.vue";
import { dayWords, today } from "@/words";

/** The next lesson in one card, and the ladder as a row of small dials filled by how much of the class is secure. */
const facts = useFacts();
const classes = useClasses();
const { data } = useLoaded(
  () => classes.current?.id,
  async () => {
    const id = classes.current?.id;
    if (!id) return null;
    const [ladder, lessons] = await Promise.all([readLadder(id), listLessons(id)]);
    const waiting = lessons.filter((one) => !one.given_at && one.day >= today());
    return { ladder, lesson: waiting.at(-1) };
  },
);
const rungs = computed(() =>
  (facts.catalogue?.ladder ?? []).flatMap((rung) => {
    const standing = data.value?.ladder.steps.find((step) => step.id === rung.id);
    return standing ? { ...rung, standing } : [];
  }),
);
const next = computed(() => data.value?.ladder.next);
</script>

<template>
  <section v-if="data" class="home-ladder" aria-label="The ladder and the next lesson">
    <div class="lesson">
      <template v-if="data.lesson">
        <p>
          <span class="quiet">Lesson for {{ dayWords(data.lesson.day) }}</span>
          <strong>{{ facts.rung(data.lesson.step).name }}, {{ data.lesson.minutes }} minutes</strong>
        </p>
        <RouterLink class="btn btn-primary" :to="{ name: 'run', params: { id: data.lesson.id } }">
          Give it
        </RouterLink>
        <RouterLink class="btn btn-outline-primary" :to="{ name: 'lesson', params: { id: data.lesson.id } }">
          Look at it
        </RouterLink>
      </template>
      <template v-else>
        <p>
          <span class="quiet">Next on the ladder</span>
          <strong>{{ next?.step ? facts.rung(next.step).name : "the top" }}</strong>
          <span v-if="next" class="why">
            {{ whyNext(next, classes.current?.children.length ?? 0, facts) }}
          </span>
        </p>
        <RouterLink class="btn btn-primary" :to="{ name: 'plan' }">Plan a lesson</RouterLink>
      </template>
    </div>
    <ol>
      <li v-for="rung in rungs" :key="rung.id" :class="{ next: rung.id === next?.step }">
        <RouterLink :to="{ name: 'plan' }" :title="rung.name">
          <DialFace class="step-dial" :facts="facts.of(rung.example ?? '10:10')" detail="small" />
          <StateBar :step="rung.standing" />
          <span class="visually-hidden">{{ rung.name }}</span>
        </RouterLink>
      </li>
    </ol>
  </section>
</template>

<style scoped lang="scss">
.home-ladder {
  display: grid;
  grid-template-columns: minmax(17rem, 24rem) minmax(0, 1fr);
  gap: 1.5rem;
  align-items: center;
  margin-top: 1.5rem;
  padding: 1rem 1.4rem;
  background: var(--v-card);
  border: 1px solid var(--v-line);
  border-radius: var(--v-radius);
}

.why {
  display: block;
  font-size: 0.95rem;
}

.lesson {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem;

  p {
    display: grid;
    flex: 1 1 100%;
    margin: 0;
    font-size: 1.15rem;
    line-height: 1.3;
  }

  .quiet {
    font-size: 0.95rem;
  }
}

ol {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(2.6rem, 1fr));
  gap: 0.5rem;
  margin: 0;
  padding: 0;
}

li {
  padding: 0.2rem;
  border-radius: 0.6rem;

  &.next {
    outline: 2px solid var(--v-minute);
  }
}

.step-dial {
  margin-bottom: 0.25rem;
}

@media (max-width: 60rem) {
  .home-ladder {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
